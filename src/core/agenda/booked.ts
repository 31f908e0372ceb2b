import { DAY, MINUTE } from '../time/civil';
import type { Occurrence } from './occurrence';
import { isBooked } from './occurrence';

/** A stretch of wall time, in wall ms; the end is exclusive. */
export interface Stretch {
  start: number;
  end: number;
}

/** Joins stretches that overlap or touch; the result is in order. */
export function mergeStretches(stretches: readonly Stretch[]): Stretch[] {
  const merged: Stretch[] = [];
  for (const { start, end } of [...stretches].sort((a, b) => a.start - b.start)) {
    const last = merged[merged.length - 1];
    if (last && start <= last.end) last.end = Math.max(last.end, end);
    else merged.push({ start, end });
  }
  return merged;
}

/**
 * Booked minutes of each day in [fromDay, toDay): time that timed events other than free ones take,
 * counted once where they overlap. Whole-day events say how a day stands, not how many hours it holds.
 */
export function bookedMinutes(
  occurrences: readonly Occurrence[],
  fromDay: number,
  toDay: number,
): number[] {
  const minutes = new Array<number>(Math.max(0, toDay - fromDay)).fill(0);
  const taken = occurrences.filter((o) => !o.wholeDay && isBooked(o));
  for (const { start, end } of mergeStretches(taken)) {
    const low = Math.max(fromDay, Math.floor(start / DAY));
    for (let day = low; day < toDay && day * DAY < end; day++) {
      const from = Math.max(start, day * DAY);
      const to = Math.min(end, (day + 1) * DAY);
      minutes[day - fromDay]! += (to - from) / MINUTE;
    }
  }
  return minutes;
}
