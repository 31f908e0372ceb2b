import { dayOfWall } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Occurrence } from './occurrence';

/** Adds an occurrence to each of the days that it touches. */
export function putOnDays(days: Map<DayNumber, Occurrence[]>, o: Occurrence): void {
  const last = dayOfWall(Math.max(o.start, o.end - 1));
  for (let day = dayOfWall(o.start); day <= last; day++) {
    const list = days.get(day);
    if (list) list.push(o);
    else days.set(day, [o]);
  }
}

/** Occurrences by each of the days that they touch. */
export function byDay(occurrences: readonly Occurrence[]): Map<DayNumber, Occurrence[]> {
  const days = new Map<DayNumber, Occurrence[]>();
  for (const o of occurrences) putOnDays(days, o);
  return days;
}
