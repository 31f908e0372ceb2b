import { isSameAddress } from '@/core/invitations/party';
import type { MailMethod, MailParty, Mail } from '@/core/model/mail';
import type { Attendee } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/event';
import type { Telling } from '@/core/invitations/telling';
import { askingOf } from '@/core/invitations/asking';
import { guestsToTell, outgoing, partiesOf, tellings } from '@/core/invitations/telling';
import { tellingSubject } from '@/core/invitations/say';
import { writeMessage } from '@/core/invitations/write';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Records } from '../commands/plan';
import {
  eventOfUid,
  isMine,
  openProposals,
  leastSequence,
  mailsOf,
  meIn,
  toldOf,
} from './correspondence';

export interface Letter {
  method: MailMethod;
  /** As it may be told. */
  event: CalendarEvent;
  key: string | null;
  to: readonly MailParty[];
  subject: string;
  line: string;
  attendees?: readonly Attendee[];
  sequence?: number;
  told?: CalendarEvent;
}

/** A mail that goes out; one to nobody goes nowhere and says how things stand. */
export function mailOut(
  letter: Letter,
  { from, now, id }: { from: MailParty; now: EpochMs; id: string },
): Edit {
  const { method, event, key, to, subject, line, attendees, told } = letter;
  const sequence = letter.sequence ?? event.revision;
  const mail: Mail = {
    id,
    uid: event.uid,
    dateKey: key,
    isOut: true,
    method,
    sequence,
    stamp: now,
    at: now,
    from,
    to: [...to],
    subject,
    line,
    calendar: writeMessage({ method, event, key, attendees, sequence, line, now }),
    ...(told && { told }),
    isSent: to.length === 0,
    isDone: false,
    problem: '',
  };
  return { type: 'mail', before: null, after: mail };
}

/** A letter to guests: one for all, or, where they do not see each other, one for each with nobody else in it. */
export function mailsTo(
  guests: readonly Attendee[],
  letter: Omit<Letter, 'to'>,
  { from, now, newId }: { from: MailParty; now: EpochMs; newId(): string },
): Edit[] {
  const write = (to: readonly Attendee[], more: Partial<Letter> = {}) =>
    mailOut({ ...letter, to: partiesOf(to), ...more }, { from, now, id: newId() });
  return askingOf(letter.event).seesList || !guests.length
    ? [write(guests)]
    : guests.map((one) => write([one], { attendees: [one] }));
}

/** What is to be told of an event, and how others may see it. */
export interface Untold {
  event: CalendarEvent;
  all: Telling[];
  isGone: boolean;
  /** The least SEQUENCE of what is told. */
  least: number;
}

/** What guests of an event of one's own have not been told yet; null where that is nothing. */
export function untoldOf(records: Records, uid: string): Untold | null {
  const me = meIn(records);
  const mails = mailsOf(records, uid);
  const told = toldOf(mails);
  const event = eventOfUid(records, uid);
  if (event && !isMine(event, me)) return null;
  const isGone = !event || event.removedAt !== undefined;
  const now = isGone ? null : outgoing(event, { name: me.name, address: me.address });
  const shown = now ?? told;
  if (!shown) return null;
  const all = tellings(now, told, me.address);
  return all.length ? { event: shown, all, isGone, least: leastSequence(mails) } : null;
}

/** Attendees who have to answer anew, since it is at another time. */
export function askedAnew(event: CalendarEvent, told: CalendarEvent | null): Attendee[] {
  const isMoved =
    told !== null &&
    JSON.stringify([told.start, told.end, told.rule ?? null]) !==
      JSON.stringify([event.start, event.end, event.rule ?? null]);
  if (!isMoved) return event.attendees;
  return event.attendees.map(({ line: _line, answeredAt: _at, ...one }) => ({
    ...one,
    answer: 'none' as const,
  }));
}

/** The mails that tell what was not told, to whom of `only` (addresses; null: everybody); nobody for none of them. */
export function tellingMails(
  { event, all, least }: Untold,
  {
    me,
    line,
    only,
    now,
    newId,
  }: {
    me: MailParty;
    line: string;
    only: readonly string[] | null;
    now: EpochMs;
    newId(): string;
  },
): Edit[] {
  return all.flatMap((telling) => {
    const isOff = telling.why === 'off';
    const to = telling.to.filter(({ address }) => only === null || only.includes(address));
    const isLeft = telling.method === 'cancel' && telling.key === null;
    return mailsTo(
      to,
      {
        ...{ method: telling.method, event, key: telling.key, line },
        ...(!isOff && { told: event }),
        subject: tellingSubject(event, telling),
        ...(isLeft && { attendees: to }),
        sequence: Math.max(least, event.revision + (isOff ? 1 : 0)),
      },
      { from: me, now, newId },
    );
  });
}

/** Guests who have not answered, and proposed nothing that is not settled. */
export function silentOf(records: Records, event: CalendarEvent): Attendee[] {
  if (!askingOf(event).wantsAnswers) return [];
  const proposing = openProposals(mailsOf(records, event.uid)).map(({ from }) => from.address);
  return guestsToTell(event, meIn(records).address).filter(
    ({ answer, address }) =>
      answer === 'none' && !proposing.some((one) => isSameAddress(one, address)),
  );
}
