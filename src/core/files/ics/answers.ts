import { dateAsEvent } from '../../editing/series/dates';
import type { Answer, Attendee } from '../../model/attendees';
import type { EventTime } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { isSeries } from '../../model/event';
import { quotedTitle } from '../../model/titleOf';
import type { EpochMs } from '../../time/units';
import type { EventDraft } from './readEvent';
import { dateKeyFor } from './readTimes';

/** What somebody answered to an event, or to one date of it (REPLY, RFC 5546 §3.2.3). */
export interface AnswerDraft {
  draft: EventDraft;
  /** The date that it is about (RECURRENCE-ID); null for the whole. */
  time: EventTime | null;
}

/** How an event stands before and after answers to it. */
export interface Answered {
  before: CalendarEvent;
  after: CalendarEvent;
}

/** Of two answers of one moment the same counts, whichever comes first. */
const RANKS: readonly Answer[] = ['none', 'delegated', 'tentative', 'accepted', 'declined'];

/** What an answer says besides (COMMENT, RFC 5545 §3.8.1.4). */
function lineOf({ passthrough }: EventDraft): string {
  const comment = passthrough?.properties.find(([name]) => name === 'comment')?.[3];
  return typeof comment === 'string' ? comment : '';
}

const isSame = (a: Pick<Attendee, 'address'>, b: Pick<Attendee, 'address'>) =>
  a.address !== '' && a.address.toLowerCase() === b.address.toLowerCase();

/** Whether an answer given at a moment is later than what is known of an attendee. */
function isLater(known: Attendee, answer: Answer, at: EpochMs): boolean {
  if (known.answeredAt === undefined) return true;
  if (at !== known.answeredAt) return at > known.answeredAt;
  return RANKS.indexOf(answer) > RANKS.indexOf(known.answer);
}

/** Attendees with an answer of one of them; the same list where it brings nothing, or is of nobody who was asked. */
function withAnswer(attendees: readonly Attendee[], draft: EventDraft): readonly Attendee[] {
  const [said] = draft.attendees;
  const at = said ? attendees.findIndex((one) => isSame(one, said)) : -1;
  const known = attendees[at];
  if (!said || !known || !isLater(known, said.answer, draft.updated)) return attendees;
  const { line: _line, ...rest } = known;
  const line = lineOf(draft);
  const answered = {
    ...rest,
    answer: said.answer,
    answeredAt: draft.updated,
    ...(line && { line }),
  };
  const next = attendees.with(at, answered);
  return said.answer === 'delegated' ? withInstead(next, at, draft.attendees.slice(1), said) : next;
}

/** Attendees with whoever one of them passed it on to (RFC 5546 §3.2.3), named by both sides. */
function withInstead(
  attendees: readonly Attendee[],
  at: number,
  others: readonly Attendee[],
  said: Attendee,
): readonly Attendee[] {
  const to = said.parameters?.['delegated-to'];
  const parameters = {
    ...attendees[at]!.parameters,
    ...(to !== undefined && { 'delegated-to': to }),
  };
  const fresh = others.filter((one) => !attendees.some((known) => isSame(known, one)));
  return [...attendees.with(at, { ...attendees[at]!, parameters }), ...fresh];
}

/** An event with an answer to it, or to one date of it; the same event where the answer brings nothing. */
function answered(event: CalendarEvent, { draft, time }: AnswerDraft): CalendarEvent {
  if (time === null || !isSeries(event)) {
    const attendees = withAnswer(event.attendees, draft);
    return attendees === event.attendees ? event : { ...event, attendees: [...attendees] };
  }
  const key = dateKeyFor(event.start, time);
  const date = dateAsEvent(event, key);
  const attendees = withAnswer(date.attendees, draft);
  if (attendees === date.attendees) return event;
  const change = { ...event.changedDates[key], attendees: [...attendees] };
  return { ...event, changedDates: { ...event.changedDates, [key]: change } };
}

/** What answers do to the events that they are to, and of which nothing is here, in words. */
export function planAnswers(
  answers: readonly AnswerDraft[],
  eventOf: (uid: string) => CalendarEvent | undefined,
): { events: Answered[]; notes: string[] } {
  const events = new Map<string, Answered>();
  const notes: string[] = [];
  for (const answer of answers) {
    const { uid, attendees } = answer.draft;
    const before = events.get(uid)?.before ?? eventOf(uid);
    if (!before) {
      const who = attendees[0]?.name || attendees[0]?.address || 'Somebody';
      notes.push(`${who} answered ${quotedTitle(answer.draft)}, which is not here.`);
      continue;
    }
    const after = answered(events.get(uid)?.after ?? before, answer);
    events.set(uid, { before, after });
  }
  return { events: [...events.values()], notes };
}
