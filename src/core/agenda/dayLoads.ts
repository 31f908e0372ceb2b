import { daysOf, takesDay } from './parts';
import { bookedMinutes } from './booked';
import type { Occurrence } from './occurrence';
import type { DayNumber } from '../time/units';

/** How booked days are; each list has an entry a day. */
export interface DayLoads {
  /** Minutes of timed events, counted once where they overlap. */
  booked: number[];
  events: number[];
  /** Whether a busy or away whole day lies on it. */
  isTaken: boolean[];
}

/** How booked each day of [fromDay, toDay) is (day numbers), as days begin in a zone. */
export function dayLoads(
  occurrences: readonly Occurrence[],
  fromDay: DayNumber,
  toDay: DayNumber,
  zone: string,
): DayLoads {
  const days = Math.max(0, toDay - fromDay);
  const events = new Array<number>(days).fill(0);
  const isTaken = new Array<boolean>(days).fill(false);
  for (const o of occurrences) {
    const { first, past } = daysOf(o);
    for (let day = Math.max(first, fromDay); day < Math.min(past, toDay); day++) {
      events[day - fromDay]!++;
      if (o.wholeDay && takesDay(o)) isTaken[day - fromDay] = true;
    }
  }
  return { booked: bookedMinutes(occurrences, fromDay, toDay, zone), events, isTaken };
}
