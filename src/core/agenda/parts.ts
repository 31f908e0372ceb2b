import type { Occurrence } from './occurrence';
import { DAY, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';

/** Whole-day and long events: they stand on top of a day, not among its hours. */
export const isTop = (o: Pick<Occurrence, 'wholeDay' | 'start' | 'end'>) =>
  o.wholeDay || o.end - o.start >= DAY;

/** Whether a day never looks open under an occurrence. */
export const takesDay = ({ availability }: Pick<Occurrence, 'availability'>) =>
  availability === 'busy' || availability === 'away';

/** The part of an occurrence on a day (day number), in minutes of that day; null when it has none. */
export function partOn(
  o: Pick<Occurrence, 'start' | 'end'>,
  day: DayNumber,
): { from: number; to: number } | null {
  const low = day * DAY;
  const isPoint = o.start === o.end;
  if (o.start >= low + DAY || (isPoint ? o.start < low : o.end <= low)) return null;
  return {
    from: Math.max(0, (o.start - low) / MINUTE),
    to: Math.min(1440, (o.end - low) / MINUTE),
  };
}

/** First day of an occurrence and the day after its last one, as day numbers. */
export function daysOf(o: Pick<Occurrence, 'start' | 'end'>): { first: number; past: number } {
  const first = Math.floor(o.start / DAY);
  return { first, past: Math.max(first + 1, Math.ceil(o.end / DAY)) };
}

/** Which of its days a day is, from 1, of how many. */
export function nthDay(o: Pick<Occurrence, 'start' | 'end'>, day: DayNumber) {
  const { first, past } = daysOf(o);
  return { nth: day - first + 1, of: past - first };
}

/** How many occurrences lie in a range (day numbers, `to` excluded), but on none of its shown days. */
export function countLeftOut(
  occurrences: readonly Occurrence[],
  range: { from: number; to: number; days: readonly number[] },
): number {
  const { from, to, days } = range;
  if (days.length === to - from) return 0;
  const shown = new Set(days);
  const isShown = (o: Occurrence) => {
    const { first, past } = daysOf(o);
    for (let day = Math.max(first, from); day < Math.min(past, to); day++)
      if (shown.has(day)) return true;
    return past <= from || first >= to;
  };
  return occurrences.filter((o) => !isShown(o)).length;
}
