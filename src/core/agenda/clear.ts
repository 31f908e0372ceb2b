import { DAY, MINUTE } from '../time/civil';
import type { Stretch } from './booked';
import { mergeStretches } from './booked';
import type { Occurrence } from './occurrence';
import { isBooked } from './occurrence';

/**
 * The clear stretches of a day (day number) within hours (minutes of the day): what no booked timed
 * event takes. A busy or away whole day leaves nothing. Wall ms.
 */
export function clearStretches(
  day: number,
  occurrences: readonly Occurrence[],
  hours: { from: number; to: number } | null,
): Stretch[] {
  if (!hours) return [];
  const low = day * DAY + hours.from * MINUTE;
  const high = day * DAY + hours.to * MINUTE;
  const booked = occurrences.filter((o) => isBooked(o) && o.start < high && o.end > low);
  if (booked.some((o) => o.wholeDay && o.availability !== 'tentative')) return [];
  const clear: Stretch[] = [];
  let from = low;
  for (const { start, end } of mergeStretches(booked.filter((o) => !o.wholeDay))) {
    if (start > from) clear.push({ start: from, end: start });
    from = Math.max(from, end);
  }
  if (from < high) clear.push({ start: from, end: high });
  return clear;
}

/** Minutes that stretches last together. */
export const minutesOf = (stretches: readonly Stretch[]) =>
  stretches.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
