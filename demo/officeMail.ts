import { EventIndex } from '@/core/agenda/eventIndex';
import { keyOf } from '@/core/invitations/messages';
import { lets } from '@/core/invitations/asking';
import { isSameAddress } from '@/core/invitations/party';
import { passOn } from '@/core/invitations/passOn';
import type { InviteMessage } from '@/core/invitations/messages';
import {
  answerSubject,
  counterSubject,
  tellingSubject,
  turnedDownSubject,
} from '@/core/invitations/say';
import { writeMessage } from '@/core/invitations/write';
import type { Answer, Attendee } from '@/core/model/attendees';
import type { EventTime } from '@/core/model/common';
import { wallOf, zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import type { MailMethod, MailParty } from '@/core/model/mail';
import { busyOf } from '@/core/people/busy';
import { DAY, dayOfWall, formatDate, formatLocal, MINUTE, weekdayOf } from '@/core/time/civil';
import { instantOf, utcWall } from '@/core/time/zones';
import type { Member } from './office';
import { OFFICE } from './office';
import { officeEvents } from './officeTime';

/** A mail that the office writes, to be delivered at an instant (epoch ms). */
export interface OfficeMail {
  at: number;
  from: MailParty;
  to: MailParty[];
  method: MailMethod;
  subject: string;
  line: string;
  calendar: string;
  event: CalendarEvent;
}

/** How long those who answer late take, in ms. */
const LATE = 20 * MINUTE;
/** How much later those would have it who propose another time. */
const LATER = 60 * MINUTE;

/** To whom those pass on who do. */
const PASSED_TO = OFFICE.find(({ id }) => id === 'nell')!;

const partyOf = ({ name, address }: Member): MailParty => ({ name, address });

export const memberAt = (address: string): Member | undefined =>
  OFFICE.find((member) => isSameAddress(member.address, address));

const instantsOf = ({ start, end }: Pick<CalendarEvent, 'start' | 'end'>, zone: string) => ({
  start: instantOf(wallOf(start), zoneOf(start), zone),
  end: instantOf(wallOf(end), zoneOf(end), zone),
});

/** What takes a member's time while an event would; empty where nothing does. */
function inTheWay(member: Member, event: CalendarEvent, today: number): string {
  const { start, end } = instantsOf(event, member.zone);
  const index = new EventIndex();
  for (const own of officeEvents(member, today)) index.put(own);
  const day = Math.floor(start / DAY);
  const window = { fromDay: day - 1, toDay: Math.ceil(end / DAY) + 1, zone: member.zone };
  const { occurrences } = index.query(window, null);
  const clash = occurrences.find((o) =>
    busyOf([o]).some((busy) => busy.start < end && busy.end > start),
  );
  if (!clash) return '';
  return clash.visibility === 'private' || member.seeing === 'booked'
    ? 'something else'
    : clash.title;
}

function later(time: EventTime, ms: number): EventTime {
  return time.kind === 'date' ? time : { ...time, local: formatLocal(wallOf(time) + ms) };
}

interface Letter {
  method: MailMethod;
  member: Member;
  to: MailParty;
  event: CalendarEvent;
  key: string | null;
  sequence: number;
  subject: string;
  line: string;
  at: number;
  attendees?: readonly Attendee[];
}

function letter({ member, to, at, ...rest }: Letter): OfficeMail {
  const { method, event, key, sequence, line, attendees, subject } = rest;
  const calendar = writeMessage({ method, event, key, sequence, line, attendees, now: at });
  return { at, from: partyOf(member), to: [to], method, subject, line, calendar, event };
}

/** What a member makes of a request: how they answer, and what they write with it. */
function answerOf(
  member: Member,
  event: CalendarEvent,
  today: number,
): { answer: Answer; line: string } {
  const clash = inTheWay(member, event, today);
  if (!clash) return { answer: 'accepted', line: '' };
  if (member.kind !== 'person') return { answer: 'declined', line: 'It is booked then.' };
  return { answer: 'declined', line: `I have ${clash} then.` };
}

interface Situation {
  /** Day number */
  today: number;
  now: number;
  /** How often this member was asked this before, at the same revision. */
  times: number;
  /** Whether they proposed another time for it once. */
  hasProposed: boolean;
}

/** What a member answers to a request. */
function answersToRequest(
  message: InviteMessage,
  member: Member,
  { today, now, times, hasProposed }: Situation,
): OfficeMail[] {
  const { draft, sequence } = message;
  const event = newEvent({ ...draft, id: 'asked', calendarId: member.id }, now);
  const organizer = draft.organizer;
  const part = draft.attendees.find(({ address }) => isSameAddress(address, member.address));
  if (!organizer || !part) return [];
  const temper = member.temper ?? 'prompt';
  if (temper === 'silent' && times === 0) return [];
  const key = keyOf(message, event.start);
  const to = { name: organizer.name, address: organizer.address };
  const shared = { member, to, event, key, sequence };
  if (temper === 'passes' && lets(event, 'mayPassOn')) {
    const both = passOn(part, partyOf(PASSED_TO));
    const line = 'Nell knows more about it.';
    return [
      letter({
        ...{ ...shared, method: 'reply', line, attendees: both, at: now },
        subject: answerSubject(event, 'delegated'),
      }),
    ];
  }
  if (
    temper === 'proposes' &&
    lets(event, 'mayPropose') &&
    !hasProposed &&
    event.start.kind !== 'date'
  ) {
    const moved = { ...event, start: later(event.start, LATER), end: later(event.end, LATER) };
    const line = 'Could we begin an hour later? I still have a call before.';
    const attendees = [{ ...part, answer: 'tentative' as const }];
    return [
      letter({
        ...{ ...shared, method: 'counter', event: moved, line, at: now, attendees },
        subject: counterSubject(event),
      }),
    ];
  }
  const { answer, line } = answerOf(member, event, today);
  return [
    letter({
      ...{ ...shared, method: 'reply', line, attendees: [{ ...part, answer }] },
      at: temper === 'late' ? now + LATE : now,
      subject: answerSubject(event, answer),
    }),
  ];
}

/** What a member who asks to an event makes of another time: Tomas keeps his, the others take it. */
function answersToProposal(
  message: InviteMessage,
  member: Member,
  { now }: Situation,
): OfficeMail[] {
  const { draft, sequence } = message;
  const who = draft.attendees[0];
  if (!who) return [];
  const organizer = partyOf(member);
  const event = newEvent({ ...draft, id: 'asked', calendarId: member.id, organizer }, now);
  const key = keyOf(message, event.start);
  const shared = { member, to: { name: who.name, address: who.address }, event, key, at: now };
  if (member.id === 'tomas')
    return [
      letter({
        ...{ ...shared, method: 'declineCounter', sequence, line: 'The bank is closed then.' },
        subject: turnedDownSubject(event),
      }),
    ];
  const { passthrough: _passthrough, ...bare } = event;
  const attendees = [{ ...who, answer: 'none' as const }];
  return [
    letter({
      ...{ ...shared, method: 'request', sequence: sequence + 1, line: 'That suits me.' },
      event: { ...bare, attendees },
      subject: tellingSubject(event, { why: 'changed' }),
    }),
  ];
}

/** What a member of the office answers to a message that came to them. */
export function answersTo(
  message: InviteMessage,
  member: Member,
  situation: Situation,
): OfficeMail[] {
  switch (message.method) {
    case 'request':
      return answersToRequest(message, member, situation);
    case 'counter':
      return answersToProposal(message, member, situation);
    case 'declineCounter':
      // Their time is not taken: they come all the same.
      return answersToRequest(message, member, { ...situation, hasProposed: true, times: 1 });
    default:
      return [];
  }
}

/** The day number of the n-th workday after a day. */
function workdayAfter(day: number, n: number): number {
  let at = day;
  for (let left = n; left > 0;) if (weekdayOf(++at) < 5) left--;
  return at;
}

/** A made-up meeting that a member asks the person to. */
function asks(
  memberId: string,
  me: MailParty,
  fields: Pick<CalendarEvent, 'title'> & Partial<CalendarEvent>,
  { day, at, minutes, uid }: { day: number; at: string; minutes: number; uid: string },
): { member: Member; event: CalendarEvent } {
  const member = OFFICE.find(({ id }) => id === memberId)!;
  const time = (shift: number): EventTime => ({
    kind: 'zoned',
    local: formatLocal(Date.parse(`${formatDate(day)}T${at}:00Z`) + shift * MINUTE),
    zone: member.zone,
  });
  const event = newEvent(
    {
      ...{ id: uid, uid, calendarId: member.id, start: time(0), end: time(minutes) },
      organizer: partyOf(member),
      attendees: [{ ...me, role: 'required', answer: 'none' }],
      ...fields,
    },
    0,
  );
  return { member, event };
}

/**
 * The mails with which the office asks the person to three things, and what follows: one of them
 * moves ten minutes later, and of the series one date is called off after twenty. `nth` tells rounds
 * apart.
 */
export function firstMails(me: MailParty, now: number, nth: number): OfficeMail[] {
  const today = dayOfWall(utcWall(now));
  const uid = (name: string) => `${name}-${nth}@lantern-quay.example`;
  const request = (
    { member, event }: ReturnType<typeof asks>,
    more: { at: number; sequence: number; line: string; why?: 'new' | 'changed' },
  ) =>
    letter({
      ...{ method: 'request', member, to: me, event, key: null },
      ...{ at: more.at, sequence: more.sequence, line: more.line },
      subject: tellingSubject(event, { why: more.why ?? 'new' }),
    });
  const trial = asks(
    'ida',
    me,
    { title: 'Lens trial for lamp 22', place: 'Bench hall', notes: 'Bring the green lens.' },
    { day: workdayAfter(today, 1), at: '10:30', minutes: 60, uid: uid('lens-trial') },
  );
  const handover = (at: string) =>
    asks(
      'nell',
      me,
      { title: 'Pilot lamp handover', notes: 'By call.' },
      { day: workdayAfter(today, 2), at, minutes: 45, uid: uid('handover') },
    );
  const count = asks(
    'tomas',
    me,
    { title: 'Cash count', place: 'Small office', rule: 'FREQ=WEEKLY;COUNT=8' },
    { day: workdayAfter(today, 3), at: '15:30', minutes: 30, uid: uid('cash-count') },
  );
  const second = formatLocal(wallOf(count.event.start) + 7 * DAY);
  return [
    request(trial, { at: now, sequence: 0, line: 'Half an hour may do.' }),
    request(handover('09:00'), { at: now, sequence: 0, line: '' }),
    request(count, { at: now, sequence: 0, line: '' }),
    request(handover('10:30'), {
      ...{ at: now + 10 * MINUTE, sequence: 1, why: 'changed' },
      line: 'The pilot boat is late in.',
    }),
    letter({
      ...{ method: 'cancel', member: count.member, to: me, event: count.event, key: second },
      ...{ sequence: 1, at: now + 20 * MINUTE, line: 'I am at the bank that day.' },
      subject: tellingSubject(count.event, { why: 'date off' }),
    }),
  ];
}
