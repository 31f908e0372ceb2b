import { MINUTE, minuteOfDay } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { Wording } from '../time/words';
import { sayLength, sayMinute } from '../time/words';
import type { Occurrence } from './occurrence';
import { takenWall } from './occurrence';

const MINUTES_A_DAY = 24 * 60;

/** Whole minutes from one moment to another (both ms), as they are told everywhere: one that has begun counts. */
export const minutesUntil = (from: number, to: number): number =>
  Math.max(0, Math.ceil((to - from) / MINUTE));

/** How an event stands to an instant: "in 8 min", "now, ends in 35 min", "all day", "over". */
export function sayStanding(
  { startMs, endMs, wholeDay }: Pick<Occurrence, 'startMs' | 'endMs' | 'wholeDay'>,
  now: EpochMs,
): string {
  const until = (instant: EpochMs) => minutesUntil(now, instant);
  if (startMs > now) {
    const days = Math.floor(until(startMs) / MINUTES_A_DAY);
    return days > 1 ? `in ${days} days` : `in ${sayLength(until(startMs))}`;
  }
  if (endMs <= now && endMs > startMs) return 'over';
  if (wholeDay) return 'all day';
  return endMs > now ? `now, ends in ${sayLength(until(endMs))}` : 'now';
}

/** "leave by 13:35", on the clock that looks at an event; empty where getting there takes no time. */
export const sayLeaveBy = (
  o: Pick<Occurrence, 'start' | 'end' | 'travelBefore' | 'travelAfter'>,
  { hourCycle }: Pick<Wording, 'hourCycle'>,
): string =>
  o.travelBefore > 0 ? `leave by ${sayMinute(minuteOfDay(takenWall(o).start), hourCycle)}` : '';
