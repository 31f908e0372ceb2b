import type { Occurrence } from '../agenda/occurrence';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import { isTop } from '../agenda/parts';

/** Hours of the day, in minutes after midnight. */
export interface Hours {
  from: number;
  to: number;
}

/** Hours that hold every timed event shown, on whole hours. */
export function hoursAround(occurrences: readonly Occurrence[], usual: Hours): Hours {
  const hours = { ...usual };
  for (const o of occurrences.filter((candidate) => !isTop(candidate))) {
    const day = dayOfWall(o.start) * DAY;
    const crosses = o.end > day + DAY;
    hours.from = crosses ? 0 : Math.min(hours.from, Math.floor((o.start - day) / MINUTE / 60) * 60);
    hours.to = crosses ? 1440 : Math.max(hours.to, Math.ceil((o.end - day) / MINUTE / 60) * 60);
  }
  return hours;
}
