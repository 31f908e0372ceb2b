import type { Series } from '../../recurrence/expand';
import { dayOfEntry } from '../../recurrence/commonRules';
import { explicitRule } from '../../recurrence/explicitRule';
import { nthWeekday } from '../../recurrence/repeat';
import type { Rule, RuleDay } from '../../recurrence/rule';
import { lastRuleStart, nextStarts } from '../../recurrence/walk';
import {
  civilDate,
  DAY,
  dayNumber,
  dayOfWall,
  daysInMonth,
  startOfWeek,
  weekdayOf,
} from '../../time/civil';

/** A series moved to other days or hours. Wall ms throughout, on the series' own clock. */
export interface Shifted {
  /** Without its end, which follows the dates; null for a series of extra dates alone. */
  rule: Rule | null;
  /** Where the date at a wall time goes; null when the moved rule has no such date. */
  map(wall: number): number | null;
}

/** What the weekday of a weekly rule becomes when one of its dates goes to another day. */
function shiftWeekly(rule: Rule, at: number, to: number): Shifted | null {
  const [from, day] = [dayOfWall(at), dayOfWall(to)];
  const days = day - from;
  const clock = to - at - days * DAY;
  const [old, next] = [weekdayOf(from), weekdayOf(day)];
  const leavesWeek = startOfWeek(from, rule.weekStart) !== startOfWeek(day, rule.weekStart);
  const isAlone = rule.byDay.length === 1;
  // Across the week's edge the other weekdays of every second week would come into the wrong one.
  if (leavesWeek && !isAlone && rule.interval > 1) return null;
  const rest = rule.byDay.filter(({ weekday }) => weekday !== old && weekday !== next);
  const byDay: RuleDay[] = [...rest, { weekday: next, nth: 0 }];
  return {
    rule: { ...rule, byDay: byDay.sort((a, b) => a.weekday - b.weekday) },
    map: (wall) => wall + clock + (weekdayOf(dayOfWall(wall)) === old ? days * DAY : 0),
  };
}

const monthIndex = (day: number) => {
  const { year, month } = civilDate(day);
  return year * 12 + month - 1;
};

/** The day of a month (index from year 0) that an entry picks, or null. */
function dayInMonth(index: number, entry: number | RuleDay): number | null {
  const [year, month] = [Math.floor(index / 12), (index % 12) + 1];
  return dayOfEntry(entry, dayNumber(year, month, 1), daysInMonth(year, month));
}

/** Shifts a rule that picks days of months, by the entry that picked the moved date. */
function shiftInMonths(rule: Rule, at: number, to: number): Shifted | null {
  const [from, day] = [dayOfWall(at), dayOfWall(to)];
  const clock = to - at - (day - from) * DAY;
  const months = monthIndex(day) - monthIndex(from);
  const byWeekday = rule.byDay.length > 0;
  const entries: (number | RuleDay)[] = byWeekday ? rule.byDay : rule.byMonthDay;
  const picked = entries.findIndex((entry) => dayInMonth(monthIndex(from), entry) === from);
  const old = entries[picked];
  if (old === undefined || (months !== 0 && entries.length > 1)) return null;
  const isYearly = rule.frequency === 'YEARLY';
  if (months % (isYearly ? 12 : rule.interval) !== 0 && entries.length > 1) return null;
  const next: number | RuleDay = byWeekday
    ? nthWeekday(day, (old as RuleDay).nth < 0)
    : old === -1 && dayInMonth(monthIndex(day), -1) === day
      ? -1
      : civilDate(day).day;
  const changed = entries.map((entry, i) => (i === picked ? next : entry));
  const moved: Rule = {
    ...rule,
    byMonth: isYearly ? [civilDate(day).month] : rule.byMonth,
    ...(byWeekday
      ? { byDay: changed as RuleDay[] }
      : { byMonthDay: [...new Set(changed as number[])] }),
  };
  return {
    rule: moved,
    map(wall) {
      const own = dayOfWall(wall);
      const ofDay = wall - own * DAY;
      if (dayInMonth(monthIndex(own), old) !== own) return wall + clock;
      const target = dayInMonth(monthIndex(own) + months, next);
      return target === null ? null : target * DAY + ofDay + clock;
    },
  };
}

/** Whether a rule only has parts of the given names that choose days. */
function choosesOnly(rule: Rule, ...names: (keyof Rule)[]): boolean {
  const parts = ['byDay', 'byMonthDay', 'byYearDay', 'byWeekNo', 'byMonth', 'bySetPos'] as const;
  return parts.every((part) => rule[part].length === 0 || names.includes(part));
}

/**
 * A series after its date at `at` went to `to` and all others with it: by the same hours, and where
 * the day changed, by what that date stands for in the rule (its weekday, its day of the month).
 * Null when the rule has no such single place; its dates can then be moved one by one.
 */
export function shiftSeries(series: Series, at: number, to: number): Shifted | null {
  if (!series.rule) return { rule: null, map: (wall) => wall + (to - at) };
  const { count: _count, until: _until, ...rule } = explicitRule(series.rule, series.start);
  if (to === at) return { rule, map: (wall) => wall };
  if (rule.byHour.length + rule.byMinute.length + rule.bySecond.length > 0) return null;
  const byClock = { rule, map: (wall: number) => wall + (to - at) };
  if (dayOfWall(to) === dayOfWall(at)) return byClock;
  if (rule.skip !== 'OMIT') return null;
  switch (rule.frequency) {
    case 'WEEKLY':
      return choosesOnly(rule, 'byDay') ? shiftWeekly(rule, at, to) : null;
    case 'MONTHLY':
      if (!choosesOnly(rule, 'byDay') && !choosesOnly(rule, 'byMonthDay')) return null;
      return rule.byDay.some(({ nth }) => nth === 0) ? null : shiftInMonths(rule, at, to);
    case 'YEARLY': {
      const isOneMonth =
        rule.byMonth.length === 1 && rule.byDay.length + rule.byMonthDay.length === 1;
      const isPlain =
        choosesOnly(rule, 'byMonth', 'byMonthDay') || choosesOnly(rule, 'byMonth', 'byDay');
      if (!isOneMonth || !isPlain || rule.byDay.some(({ nth }) => nth === 0)) return null;
      return shiftInMonths(rule, at, to);
    }
    default:
      return choosesOnly(rule) ? byClock : null;
  }
}

/** Dates at either end of a series that are looked at: more than the days that a common rule names. */
const LOOKED_AT = 8;

/** Where the first of the moved dates lies, for the series' new start. */
export function shiftedStart(series: Series, { map }: Shifted): number {
  const first = nextStarts({ ...series, extra: [], skipped: new Set() }, series.start, LOOKED_AT);
  const walls = first.map(map).filter((wall) => wall !== null);
  return Math.min(...walls);
}

/** Where the last of the moved dates lies, for UNTIL; null for a series that has no last date. */
export function shiftedLast(series: Series, { map }: Shifted): number | null {
  if (!series.rule?.until) return null;
  const walls: number[] = [];
  for (let before = Infinity, i = 0; i < LOOKED_AT; i++) {
    const last = lastBefore(series, before);
    if (last === null) break;
    const moved = map(last);
    if (moved !== null) walls.push(moved);
    before = last;
  }
  return walls.length ? Math.max(...walls) : null;
}

/** The last date before `before`; an infinite `before` begins at UNTIL. */
function lastBefore(series: Series, before: number): number | null {
  const { until } = series.rule!;
  const end =
    until!.kind === 'date'
      ? (until!.day + 1) * DAY
      : until!.kind === 'wall'
        ? until!.wall + 1
        : // No zone is further from UTC than this.
          until!.epochMs + DAY;
  return lastRuleStart(series, Math.min(before, end));
}
