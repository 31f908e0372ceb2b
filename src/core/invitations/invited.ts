import type { EventDraft } from '../files/ics/readEvent';
import type { Answer, Attendee } from '../model/attendees';
import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import type { EventField } from '../model/eventFields';
import type { EpochMs } from '../time/units';
import type { AskedVersion, GuestAnswer } from './answers';
import { guestAnswer, withAnswers } from './answers';
import { SAID } from './fields';
import type { InviteMessage } from './messages';
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

const isSame = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

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

/** What is known of a guest's answer where they wrote none from here: as it is asked, or as it stood while it was to the same time. */
function answerOtherwise(
  { draft }: Standing,
  { current, was, me }: Pick<InvitedSetting, 'was' | 'me'> & { current: CalendarEvent | undefined },
): GuestAnswer | null {
  const asked = partOf(draft, me);
  const mine = current && partOf(current, me);
  const isSameTime =
    was !== null && isSame([was.start, was.end, was.rule], [draft.start, draft.end, draft.rule]);
  const known = mine && mine.answer !== 'none' && isSameTime ? mine : asked;
  if (!known) return null;
  const { answer, answeredAt, line } = known;
  return { whole: definedOnly({ answer, answeredAt, line }), dates: new Map() };
}

const definedOnly = <T extends object>(fields: T): T =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;

interface InvitedSetting {
  /** The event as it was asked before this; null where it was not. */
  was: EventDraft | null;
  me: string;
  id: string;
  calendarId: string;
  now: EpochMs;
  /** What the guest wrote of it: replies and proposals. */
  written: readonly InviteMessage[];
  /** The event as it was asked at each SEQUENCE that the guest answered to. */
  versions: readonly AskedVersion[];
}

/** The guest's own part among those of an event; added where the organizer asked them by another list. */
function withSelf(attendees: readonly Attendee[], me: string, own: GuestAnswer | null) {
  if (!own || own.whole.answer === 'none' || partOf({ attendees: [...attendees] }, me))
    return [...attendees];
  return [...attendees, { name: '', address: me, role: 'required' as const, ...own.whole }];
}

/** Changed dates as an organizer has them, with how each takes the guest's time by their answer to it. */
function datesOfGuest(
  changedDates: CalendarEvent['changedDates'],
  { draft }: Standing,
  me: string,
): CalendarEvent['changedDates'] {
  return Object.fromEntries(
    Object.entries(changedDates).map(([key, date]) => {
      const mine = date.attendees && partOf({ attendees: date.attendees }, me);
      const asked = draft.changedDates[key]?.availability ?? draft.availability;
      return [key, mine ? { ...date, availability: availabilityFor(mine.answer, asked) } : date];
    }),
  );
}

/**
 * The event that an invitation comes to on the guest's own calendar: what the organizer says, as far
 * as it differs from what they said before; the rest stays as the guest has it. Their answer is their
 * newest word that is to the time it has now, of the whole and of each date.
 */
export function invitedEvent(
  standing: Standing,
  current: CalendarEvent | undefined,
  { was, me, id, calendarId, now, written, versions }: InvitedSetting,
): CalendarEvent {
  const { draft } = standing;
  const fresh = newEvent({ ...draft, id, calendarId }, now);
  const base: CalendarEvent = current ?? { ...fresh, reminders: null, categoryIds: [] };
  const said: Partial<Record<(typeof INVITED)[number], unknown>> = {};
  for (const field of INVITED)
    if (!current || !was || !isSame(draft[field], was[field])) said[field] = draft[field];
  const own =
    guestAnswer(written, versions, { address: me, now: draft }) ??
    answerOtherwise(standing, { current, was, me });
  const { skippedDates } = draft;
  const kept = Object.entries(current?.changedDates ?? {}).filter(
    ([key, { attendees }]) => !said.changedDates || (attendees && !skippedDates.includes(key)),
  );
  const dates = { ...Object.fromEntries(kept), ...(said.changedDates as object) };
  const { attendees, changedDates } = withAnswers(
    { attendees: withSelf(draft.attendees, me, own), changedDates: dates },
    (one) => (isSameAddress(one.address, me) ? own : null),
  );
  const mine = partOf({ attendees }, me);
  const next: CalendarEvent = {
    ...base,
    ...(said as Partial<CalendarEvent>),
    organizer: draft.organizer,
    attendees,
    changedDates: datesOfGuest(changedDates, standing, me),
    availability: availabilityFor(mine?.answer ?? 'none', draft.availability),
    invited: (mine?.answer ?? 'none') === 'none' ? 'unanswered' : 'answered',
    // Its revision is the organizer's, which an answer names.
    revision: standing.sequence,
    updated: now,
  };
  for (const field of ['rule', 'clockDays'] as const)
    if (next[field] === undefined) delete next[field];
  return next;
}
