import type { Weekday } from '../time/civil';
import { civilDate, DAY, dayOfWall, daysInMonth, weekdayOf } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { DayNumber } from '../time/units';
import { expandRule } from './expandRule';
import type { Rule } from './rule';
import { parseRule, plainRule } from './rule';
import { untilAt, writeRule } from './writeRule';

/** How an event repeats, as the editor asks for it. A rule that goes beyond that is `custom` and kept as it is. */
export type RepeatPattern =
  | { kind: 'none' }
  | { kind: 'daily'; interval: number }
  /** The days that the person works on, every week. */
  | { kind: 'workdays' }
  | { kind: 'weekly'; interval: number; weekdays: Weekday[]; weekStart: Weekday }
  /** On a day of the month, 1 to 31; months without it are left out. */
  | { kind: 'monthDay'; interval: number; day: number }
  /** On the nth weekday of the month; -1 is the last. */
  | { kind: 'monthWeekday'; interval: number; nth: number; weekday: Weekday }
  | { kind: 'monthEnd'; interval: number }
  | { kind: 'yearly'; interval: number; month: number; day: number }
  | { kind: 'custom'; rule: string };

export type RepeatEnd =
  { kind: 'never' } | { kind: 'on'; day: DayNumber } | { kind: 'after'; count: number };

export interface Repeat {
  pattern: RepeatPattern;
  end: RepeatEnd;
}

export const NO_REPEAT: Repeat = { pattern: { kind: 'none' }, end: { kind: 'never' } };

/** What a rule is read against: the series' first date (wall ms), its zone, and the person's working days. */
export interface RepeatContext {
  start: number;
  zone: string | null;
  wholeDay: boolean;
  workdays: readonly Weekday[];
}

const isSameSet = (a: readonly number[], b: readonly number[]) =>
  a.length === b.length && [...a].sort().join() === [...b].sort().join();

/** The part of a rule that says on which days, without its end. */
function withoutEnd(rule: Rule): Rule {
  const { count: _count, until: _until, ...rest } = rule;
  return rest;
}

/** Which parts a rule has besides FREQ, INTERVAL, WKST and its end, as one word to compare. */
function partsOf(rule: Rule): string {
  const named = [
    ['day', rule.byDay],
    ['monthday', rule.byMonthDay],
    ['yearday', rule.byYearDay],
    ['week', rule.byWeekNo],
    ['month', rule.byMonth],
    ['hour', rule.byHour],
    ['minute', rule.byMinute],
    ['second', rule.bySecond],
    ['setpos', rule.bySetPos],
  ] as const;
  return named.flatMap(([name, values]) => (values.length ? [name] : [])).join(' ');
}

function weeklyPattern(rule: Rule, start: number, workdays: readonly Weekday[]) {
  const weekdays = rule.byDay.length
    ? rule.byDay.map(({ weekday }) => weekday)
    : [weekdayOf(dayOfWall(start))];
  if (rule.interval === 1 && weekdays.length > 1 && isSameSet(weekdays, workdays))
    return { kind: 'workdays' as const };
  const { interval, weekStart } = rule;
  return { kind: 'weekly' as const, interval, weekdays, weekStart };
}

function monthlyPattern(rule: Rule, parts: string, start: number): RepeatPattern | null {
  const { interval, byMonthDay, byDay, bySetPos } = rule;
  if (parts === '') return { kind: 'monthDay', interval, day: civilDate(dayOfWall(start)).day };
  if (parts === 'monthday' && byMonthDay.length === 1) {
    const [day] = byMonthDay as [number];
    if (day === -1) return { kind: 'monthEnd', interval };
    return day > 0 ? { kind: 'monthDay', interval, day } : null;
  }
  const [only] = byDay;
  if (byDay.length !== 1 || !only) return null;
  const { weekday } = only;
  const isOneSetPos = parts === 'day setpos' && bySetPos.length === 1 && only.nth === 0;
  const nth = isOneSetPos ? bySetPos[0]! : parts === 'day' ? only.nth : 0;
  return nth === -1 || (nth >= 1 && nth <= 4)
    ? { kind: 'monthWeekday', interval, nth, weekday }
    : null;
}

function yearlyPattern(rule: Rule, parts: string, start: number): RepeatPattern | null {
  const first = civilDate(dayOfWall(start));
  const { interval, byMonth, byMonthDay } = rule;
  const isPlain = ['', 'month', 'monthday month'].includes(parts);
  if (!isPlain || byMonth.length > 1 || byMonthDay.length > 1) return null;
  const [month = first.month] = byMonth;
  const [day = first.day] = byMonthDay;
  return day > 0 ? { kind: 'yearly', interval, month, day } : null;
}

function readPattern(rule: Rule, { start, workdays }: RepeatContext): RepeatPattern {
  const custom = { kind: 'custom' as const, rule: writeRule(withoutEnd(rule)) };
  if (rule.skip !== 'OMIT') return custom;
  const parts = partsOf(rule);
  switch (rule.frequency) {
    case 'DAILY':
      if (parts === '') return { kind: 'daily', interval: rule.interval };
      return parts === 'day' &&
        rule.interval === 1 &&
        isSameSet(
          rule.byDay.map(({ weekday }) => weekday),
          workdays,
        )
        ? { kind: 'workdays' }
        : custom;
    case 'WEEKLY':
      return parts === '' || parts === 'day' ? weeklyPattern(rule, start, workdays) : custom;
    case 'MONTHLY':
      return monthlyPattern(rule, parts, start) ?? custom;
    case 'YEARLY':
      return yearlyPattern(rule, parts, start) ?? custom;
    default:
      return custom;
  }
}

function readEnd(rule: Rule, zone: string | null): RepeatEnd {
  if (rule.count !== undefined) return { kind: 'after', count: rule.count };
  if (!rule.until) return { kind: 'never' };
  const { until } = rule;
  if (until.kind === 'date') return { kind: 'on', day: until.day };
  const wall = until.kind === 'wall' ? until.wall : wallFromInstant(until.epochMs, zone ?? 'UTC');
  return { kind: 'on', day: dayOfWall(wall) };
}

/**
 * How an event with an RRULE repeats, as the editor shows it.
 * @throws RuleError when the rule can't be read.
 */
export function readRepeat(rule: string | undefined, context: RepeatContext): Repeat {
  if (rule === undefined) return NO_REPEAT;
  const parsed = parseRule(rule);
  return { pattern: readPattern(parsed, context), end: readEnd(parsed, context.zone) };
}

/** The rule of a pattern, without its end; null for none. */
export function ruleOfPattern(pattern: RepeatPattern, workdays: readonly Weekday[]): Rule | null {
  const everyWeek = (weekdays: readonly Weekday[]) =>
    [...weekdays].sort().map((weekday) => ({ weekday, nth: 0 }));
  switch (pattern.kind) {
    case 'none':
      return null;
    case 'custom':
      return parseRule(pattern.rule);
    case 'daily':
      return { ...plainRule('DAILY'), interval: pattern.interval };
    case 'workdays':
      return { ...plainRule('WEEKLY'), byDay: everyWeek(workdays) };
    case 'weekly': {
      const { interval, weekStart, weekdays } = pattern;
      return { ...plainRule('WEEKLY'), interval, weekStart, byDay: everyWeek(weekdays) };
    }
    case 'monthDay':
      return {
        ...plainRule('MONTHLY'),
        interval: pattern.interval,
        byMonthDay: [pattern.day],
      };
    case 'monthEnd':
      return { ...plainRule('MONTHLY'), interval: pattern.interval, byMonthDay: [-1] };
    case 'monthWeekday': {
      const { interval, weekday, nth } = pattern;
      return { ...plainRule('MONTHLY'), interval, byDay: [{ weekday, nth }] };
    }
    case 'yearly': {
      const { interval, month, day } = pattern;
      return { ...plainRule('YEARLY'), interval, byMonth: [month], byMonthDay: [day] };
    }
  }
}

/**
 * The RRULE of a repeat; undefined for none. An end on a day includes that day, in the form that
 * the start asks for (RFC 5545 §3.3.10).
 */
export function writeRepeat(
  { pattern, end }: Repeat,
  { zone, wholeDay, workdays }: Omit<RepeatContext, 'start'>,
): string | undefined {
  const rule = ruleOfPattern(pattern, workdays);
  if (!rule) return undefined;
  if (end.kind === 'after') return writeRule({ ...rule, count: end.count });
  if (end.kind === 'never') return writeRule(rule);
  const lastSecond = (end.day + 1) * DAY - 1000;
  const instant = instantFromWall(lastSecond, zone ?? 'UTC');
  return writeRule({ ...rule, until: untilAt(lastSecond, { wholeDay, zone }, instant) });
}

/** The first start (wall ms) at or after `from` that a pattern gives; `from` itself when it gives none. */
export function firstStart(
  pattern: RepeatPattern,
  from: number,
  workdays: readonly Weekday[],
): number {
  const rule = ruleOfPattern(pattern, workdays);
  if (!rule) return from;
  // Any interval may begin anywhere: the first match of the plain pattern is where it begins.
  const interval = pattern.kind === 'custom' ? rule.interval : 1;
  const window = { from, to: from + 3000 * DAY, limit: 1 };
  return expandRule({ ...rule, interval }, from, window, () => true).starts[0] ?? from;
}

/** The pattern after its first date went from one day to another: what followed from that day follows on. */
export function patternOnDay(pattern: RepeatPattern, from: number, to: number): RepeatPattern {
  const [was, is] = [civilDate(from), civilDate(to)];
  switch (pattern.kind) {
    case 'weekly': {
      const [old, next] = [weekdayOf(from), weekdayOf(to)];
      if (!pattern.weekdays.includes(old)) return pattern;
      const weekdays = new Set([...pattern.weekdays.filter((day) => day !== old), next]);
      return { ...pattern, weekdays: [...weekdays] };
    }
    case 'monthDay':
      return pattern.day === was.day ? { ...pattern, day: is.day } : pattern;
    case 'monthWeekday':
      return { ...pattern, ...nthWeekday(to, pattern.nth === -1) };
    case 'monthEnd':
      return isMonthEnd(to)
        ? pattern
        : { kind: 'monthDay', interval: pattern.interval, day: is.day };
    case 'yearly':
      return pattern.month === was.month && pattern.day === was.day
        ? { ...pattern, month: is.month, day: is.day }
        : pattern;
    default:
      return pattern;
  }
}

const isMonthEnd = (day: DayNumber) => {
  const { year, month, day: ofMonth } = civilDate(day);
  return ofMonth === daysInMonth(year, month);
};

/** Which weekday of its month a day is: the nth, or the last (-1) where it is that and `preferLast`, or the fifth. */
export function nthWeekday(day: DayNumber, preferLast = false): { nth: number; weekday: Weekday } {
  const { year, month, day: ofMonth } = civilDate(day);
  const nth = Math.ceil(ofMonth / 7);
  const isLast = ofMonth + 7 > daysInMonth(year, month);
  return { nth: nth > 4 || (isLast && preferLast) ? -1 : nth, weekday: weekdayOf(day) };
}

/** What becomes of a day that some months or years don't have, in words; null when all have it. */
export function missingDays(pattern: RepeatPattern): string | null {
  if (pattern.kind === 'monthDay' && pattern.day > 28) {
    const missing =
      pattern.day === 31
        ? 'Months with fewer than 31 days are left out.'
        : pattern.day === 30
          ? 'February is left out: it has no 30th.'
          : 'February is left out except in leap years.';
    return missing;
  }
  if (pattern.kind === 'yearly' && pattern.month === 2 && pattern.day === 29)
    return 'Only leap years have 29 February; other years are left out.';
  return null;
}

/** The pattern with the last day of the month in place of a day that is sometimes missing. */
export function onLastDay(pattern: RepeatPattern): RepeatPattern {
  if (pattern.kind === 'monthDay') return { kind: 'monthEnd', interval: pattern.interval };
  if (pattern.kind === 'yearly') {
    const { interval, month } = pattern;
    const rule = { ...plainRule('YEARLY'), interval, byMonth: [month], byMonthDay: [-1] };
    return { kind: 'custom', rule: writeRule(rule) };
  }
  return pattern;
}
