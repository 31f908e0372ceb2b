import {
  civilDate,
  DAY,
  dayNumber,
  dayOfWall,
  daysInMonth,
  startOfWeek,
  weekdayOf,
} from '../time/civil';
import { explicitRule } from './explicitRule';
import type { Rule, RuleDay } from './rule';

/**
 * The rules that people use most, by plain arithmetic: one time of day, on days that FREQ and one
 * kind of part name. Everything else goes period by period (`expandRule.ts`), which gives the same.
 */

/** Puts the starts (wall ms, ascending) of a rule in [low, high) into `found`; stops when it holds `limit`. */
export type CommonRule = (low: number, high: number, limit: number, found: number[]) => void;

function daily(rule: Rule, start: number): CommonRule {
  const step = rule.interval * DAY;
  return (low, high, limit, found) => {
    let wall = start + Math.max(0, Math.ceil((low - start) / step)) * step;
    for (; wall < high && found.length < limit; wall += step) found.push(wall);
  };
}

function weekly(rule: Rule, start: number): CommonRule {
  const startDay = dayOfWall(start);
  const weekZero = startOfWeek(startDay, rule.weekStart);
  const ofDay = start - startDay * DAY;
  const offsets = [...new Set(rule.byDay.map(({ weekday }) => (weekday - rule.weekStart + 7) % 7))]
    .sort((a, b) => a - b)
    .map((offset) => offset * DAY + ofDay);
  const step = rule.interval * 7 * DAY;
  const zero = weekZero * DAY;
  return (low, high, limit, found) => {
    const from = Math.max(low, start);
    for (let week = zero + Math.max(0, Math.floor((from - zero) / step)) * step; ; week += step) {
      if (week >= high) return;
      for (const offset of offsets) {
        const wall = week + offset;
        if (wall < from) continue;
        if (wall >= high || found.length >= limit) return;
        found.push(wall);
      }
    }
  };
}

/**
 * The day (day number) that one BYMONTHDAY or nth BYDAY entry picks in a month whose first day and
 * length are given; null where it has none.
 */
export function dayOfEntry(entry: number | RuleDay, first: number, length: number): number | null {
  if (typeof entry === 'number') {
    const ofMonth = entry > 0 ? entry : length + 1 + entry;
    return ofMonth >= 1 && ofMonth <= length ? first + ofMonth - 1 : null;
  }
  const firstMatch = (entry.weekday - weekdayOf(first) + 7) % 7;
  const day =
    entry.nth > 0
      ? firstMatch + 7 * (entry.nth - 1)
      : firstMatch + 7 * (Math.floor((length - 1 - firstMatch) / 7) + 1 + entry.nth);
  return day >= 0 && day < length ? first + day : null;
}

const NO_DAYS: readonly number[] = [];

/** The days that entries pick in a month, ascending, each once. */
function daysOf(
  entries: readonly (number | RuleDay)[],
  first: number,
  length: number,
): readonly number[] {
  if (entries.length === 1) {
    const day = dayOfEntry(entries[0]!, first, length);
    return day === null ? NO_DAYS : [day];
  }
  const days = entries
    .map((entry) => dayOfEntry(entry, first, length))
    .filter((day) => day !== null);
  return [...new Set(days)].sort((a, b) => a - b);
}

/** Months, `step` apart (or those named by `months` in years that far apart), each with the days of `entries`. */
function inMonths(
  start: number,
  entries: readonly (number | RuleDay)[],
  step: number,
  months: readonly number[] | null,
): CommonRule {
  const startDay = dayOfWall(start);
  const ofDay = start - startDay * DAY;
  const begin = civilDate(startDay);
  const zero = months ? begin.year * 12 : begin.year * 12 + begin.month - 1;
  const within = months ? [...months].sort((a, b) => a - b).map((month) => month - 1) : [0];
  return (low, high, limit, found) => {
    const from = Math.max(low, start);
    const at = civilDate(dayOfWall(from));
    const behind = at.year * 12 + at.month - 1 - zero;
    let index = zero + Math.max(0, Math.floor(behind / step)) * step;
    for (; ; index += step) {
      for (const offset of within) {
        const year = Math.floor((index + offset) / 12);
        const month = ((index + offset) % 12) + 1;
        const first = dayNumber(year, month, 1);
        if (first * DAY >= high) return;
        const length = daysInMonth(year, month);
        for (const day of daysOf(entries, first, length)) {
          const wall = day * DAY + ofDay;
          if (wall < from) continue;
          if (wall >= high || found.length >= limit) return;
          found.push(wall);
        }
      }
    }
  };
}

/** Whether a rule has any part that the arithmetic here doesn't know. */
function hasOtherParts(rule: Rule): boolean {
  return (
    rule.skip !== 'OMIT' ||
    rule.byHour.length +
      rule.byMinute.length +
      rule.bySecond.length +
      rule.bySetPos.length +
      rule.byYearDay.length +
      rule.byWeekNo.length >
      0
  );
}

function compile(rule: Rule, start: number): CommonRule | null {
  if (hasOtherParts(rule)) return null;
  const { frequency, byDay, byMonthDay, byMonth, interval } = explicitRule(rule, start);
  const isOneKind = byDay.length === 0 || byMonthDay.length === 0;
  const isNth = byDay.every(({ nth }) => nth !== 0);
  switch (frequency) {
    case 'DAILY':
      return byDay.length + byMonthDay.length + byMonth.length ? null : daily(rule, start);
    case 'WEEKLY':
      if (byMonthDay.length + byMonth.length) return null;
      return weekly({ ...rule, byDay }, start);
    case 'MONTHLY': {
      if (!isOneKind || !isNth || byMonth.length) return null;
      return inMonths(start, byDay.length ? byDay : byMonthDay, interval, null);
    }
    case 'YEARLY': {
      if (!isOneKind || !isNth || !byMonth.length) return null;
      return inMonths(start, byDay.length ? byDay : byMonthDay, interval * 12, byMonth);
    }
    default:
      return null;
  }
}

const compiled = new WeakMap<Rule, Map<number, CommonRule | null>>();

/** The arithmetic of a common rule that begins at `start` (wall ms); null for a rule that takes more. */
export function commonRule(rule: Rule, start: number): CommonRule | null {
  let byStart = compiled.get(rule);
  if (!byStart) compiled.set(rule, (byStart = new Map()));
  // Seconds fit a small integer, which a map finds faster than a large number.
  const key = start / 1000;
  let made = byStart.get(key);
  if (made === undefined) byStart.set(key, (made = compile(rule, start)));
  return made;
}
