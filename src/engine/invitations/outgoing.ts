import { isSameAddress } from '@/core/invitations/party';
import type { MailMethod, MailParty, Mail } from '@/core/model/mail';
import type { EventTime } from '@/core/model/common';
import type { Attendee } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/event';
import type { Telling } from '@/core/invitations/telling';
import type { GuestAnswer } from '@/core/invitations/answers';
import { guestAnswer, withAnswers } from '@/core/invitations/answers';
import { askingOf } from '@/core/invitations/asking';
import { partOf } from '@/core/invitations/invited';
import { isPassedOn } from '@/core/invitations/passOn';
import { guestsToTell, outgoing, partiesOf, tellings } from '@/core/invitations/telling';
import { tellingSubject } from '@/core/invitations/say';
import { writeMessage } from '@/core/invitations/write';
import type { EpochMs } from '@/core/time/units';
import type { Edit } from '../change';
import type { Records } from '../commands/plan';
import {
  eventOfUid,
  isMine,
  answersOf,
  lastSequence,
  openProposals,
  mailsOf,
  meIn,
  toldOf,
  versionsTold,
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
  alone?: EventTime | null;
  told?: CalendarEvent;
}

/** A mail that goes out; one to nobody goes nowhere and says how things stand. */
export function mailOut(
  letter: Letter,
  { from, now, id }: { from: MailParty; now: EpochMs; id: string },
): Edit {
  const { method, event, key, to, subject, line, attendees, told, alone } = letter;
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
    calendar: writeMessage({ method, event, key, attendees, sequence, alone, line, now }),
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
  /** The SEQUENCE that was told last; -1 for none. */
  last: number;
  /** Whether guests know of it now. */
  isKnown: boolean;
}

/** An event as guests know it, with those who come instead of one and were asked by them. */
function withInstead(told: CalendarEvent, event: CalendarEvent | undefined): CalendarEvent {
  const instead = (event?.attendees ?? []).filter(
    (one) => isPassedOn(one) && !partOf(told, one.address),
  );
  return instead.length ? { ...told, attendees: [...told.attendees, ...instead] } : told;
}

/** What guests of an event of one's own have not been told yet; null where that is nothing. */
export const untoldOf = (records: Records, uid: string): Untold | null =>
  untoldBy(eventOfUid(records, uid), mailsOf(records, uid), meIn(records));

/** The same of an event (gone: undefined) by its mails. */
export function untoldBy(
  event: CalendarEvent | undefined,
  mails: readonly Mail[],
  me: MailParty,
): Untold | null {
  if (event && !isMine(event, me)) return null;
  const told = toldOf(mails);
  const isGone = !event || event.removedAt !== undefined;
  const now = isGone ? null : outgoing(event, { name: me.name, address: me.address });
  const shown = now ?? told;
  if (!shown) return null;
  const all = tellings(now, told && withInstead(told, event), me.address);
  if (!all.length) return null;
  return { event: shown, all, isGone, last: lastSequence(mails), isKnown: told !== null };
}

const whenOf = ({ start, end, rule }: CalendarEvent) => JSON.stringify([start, end, rule ?? null]);

/** An event with what its guests answer to it as it is now: who answered to another time is asked again. */
export function askedAgain(
  event: CalendarEvent,
  told: CalendarEvent | null,
  mails: readonly Mail[],
): CalendarEvent {
  const isMoved = told !== null && whenOf(told) !== whenOf(event);
  const words = answersOf(mails);
  const versions = versionsTold(mails);
  const none: GuestAnswer = { whole: { answer: 'none' }, dates: new Map() };
  const next = withAnswers(event, ({ address, answer }) => {
    const known = guestAnswer(words, versions, { address, now: event });
    return known ?? (isMoved && answer !== 'delegated' ? none : null);
  });
  return { ...event, ...next };
}

/** A mail to one guest that says how it stands, by what guests were told last; none where they were told nothing. */
export function currentState(
  mails: readonly Mail[],
  guest: Attendee,
  { me, now, newId }: { me: MailParty; now: EpochMs; newId(): string },
): Edit[] {
  const last = mails.findLast(({ isOut, told }) => isOut && told)?.told;
  if (!last) return [];
  const isOff = toldOf(mails) === null;
  const letter: Omit<Letter, 'to'> = {
    ...{ method: isOff ? 'cancel' : 'request', event: last, key: null, line: '' },
    sequence: lastSequence(mails),
    subject: tellingSubject(last, { why: isOff ? 'off' : 'new' }),
    ...(isOff ? { attendees: [guest] } : { told: last }),
  };
  return mailsTo([guest], letter, { from: me, now, newId });
}

/** The mails that tell what was not told, to whom of `only` (addresses; null: everybody); nobody for none of them. */
export function tellingMails(
  { event, all, last, isKnown }: Untold,
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
        // Whoever was told something gets a higher one with whatever is otherwise, also after an undo.
        sequence: Math.max(last + (telling.why === 'new' && isKnown ? 0 : 1), event.revision),
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
