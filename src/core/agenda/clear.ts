import { DAY, MINUTE } from '../time/civil';
import { instantFromWall } from '../time/zones';
import type { DayNumber, WallMs } from '../time/units';
import type { Stretch } from './booked';
import { mergeStretches } from './booked';
import type { Occurrence } from './occurrence';
import { isBooked, takenWall } from './occurrence';

/**
 * The clear stretches of a day (day number) within hours (minutes of the day): what no booked timed
 * event takes, with the way there and back. A busy or away whole day leaves nothing; an event of no length takes nothing. Wall ms.
 */
export function clearStretches(
  day: DayNumber,
  occurrences: readonly Occurrence[],
  hours: { from: number; to: number } | null,
): Stretch[] {
  if (!hours) return [];
  const low = day * DAY + hours.from * MINUTE;
  const high = day * DAY + hours.to * MINUTE;
  const booked = occurrences
    .filter((o) => isBooked(o) && o.end > o.start)
    .map((o) => ({ ...takenWall(o), o }))
    .filter(({ start, end }) => start < high && end > low);
  if (booked.some(({ o }) => o.wholeDay && o.availability !== 'tentative')) return [];
  const clear: Stretch[] = [];
  let from = low;
  for (const { start, end } of mergeStretches(booked.filter(({ o }) => !o.wholeDay))) {
    if (start > from) clear.push({ start: from, end: start });
    from = Math.max(from, end);
  }
  if (from < high) clear.push({ start: from, end: high });
  return clear;
}

/** Minutes that really pass in stretches of a zone's clock: a night of a clock change has an hour more or less. */
export const clearMinutes = (stretches: readonly Stretch[], zone: string) =>
  stretches.reduce(
    (sum, { start, end }) =>
      sum + (instantFromWall(end, zone) - instantFromWall(start, zone)) / MINUTE,
    0,
  );

const QUARTER = 15 * MINUTE;

/**
 * Returns when so many minutes are free first within clear stretches, on a quarter of an hour and not before
 * a time. Stretches and times are wall ms; null where they never are.
 */
export function firstFree(
  minutes: number,
  stretches: readonly Stretch[],
  notBefore: WallMs,
): WallMs | null {
  for (const { start, end } of stretches) {
    const from = Math.ceil(Math.max(start, notBefore) / QUARTER) * QUARTER;
    if (from + minutes * MINUTE <= end) return from;
  }
  return null;
}
