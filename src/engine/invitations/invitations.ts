import { decodeText } from '@/core/files/ics/decode';
import { FileError } from '@/core/files/ics/scan';
import type { InviteMessage } from '@/core/invitations/messages';
import { readMessages, senderOf } from '@/core/invitations/messages';
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
import { isWholeDay, uidOf } from '@/core/model/event';
import { RecordError } from '@/core/model/migrate';
import { instantOf } from '@/core/time/zones';
import { nanoid } from 'nanoid';
import type { Commands } from '../commands/commands';
import { readMail } from '../messages/readMail';
import type { Asked } from '../queries/asked';
import type { SendMessage } from '../reminders/outbox';
import type { Repository } from '../repository';
import {
  askedOf,
  eventOfUid,
  mailsOf,
  meIn,
  messagesOf,
  openProposals,
  toldOf,
} from './correspondence';
import type { Untold } from './outgoing';
import { silentOf, untoldBy } from './outgoing';
import { sayWhom } from '@/core/invitations/party';
import type { Post } from './post';
import { RefusedMailError } from './post';
import type { HeldRow, InvitationRow } from './rows';
import { byUid, eventsOf, heldRows, invitationRows } from './rows';
import { takeIn } from './takeIn';
import { CameBefore, NotTaken } from './taking';

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
  start: EpochMs;
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

function untoldRow(
  uid: string,
  { event, all }: Untold,
  { now, saying }: TellingManner,
): UntoldRow | null {
  const end = instantOf(wallOf(event.end), zoneOf(event.end), saying.clock);
  if (event.rule === undefined && !event.extraDates.length && end <= now) return null;
  const to = all.flatMap((telling) => telling.to);
  const [{ why }] = all as [Telling];
  return {
    uid,
    eventId: event.id,
    title: titleOf(event),
    when: sayTimes(event, saying),
    start: instantOf(wallOf(event.start), zoneOf(event.start), saying.clock),
    to: [...new Map(to.map(({ name, address }) => [address, { name, address }])).values()],
    why,
    asking: askingOf(event),
  };
}

const isSameWhen = (
  a: Pick<CalendarEvent, 'start' | 'end'>,
  b: Pick<CalendarEvent, 'start' | 'end'>,
) => JSON.stringify([a.start, a.end]) === JSON.stringify([b.start, b.end]);

/** A mail as an event's history has it. */
export type MailRow = Pick<
  Mail,
  'id' | 'isOut' | 'at' | 'from' | 'to' | 'subject' | 'line' | 'isSent' | 'problem'
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

/** Events that one text speaks of at the most: a message is about one (RFC 5546 §3.2). */
const MAX_EVENTS = 50;

/** Messages by their event, method and writer. @throws FileError where one text speaks of too many events. */
function byThread(messages: readonly InviteMessage[]): InviteMessage[][] {
  const threads = new Map<string, InviteMessage[]>();
  for (const message of messages) {
    const writer = senderOf(message).address.toLowerCase();
    const name = JSON.stringify([message.uid, message.method, writer]);
    const thread = threads.get(name);
    if (thread) thread.push(message);
    else threads.set(name, [message]);
  }
  if (threads.size > MAX_EVENTS)
    throw new FileError(
      `It speaks of ${threads.size} events at once; a message may speak of ${MAX_EVENTS}.`,
    );
  return [...threads.values()];
}

/** Mails that wait to be sent, but for those that never can be. */
const waitingMails = (records: Pick<Repository, 'all'>): Mail[] =>
  records.all('mail').filter(({ isOut, isSent, problem }) => isOut && !isSent && !problem);

/** The largest mail that is sent, in bytes: what is not larger passes in both directions. */
const MAX_MAIL_BYTES = 1e6;
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
    return waitingMails(this.parts.records).length;
  }

  /**
   * Events whose guests do not know how they are now: what was changed since they were told, and what
   * was made here and never sent. What came with answers already was sent from elsewhere.
   */
  untold({ now, saying }: TellingManner): UntoldRow[] {
    const { records } = this.parts;
    const me = meIn(records);
    const mails = byUid(records.all('mail').filter(({ isOut, told }) => isOut && told));
    const made = records
      .all('event')
      .filter(
        ({ id, uid, attendees }) =>
          attendees.length > 0 &&
          uid === uidOf(id) &&
          attendees.every(({ answer }) => answer === 'none'),
      );
    const uids = new Map([...mails, ...made.map(({ uid }) => [uid, null] as const)]);
    const events = eventsOf(records, uids);
    return [...uids.keys()]
      .flatMap((uid) => {
        const untold = untoldBy(events.get(uid), mails.has(uid) ? mailsOf(records, uid) : [], me);
        return (untold && untoldRow(uid, untold, { now, saying })) ?? [];
      })
      .sort((a, b) => a.start - b.start || (a.uid < b.uid ? -1 : 1));
  }

  /** Messages that wait until the person says whether they count. */
  held(saying: Saying): HeldRow[] {
    return heldRows(this.parts.records, saying);
  }

  /** Those of some events to which somebody else asks, and that the person has at another time than they. */
  strayed(ids: readonly string[], saying: Saying): StrayedRow[] {
    const { records } = this.parts;
    return ids.flatMap((id): StrayedRow[] => {
      const event = records.get('event', id);
      if (!event?.invited || event.removedAt !== undefined) return [];
      const asked = standingOf(askedOf(mailsOf(records, event.uid)))?.draft;
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

  /** How it stands with the guests of an event; null where it is not here. */
  guestNews(eventId: string, manner: TellingManner): GuestNews | null {
    const { records } = this.parts;
    const event = records.get('event', eventId);
    if (!event) return null;
    const mails = mailsOf(records, event.uid);
    const isTold = toldOf(mails) !== null;
    const untold = untoldBy(event, mails, meIn(records));
    return {
      history: mails
        .filter(({ isOut, to }) => !isOut || to.length > 0)
        .map(({ id, isOut, at, from, to, subject, line, isSent, problem }) => ({
          ...{ id, isOut, at, from, to, subject, line, isSent, problem },
        }))
        .reverse(),
      proposals: openProposals(mails).flatMap((mail) => this.proposalOf(mail, manner.saying) ?? []),
      silent: isTold
        ? silentOf(records, event).map(({ name, address }) => ({ name, address }))
        : [],
      untold: untold && untoldRow(event.uid, untold, manner),
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
    for (const messages of byThread(readMessages(calendar, now))) {
      try {
        const { records, commands } = this.parts;
        const { did, edits, isNews } = takeIn(records, messages, {
          ...{ calendar, subject, from, now },
          newId: () => nanoid(12),
        });
        if (isNews) {
          await commands.keep({ label: did, at: now, edits });
          came.did.push(did);
        } else {
          // It is kept, since later messages may give it a meaning, and is no change of anything seen.
          await records.write(
            edits.map(({ type, after }) => ({ type, id: (after as Mail).id, record: after })),
          );
          came.problems.push(did);
        }
      } catch (error) {
        // One that can't be taken in never keeps others back.
        const isKnown = error instanceof NotTaken || error instanceof RecordError;
        if (!isKnown) throw error;
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
      came.problems.push(...(await this.send(now, saying)));
      await this.fetchInto(came, now);
    } catch (error) {
      // It is said where mails are looked at, and tried again at the next turn.
      came.isAway = true;
      if (!(error instanceof Error)) throw error;
    }
    return came;
  }

  private async send(now: EpochMs, saying: Saying): Promise<string[]> {
    const problems: string[] = [];
    for (const mail of waitingMails(this.parts.records)) {
      const problem = await this.sendOne(mail, now, saying);
      // Beside the history: that it is on its way, or never will be, can't be undone.
      await this.parts.records.renew('mail', mail.id, (latest) => ({
        ...mail,
        ...(latest ?? { isTakenBack: true }),
        ...(problem ? { problem } : { isSent: true }),
      }));
      if (problem) problems.push(problem);
      this.parts.changed();
    }
    return problems;
  }

  /** Sends a mail; why it never can be sent, or empty where it went out. @throws where nobody answers. */
  private async sendOne(mail: Mail, now: EpochMs, saying: Saying): Promise<string> {
    const { post, sendMessage } = this.parts;
    const words = this.wordsOf(mail, saying);
    const mime = writeMail(mail, words);
    const named = `“${mail.subject}” could not be sent to ${sayWhom(mail.to)}`;
    if (mime.length > MAX_MAIL_BYTES)
      return `${named}: it is too large for email (1 MB). Shorten its notes, or share the calendar instead.`;
    try {
      await post.send({ id: mail.id, mime }, now);
    } catch (error) {
      if (!(error instanceof RefusedMailError)) throw error;
      return `${named}: ${error.message || 'the post does not take it.'}`;
    }
    await sendMessage({
      id: `mail ${mail.id}`,
      how: 'mail',
      to: mail.to.map(({ address }) => address).join(', '),
      at: mail.at,
      subject: mail.subject,
      text: words,
    });
    return '';
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
