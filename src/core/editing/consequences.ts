import { clashesWith } from '../agenda/clashes';
import type { Occurrence } from '../agenda/occurrence';
import { quotedTitle } from '../model/titleOf';
import type { Workweek } from '../model/others';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';

/** A span that an event would have: wall ms of the zone that looks at it, and epoch ms. */
export interface PlannedSpan {
  start: number;
  end: number;
  startMs: EpochMs;
  endMs: EpochMs;
  wholeDay: boolean;
  isBooked: boolean;
  /** Minutes that it takes to get there, and back. */
  travelBefore?: number;
  travelAfter?: number;
}

/** The same with the way there and back, which takes the person's time too. */
export const withTravel = (span: PlannedSpan): PlannedSpan => ({
  ...span,
  startMs: span.startMs - (span.travelBefore ?? 0) * MINUTE,
  endMs: span.endMs + (span.travelAfter ?? 0) * MINUTE,
});

/** What is odd about the hours of a span, in words; null when nothing is. */
export function hoursProblem(span: PlannedSpan, workweek: Workweek): string | null {
  const day = dayOfWall(span.start);
  const { hours } = workdayOf(day, workweek);
  if (!hours) return 'On a day off';
  if (span.wholeDay) return null;
  const from = (span.start - day * DAY) / MINUTE;
  const to = (span.end - day * DAY) / MINUTE;
  return from < hours.from || to > hours.to ? 'Outside working hours' : null;
}

/** Whole days that take the person's time, busy or away, on which a span falls. */
export const blockingDays = (
  span: Pick<PlannedSpan, 'start' | 'end'>,
  around: readonly Occurrence[],
  ownEventId: string | null,
): Occurrence[] =>
  around.filter(
    (o) =>
      o.wholeDay &&
      o.eventId !== ownEventId &&
      (o.availability === 'busy' || o.availability === 'away') &&
      o.start < span.end &&
      o.end > span.start,
  );

/**
 * What an event at a span would meet, one short sentence each: clashes, days that something whole
 * blocks, hours outside of work. `around` are the occurrences of its days; the event's own are left out.
 */
export function consequencesOf(
  span: PlannedSpan,
  around: readonly Occurrence[],
  ownEventId: string | null,
  workweek: Workweek,
): string[] {
  const said: string[] = [];
  const clashes =
    span.isBooked && !span.wholeDay ? clashesWith(around, withTravel(span), ownEventId) : [];
  if (clashes.length === 1) said.push(`Overlaps ${quotedTitle(clashes[0]!)}`);
  if (clashes.length > 1)
    said.push(`Overlaps ${quotedTitle(clashes[0]!)} and ${clashes.length - 1} more`);
  const [blocking] = blockingDays(span, around, ownEventId);
  if (blocking) said.push(`${quotedTitle(blocking)} lasts all that day`);
  const hours = hoursProblem(span, workweek);
  if (hours) said.push(hours);
  return said;
}
