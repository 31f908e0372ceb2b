import { DAY, MINUTE } from '../time/civil';
import { instantFromWall } from '../time/zones';
import type { DayNumber } from '../time/units';
import type { Occurrence } from './occurrence';
import { isBooked, takenMs } from './occurrence';

/** A stretch of time, in wall ms or epoch ms; the end is exclusive. */
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
 * Booked minutes of each day in [fromDay, toDay), as days begin in a zone: time that timed events
 * other than free ones take, with the way there and back, as it really passes, counted once where they overlap. Whole-day events
 * say how a day stands, not how many hours it holds.
 */
export function bookedMinutes(
  occurrences: readonly Occurrence[],
  fromDay: DayNumber,
  toDay: DayNumber,
  zone: string,
): number[] {
  const minutes = new Array<number>(Math.max(0, toDay - fromDay)).fill(0);
  const taken = occurrences.filter((o) => !o.wholeDay && isBooked(o));
  const beginOf = (day: DayNumber) => instantFromWall(day * DAY, zone);
  for (const { start, end } of mergeStretches(taken.map(takenMs))) {
    // No zone is further from UTC than a day, and a day may be left out.
    const low = Math.max(fromDay, Math.floor(start / DAY) - 2);
    for (let day = low; day < toDay && beginOf(day) < end; day++) {
      const from = Math.max(start, beginOf(day));
      const to = Math.min(end, beginOf(day + 1));
      if (to > from) minutes[day - fromDay]! += (to - from) / MINUTE;
    }
  }
  return minutes;
}
