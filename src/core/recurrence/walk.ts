import { DAY } from '../time/civil';
import type { Series } from './expand';
import { expandSeries, MAX_DATES, ruleStarts } from './expand';
import { END_OF_TIME } from './generate';

/** The first `n` dates (nominal starts, wall ms) of a series at or after `from`, skipped ones left out. */
export function nextStarts(series: Series, from: number, n: number): number[] {
  // Of so many that the rule gives, n are left even when every skip falls among them.
  const ruled = ruleStarts(series, from, END_OF_TIME, n + series.skipped.size).starts;
  const extra = series.extra.filter((wall) => wall >= from);
  const planned = [...new Set([...ruled, ...extra])].sort((a, b) => a - b);
  const last = planned[Math.min(planned.length, n + series.skipped.size) - 1];
  return last === undefined ? [] : expandSeries(series, from, last + 1).starts.slice(0, n);
}

/** The last date (nominal start, wall ms) that the rule gives before `to`, or null. */
export function lastRuleStart(
  series: Pick<Series, 'start' | 'zone' | 'rule'>,
  to: number,
): number | null {
  for (let days = 1; ; days *= 8) {
    const from = Math.max(series.start, to - days * DAY);
    const { starts } = ruleStarts(series, from, to, Infinity);
    if (starts.length) return starts[starts.length - 1]!;
    if (from <= series.start) return null;
  }
}

/** How many dates there are: `isEndless` when the series has no end, `isCut` when there are more than `count`. */
export interface DateCount {
  count: number;
  isEndless: boolean;
  isCut: boolean;
}

/** Whether a series goes on without COUNT and UNTIL. */
export function isEndless(series: Pick<Series, 'rule'>): boolean {
  return series.rule !== null && series.rule.count === undefined && !series.rule.until;
}

/** Counts the dates of a series at or after `from` (wall ms), up to MAX_DATES; of an endless one none are counted. */
export function countDates(series: Series, from: number): DateCount {
  if (isEndless(series)) return { count: 0, isEndless: true, isCut: false };
  const { starts, cut } = expandSeries(series, from, END_OF_TIME);
  return { count: Math.min(starts.length, MAX_DATES), isEndless: false, isCut: cut };
}
