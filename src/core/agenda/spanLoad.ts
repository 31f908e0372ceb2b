import type { Weekday } from '../time/civil';
import { startOfWeek } from '../time/civil';
import type { DayNumber } from '../time/units';
import { daysOf } from './parts';
import { clearStretches, clearMinutes } from './clear';
import type { Occurrence } from './occurrence';
import { minutesWithin } from './table';

/** Minutes of a week, or of a day, in all and by key. */
export interface PartLoad {
  /** Its first day (day number). */
  day: DayNumber;
  byKey: ReadonlyMap<string, number>;
  total: number;
  /** Minutes of working hours that nothing takes. */
  clear: number;
}

export interface SpanLoad {
  /** Days in each part: 1, or 7 in longer spans. */
  step: 1 | 7;
  parts: PartLoad[];
  /** Minutes by key over the whole span, the most first. */
  byKey: { key: string; minutes: number }[];
  /** As the table totals: each event counts for itself. */
  total: number;
  /** Minutes of working hours that nothing takes. */
  clear: number;
}

/** The longest span that is told by days. */
const MOST_DAYS = 14;

/**
 * Hours of timed events other than free ones by week (by day in a short span) and by key (a calendar, or a category of
 * which the first counts), over [fromDay, toDay). The sums are those of the table's totals.
 */
export function spanLoad(
  occurrences: readonly Occurrence[],
  {
    fromDay,
    toDay,
    firstWeekday,
    by,
    zone,
    hoursOf,
  }: {
    fromDay: DayNumber;
    toDay: DayNumber;
    firstWeekday: Weekday;
    by: 'calendar' | 'category';
    /** The zone on whose clock days begin. */
    zone: string;
    hoursOf(day: DayNumber): { from: number; to: number } | null;
  },
): SpanLoad {
  const keyOf = (o: Occurrence) => (by === 'calendar' ? o.calendarId : (o.categoryIds[0] ?? ''));
  const totals = new Map<string, number>();
  const parts: PartLoad[] = [];
  const onDay = byDay(occurrences, fromDay, toDay);
  const step = toDay - fromDay > MOST_DAYS ? 7 : 1;
  const first = step === 7 ? startOfWeek(fromDay, firstWeekday) : fromDay;
  for (let day = first; day < toDay; day += step) {
    const from = Math.max(day, fromDay);
    const to = Math.min(day + step, toDay);
    const days = onDay.slice(from - fromDay, to - fromDay);
    const byKey = new Map<string, number>();
    let total = 0;
    for (const o of new Set(days.flat())) {
      const minutes = minutesWithin(o, from, to);
      if (minutes === 0) continue;
      byKey.set(keyOf(o), (byKey.get(keyOf(o)) ?? 0) + minutes);
      totals.set(keyOf(o), (totals.get(keyOf(o)) ?? 0) + minutes);
      total += minutes;
    }
    const clear = days.reduce(
      (sum, there, i) =>
        sum + clearMinutes(clearStretches(from + i, there, hoursOf(from + i)), zone),
      0,
    );
    parts.push({ day, byKey, total, clear });
  }
  return {
    step,
    parts,
    byKey: [...totals]
      .map(([key, minutes]) => ({ key, minutes }))
      .sort((a, b) => b.minutes - a.minutes),
    total: parts.reduce((sum, part) => sum + part.total, 0),
    clear: parts.reduce((sum, part) => sum + part.clear, 0),
  };
}

/** What touches each day of [fromDay, toDay). */
function byDay(
  occurrences: readonly Occurrence[],
  fromDay: DayNumber,
  toDay: DayNumber,
): Occurrence[][] {
  const days = Array.from({ length: Math.max(0, toDay - fromDay) }, (): Occurrence[] => []);
  for (const o of occurrences) {
    const { first, past } = daysOf(o);
    for (let day = Math.max(first, fromDay); day < Math.min(past, toDay); day++)
      days[day - fromDay]!.push(o);
  }
  return days;
}
