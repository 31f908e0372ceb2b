import { decodeText } from '@/core/files/ics/decode';
import { FileError } from '@/core/files/ics/scan';
import { readMessages } from '@/core/invitations/messages';
import { writeMail } from '@/core/invitations/mime';
import { mailWords, sayTimes } from '@/core/invitations/say';
import type { Telling } from '@/core/invitations/telling';
import type { Asking } from '@/core/invitations/asking';
import { askingOf, lets } from '@/core/invitations/asking';
import { standingOf } from '@/core/invitations/standing';
import type { Saying } from '@/core/editing/sayMove';
import type { Mail, MailParty } from '@/core/model/mail';
import { titleOf } from '@/core/model/titleOf';
import type { EpochMs } from '@/core/time/units';
import type { EventTime } from '@/core/model/common';
import { wallOf, zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isWholeDay } from '@/core/model/event';
import { instantOf } from '@/core/time/zones';
import { nanoid } from 'nanoid';
import type { Commands } from '../commands/commands';
import { readMail } from '../messages/readMail';
import type { Asked } from '../queries/asked';
import type { SendMessage } from '../reminders/outbox';
import type { Repository } from '../repository';
import { askedOf, eventOfUid, mailsOf, messagesOf, openProposals, toldOf } from './correspondence';
import { silentOf, untoldOf } from './outgoing';
import type { Post } from './post';
import type { InvitationRow } from './rows';
import { invitationRows } from './rows';
import { CameBefore, NotTaken, takeIn } from './takeIn';

interface Parts extends Asked {
  records: Repository;
  commands: Pick<Commands, 'keep'>;
  post: Post;
  sendMessage: SendMessage;
  isReady(): boolean;
  changed(): void;
}

/** In which words and by which clock things are told, and when (epoch ms). */
export interface TellingManner {
  now: EpochMs;
  saying: Saying;
}

/** What messages that came did, and why others did nothing; each a line. */
export interface Came {
  did: string[];
  problems: string[];
}

/** An event whose guests do not know how it is now. */
export interface UntoldRow {
  uid: string;
  eventId: string;
  title: string;
  when: string;
  /** Each once. */
  to: MailParty[];
  why: Telling['why'];
  /** How they are asked. */
  asking: Asking;
}

/** An event that is at another time here than who asks to it has it. */
export interface StrayedRow {
  uid: string;
  eventId: string;
  title: string;
  from: MailParty;
  start: EventTime;
  end: EventTime;
  /** In words, as it is here. */
  when: string;
  mayPropose: boolean;
}

const isSameWhen = (
  a: Pick<CalendarEvent, 'start' | 'end'>,
  b: Pick<CalendarEvent, 'start' | 'end'>,
) => JSON.stringify([a.start, a.end]) === JSON.stringify([b.start, b.end]);

/** A mail as an event's history has it. */
export type MailRow = Pick<
  Mail,
  'id' | 'isOut' | 'at' | 'from' | 'to' | 'subject' | 'line' | 'isSent'
>;

/** Another time that a guest proposes, against the one that is asked for. */
export interface ProposalRow {
  mailId: string;
  from: MailParty;
  line: string;
  /** In words: as it is asked, and as it would be. */
  asked: string;
  wanted: string;
  /** Instants */
  start: EpochMs;
  end: EpochMs;
}

/** How it stands with the guests of one event of the person's own. */
export interface GuestNews {
  proposals: ProposalRow[];
  history: MailRow[];
  /** Who was told and has not answered. */
  silent: MailParty[];
  untold: UntoldRow | null;
}

/** The largest mail or file that is taken in, in bytes. */
const MOST_BYTES = 2e6;

/** What others ask the person to, and what the person asks of others: invitations and their answers. */
export class Invitations {
  private last: Promise<unknown> = Promise.resolve();

  constructor(private readonly parts: Parts) {}

  /** What others ask the person to. */
  list({ now, saying }: TellingManner): InvitationRow[] {
    return invitationRows(this.parts, saying, now);
  }

  /** How many mails wait to be sent. */
  waiting(): number {
    return this.parts.records.all('mail').filter(({ isOut, isSent }) => isOut && !isSent).length;
  }

  /** Those of some events whose guests do not know how they are now. */
  untold(ids: readonly string[], { now, saying }: TellingManner): UntoldRow[] {
    const { records } = this.parts;
    return ids.flatMap((id): UntoldRow[] => {
      const uid = records.get('event', id)?.uid ?? this.uidTold(id);
      const row = uid === undefined ? null : this.untoldRow(uid, { now, saying });
      return row ? [row] : [];
    });
  }

  /** Those of some events to which somebody else asks, and that the person has at another time than they. */
  strayed(ids: readonly string[], saying: Saying): StrayedRow[] {
    const { records } = this.parts;
    return ids.flatMap((id): StrayedRow[] => {
      const event = records.get('event', id);
      if (!event?.invited || event.removedAt !== undefined) return [];
      const asked = standingOf(askedOf(mailsOf(records, event.uid), event.uid))?.draft;
      if (!asked || asked.rule !== undefined || isSameWhen(asked, event)) return [];
      const from = { name: asked.organizer?.name ?? '', address: asked.organizer?.address ?? '' };
      return [
        {
          ...{ uid: event.uid, eventId: id, title: titleOf(event), from },
          ...{ start: event.start, end: event.end, when: sayTimes(event, saying) },
          mayPropose: lets(asked, 'mayPropose') && !isWholeDay(event),
        },
      ];
    });
  }

  /** The UID of an event that is gone and of which guests were told. */
  private uidTold(eventId: string): string | undefined {
    return this.parts.records.all('mail').find(({ told }) => told?.id === eventId)?.uid;
  }

  private untoldRow(uid: string, { now, saying }: TellingManner): UntoldRow | null {
    const untold = untoldOf(this.parts.records, uid);
    if (!untold) return null;
    const { event, all } = untold;
    const end = instantOf(wallOf(event.end), zoneOf(event.end), saying.clock);
    if (event.rule === undefined && !event.extraDates.length && end <= now) return null;
    const to = all.flatMap((telling) => telling.to);
    const [{ why }] = all as [Telling];
    return {
      uid,
      eventId: event.id,
      title: titleOf(event),
      when: sayTimes(event, saying),
      to: [...new Map(to.map(({ name, address }) => [address, { name, address }])).values()],
      why,
      asking: askingOf(event),
    };
  }

  /** How it stands with the guests of an event; null where it is not here. */
  guestNews(eventId: string, manner: TellingManner): GuestNews | null {
    const { records } = this.parts;
    const event = records.get('event', eventId);
    if (!event) return null;
    const mails = mailsOf(records, event.uid);
    const isTold = toldOf(mails) !== null;
    return {
      history: mails
        .filter(({ isOut, to }) => !isOut || to.length > 0)
        .map(({ id, isOut, at, from, to, subject, line, isSent }) => ({
          ...{ id, isOut, at, from, to, subject, line, isSent },
        }))
        .reverse(),
      proposals: openProposals(mails).flatMap((mail) => this.proposalOf(mail, manner.saying) ?? []),
      silent: isTold
        ? silentOf(records, event).map(({ name, address }) => ({ name, address }))
        : [],
      untold: this.untoldRow(event.uid, manner),
    };
  }

  private proposalOf(mail: Mail, saying: Saying): ProposalRow | null {
    const draft = messagesOf(mail)[0]?.draft;
    const event = eventOfUid(this.parts.records, mail.uid);
    if (!draft || !event) return null;
    const instant = (time: typeof draft.start) =>
      instantOf(wallOf(time), zoneOf(time), saying.clock);
    return {
      mailId: mail.id,
      from: mail.from,
      line: mail.line,
      asked: sayTimes(event, saying),
      wanted: sayTimes(draft, saying),
      start: instant(draft.start),
      end: instant(draft.end),
    };
  }

  /**
   * Takes in a mail (.eml) or a calendar file that carries messages.
   * @throws FileError for what is too large, or carries none.
   */
  async open(file: Blob & { name: string }, now: EpochMs): Promise<Came> {
    if (file.size > MOST_BYTES) throw new FileError('It is too large for an invitation.');
    const bytes = new Uint8Array(await file.arrayBuffer());
    const isMail = /\.eml$/i.test(file.name) || file.type === 'message/rfc822';
    return isMail
      ? this.takeMail(bytes, now)
      : this.take(decodeText(bytes).text, { subject: file.name, from: null, now });
  }

  /** `isQuiet`: another window may have taken it in a moment ago, which is nothing to tell. */
  private async takeMail(
    source: Uint8Array | string,
    now: EpochMs,
    isQuiet = false,
  ): Promise<Came> {
    if (source.length > MOST_BYTES) throw new FileError('It is too large for an invitation.');
    const mail = await readMail(
      typeof source === 'string' ? source : (source.slice().buffer as ArrayBuffer),
    );
    const part = mail.parts.find(({ mediaType }) => mediaType === 'text/calendar');
    if (!part) throw new FileError('This mail carries no invitation and no answer.');
    const { text } = decodeText(new Uint8Array(part.content));
    const { subject, from } = mail.message;
    return this.take(text, { subject, from, now, isQuiet });
  }

  private async take(
    calendar: string,
    {
      subject,
      from,
      now,
      isQuiet = false,
    }: { subject: string; from: MailParty | null; now: EpochMs; isQuiet?: boolean },
  ): Promise<Came> {
    const came: Came = { did: [], problems: [] };
    for (const message of readMessages(calendar, now)) {
      try {
        const { records, commands } = this.parts;
        const taken = takeIn(records, message, {
          ...{ calendar, subject, from, now },
          newId: () => nanoid(12),
        });
        await commands.keep({ label: taken.did, at: now, edits: taken.edits });
        came.did.push(taken.did);
      } catch (error) {
        if (!(error instanceof NotTaken)) throw error;
        if (!(isQuiet && error instanceof CameBefore)) came.problems.push(error.message);
      }
    }
    return came;
  }

  /** A mail whole (RFC 5322, RFC 6047), to be kept as a file; null where it is not here. */
  mailFile(id: string, saying: Saying): string | null {
    const mail = this.parts.records.get('mail', id);
    return mail ? writeMail(mail, this.wordsOf(mail, saying)) : null;
  }

  /** The calendar text of a mail alone; null where it is not here. */
  calendarFile(id: string): string | null {
    return this.parts.records.get('mail', id)?.calendar ?? null;
  }

  private wordsOf(mail: Mail, saying: Saying): string {
    const draft = messagesOf(mail)[0]?.draft;
    return draft ? mailWords(mail, draft, saying) : mail.subject;
  }

  /** Sends what waits, and takes in what came. Nothing is lost where the post does not answer. */
  sync(manner: TellingManner): Promise<Came & { isAway: boolean }> {
    const turn = this.last.then(() => this.exchange(manner));
    this.last = turn.catch(() => undefined);
    return turn;
  }

  private async exchange({ now, saying }: TellingManner): Promise<Came & { isAway: boolean }> {
    const came: Came & { isAway: boolean } = { did: [], problems: [], isAway: false };
    if (!this.parts.isReady()) return came;
    try {
      await this.send(now, saying);
      await this.fetchInto(came, now);
    } catch (error) {
      // It is said where mails are looked at, and tried again at the next turn.
      came.isAway = true;
      if (!(error instanceof Error)) throw error;
    }
    return came;
  }

  private async send(now: EpochMs, saying: Saying): Promise<void> {
    const { records, post, sendMessage } = this.parts;
    for (const mail of records.all('mail').filter(({ isOut, isSent }) => isOut && !isSent)) {
      const words = this.wordsOf(mail, saying);
      await sendMessage({
        id: `mail ${mail.id}`,
        how: 'mail',
        to: mail.to.map(({ address }) => address).join(', '),
        at: mail.at,
        subject: mail.subject,
        text: words,
      });
      await post.send({ id: mail.id, mime: writeMail(mail, words) }, now);
      // Beside the history: that it is on its way can't be undone.
      await records.renew('mail', mail.id, (latest) => latest && { ...latest, isSent: true });
      this.parts.changed();
    }
  }

  private async fetchInto(came: Came, now: EpochMs): Promise<void> {
    for (const { id, mime } of await this.parts.post.fetch(now)) {
      try {
        const { did, problems } = await this.takeMail(mime, now, true);
        came.did.push(...did);
        came.problems.push(...problems);
      } catch (error) {
        // A mail that can't be read is told of, and would come again and again.
        came.problems.push((error as Error).message);
      }
      await this.parts.post.take(id);
    }
  }
}
