import type { EventDraft } from '../files/ics/readEvent';
import type { Answer, Attendee } from '../model/attendees';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import type { EventField } from '../model/eventFields';
import type { EpochMs } from '../time/units';
import { SAID } from './fields';
import { isSameAddress } from './party';
import type { Standing } from './standing';

/** The fields that are the organizer's to say; all others are the guest's own. */
const INVITED = [
  ...SAID,
  'clockDays',
  'rule',
  'extraDates',
  'skippedDates',
  'changedDates',
] as const satisfies readonly EventField[];

/** Those of which a difference makes an answer given before void. */
const WHEN = ['start', 'end', 'rule', 'extraDates', 'changedDates'] as const;

const isSame = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** Whether two versions of an event ask for the same time. */
const isSameTime = (a: EventDraft, b: EventDraft): boolean =>
  WHEN.every((field) => isSame(a[field], b[field]));

/** The part of somebody, by address, in an event. */
export const partOf = (
  { attendees }: Pick<CalendarEvent, 'attendees'>,
  address: string,
): Attendee | undefined => attendees.find((one) => isSameAddress(one.address, address));

/** How an invited event takes the guest's time, by what they answered: nothing, while they did not. */
export function availabilityFor(
  answer: Answer,
  asked: CalendarEvent['availability'],
): CalendarEvent['availability'] {
  if (answer === 'accepted') return asked === 'tentative' ? 'busy' : asked;
  return answer === 'tentative' ? 'tentative' : 'free';
}

/** What the guest has answered to an event as it is asked now; an answer to another time is none. */
function answerNow(
  standing: Standing,
  { current, was, me }: { current: CalendarEvent | undefined; was: EventDraft | null; me: string },
): Attendee | undefined {
  const asked = partOf(standing.draft, me);
  const mine = current && partOf(current, me);
  if (!mine || mine.answer === 'none') return asked;
  if (asked && asked.answer !== 'none') return asked;
  const holds = isSameTime(standing.draft, current) || (was && isSameTime(was, standing.draft));
  return holds ? { ...(asked ?? mine), ...answerFields(mine) } : asked;
}

const answerFields = ({ answer, answeredAt, line }: Attendee) => ({
  answer,
  ...(answeredAt !== undefined && { answeredAt }),
  ...(line !== undefined && { line }),
});

interface InvitedSetting {
  /** The event as it was asked before this; null where it was not. */
  was: EventDraft | null;
  me: string;
  id: string;
  calendarId: string;
  now: EpochMs;
}

/** Changed dates as the organizer has them, with what the guest answered to single ones. */
function withOwnAnswers(
  said: CalendarEvent['changedDates'],
  { changedDates }: CalendarEvent,
  skipped: readonly string[],
): CalendarEvent['changedDates'] {
  const own = Object.entries(changedDates).flatMap(([key, { attendees, availability }]) =>
    attendees && !(key in said) && !skipped.includes(key)
      ? [[key, { attendees, ...(availability && { availability }) }] as const]
      : [],
  );
  return { ...Object.fromEntries(own), ...said };
}

/**
 * The event that an invitation comes to on the guest's own calendar: what the organizer says, as far
 * as it differs from what they said before; the rest stays as the guest has it.
 */
export function invitedEvent(
  standing: Standing,
  current: CalendarEvent | undefined,
  { was, me, id, calendarId, now }: InvitedSetting,
): CalendarEvent {
  const { draft } = standing;
  const fresh = newEvent({ ...draft, id, calendarId }, now);
  const base: CalendarEvent = current ?? { ...fresh, reminders: null, categoryIds: [] };
  const said: Partial<Record<(typeof INVITED)[number], unknown>> = {};
  for (const field of INVITED)
    if (!current || !was || !isSame(draft[field], was[field])) said[field] = draft[field];
  if (current && said.changedDates)
    said.changedDates = withOwnAnswers(draft.changedDates, current, draft.skippedDates);
  const mine = answerNow(standing, { current, was, me });
  const attendees = draft.attendees.map((one) =>
    mine && isSameAddress(one.address, me) ? mine : one,
  );
  const next: CalendarEvent = {
    ...base,
    ...(said as Partial<CalendarEvent>),
    organizer: draft.organizer,
    attendees,
    availability: availabilityFor(mine?.answer ?? 'none', draft.availability),
    invited: (mine?.answer ?? 'none') === 'none' ? 'unanswered' : 'answered',
    // Its revision is the organizer's, which an answer names.
    revision: draft.revision,
    updated: now,
  };
  for (const field of ['rule', 'clockDays'] as const)
    if (next[field] === undefined) delete next[field];
  return next;
}
