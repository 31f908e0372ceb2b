import { dayOfEntry } from '../../recurrence/commonRules';
import type { Series } from '../../recurrence/expand';
import { ruleStarts } from '../../recurrence/expand';
import { explicitRule } from '../../recurrence/explicitRule';
import { nthWeekday } from '../../recurrence/repeat';
import type { Rule, RuleDay } from '../../recurrence/rule';
import type { Weekday } from '../../time/civil';
import {
  civilDate,
  DAY,
  dayNumber,
  dayOfWall,
  daysInMonth,
  HOUR,
  MINUTE,
  startOfWeek,
  weekdayOf,
} from '../../time/civil';
import type { DayNumber, WallMs } from '../../time/units';

/** A way to move a series to other days or hours. Wall ms throughout, on the series' own clock. */
export interface Shifted {
  /** Without its end, which follows the dates; null for a series of extra dates alone. */
  rule: Rule | null;
  /** Where the date at a wall time goes; null when the moved rule has no such date. */
  map(wall: WallMs): number | null;
}

/** What one date of a weekly rule moved to another day makes of its weekday, by each weekday that weeks may begin on. */
function shiftWeekly(rule: Rule, at: number, to: number): Shifted[] {
  const [from, day] = [dayOfWall(at), dayOfWall(to)];
  const days = day - from;
  // The same weekday of another week: all dates go there.
  if (days % 7 === 0) return [{ rule, map: (wall) => wall + (to - at) }];
  const clock = to - at - days * DAY;
  const [old, next] = [weekdayOf(from), weekdayOf(day)];
  const rest = rule.byDay.filter(({ weekday }) => weekday !== old && weekday !== next);
  const byDay: RuleDay[] = [...rest, { weekday: next, nth: 0 as const }].sort(
    (a, b) => a.weekday - b.weekday,
  );
  const map = (wall: WallMs) =>
    wall + clock + (weekdayOf(dayOfWall(wall)) === old ? days * DAY : 0);
  const leavesWeek = startOfWeek(from, rule.weekStart) !== startOfWeek(day, rule.weekStart);
  if (rule.interval === 1 || !leavesWeek) return [{ rule: { ...rule, byDay }, map }];
  // Over the edge of every second week, the others stay beside it where weeks begin elsewhere.
  return [0, 1, 2, 3, 4, 5, 6].map((later) => {
    const weekStart = ((rule.weekStart + later) % 7) as Weekday;
    return { rule: { ...rule, byDay, weekStart }, map };
  });
}

const monthIndex = (day: DayNumber) => {
  const { year, month } = civilDate(day);
  return year * 12 + month - 1;
};

const firstOfMonth = (index: number) => dayNumber(Math.floor(index / 12), (index % 12) + 1, 1);
const lengthOfMonth = (index: number) => daysInMonth(Math.floor(index / 12), (index % 12) + 1);

/** The day of a month (index from year 0) that an entry picks, or null. */
function dayInMonth(index: number, entry: number | RuleDay): number | null {
  return dayOfEntry(entry, firstOfMonth(index), lengthOfMonth(index));
}

/** A place in a month for a moved date: what names it in a rule, and which day of a month it is. */
interface Place {
  entry: number | RuleDay;
  dayIn(index: number): number | null;
  /** For a day that some months lack: the days of which the last that there is counts. */
  lastOf?: number[];
}

/** The places that a day may stand for, the plainest first. */
function placesOf(day: DayNumber, old: number | RuleDay): Place[] {
  const place = (entry: number | RuleDay): Place => ({
    entry,
    dayIn: (index) => dayInMonth(index, entry),
  });
  if (typeof old !== 'number') return [place(nthWeekday(day, old.nth < 0))];
  const { day: ofMonth } = civilDate(day);
  const isLast = ofMonth === lengthOfMonth(monthIndex(day));
  const lastOf = Array.from({ length: ofMonth - 27 }, (_, i) => 28 + i);
  return [
    ...(old === -1 && isLast ? [place(-1)] : []),
    place(ofMonth),
    ...(isLast ? [place(-1)] : []),
    // The 30th, or the last day of a month without one (RFC 5545 §3.3.10, BYSETPOS).
    ...(ofMonth > 28 && ofMonth < 31
      ? [
          {
            entry: ofMonth,
            dayIn: (index: number) =>
              firstOfMonth(index) + Math.min(ofMonth, lengthOfMonth(index)) - 1,
            lastOf,
          },
        ]
      : []),
  ];
}

/** Shifts a rule that picks days of months, by the entry that picked the moved date. */
function shiftInMonths(rule: Rule, at: number, to: number): Shifted[] {
  const [from, day] = [dayOfWall(at), dayOfWall(to)];
  const clock = to - at - (day - from) * DAY;
  const months = monthIndex(day) - monthIndex(from);
  const byWeekday = rule.byDay.length > 0;
  const entries: (number | RuleDay)[] = byWeekday ? rule.byDay : rule.byMonthDay;
  const picked = entries.findIndex((entry) => dayInMonth(monthIndex(from), entry) === from);
  const old = entries[picked];
  if (old === undefined || (months !== 0 && entries.length > 1)) return [];
  const isYearly = rule.frequency === 'YEARLY';
  return placesOf(day, old)
    .filter(({ lastOf }) => !lastOf || entries.length === 1)
    .map(({ entry, dayIn, lastOf }) => {
      const changed = entries.map((other, i) => (i === picked ? entry : other));
      return {
        rule: {
          ...rule,
          byMonth: isYearly ? [civilDate(day).month] : rule.byMonth,
          ...(byWeekday
            ? { byDay: changed as RuleDay[] }
            : { byMonthDay: lastOf ?? [...new Set(changed as number[])] }),
          ...(lastOf ? { bySetPos: [-1] } : {}),
        },
        map(wall: WallMs) {
          const own = dayOfWall(wall);
          const ofDay = wall - own * DAY;
          if (dayInMonth(monthIndex(own), old) !== own) return wall + clock;
          const target = dayIn(monthIndex(own) + months);
          return target === null ? null : target * DAY + ofDay + clock;
        },
      };
    });
}

/** Whether a rule only has parts of the given names that choose days. */
function choosesOnly(rule: Rule, ...names: (keyof Rule)[]): boolean {
  const parts = ['byDay', 'byMonthDay', 'byYearDay', 'byWeekNo', 'byMonth', 'bySetPos'] as const;
  return parts.every((part) => rule[part].length === 0 || names.includes(part));
}

/** Whether a rule counts in hours or less. */
export function isWithinDays({ frequency }: Rule): boolean {
  return frequency === 'HOURLY' || frequency === 'MINUTELY' || frequency === 'SECONDLY';
}

/** A rule of whole days that names just its start's time of day, without that: the start says it. */
function withoutOwnClock(rule: Rule, start: number): Rule {
  const { byHour, byMinute, bySecond } = rule;
  const ofDay = start - dayOfWall(start) * DAY;
  const isStarts = (values: number[], value: number) => values.every((named) => named === value);
  const isImplied =
    isStarts(byHour, Math.floor(ofDay / HOUR)) &&
    isStarts(byMinute, Math.floor(ofDay / MINUTE) % 60) &&
    isStarts(bySecond, Math.floor(ofDay / 1000) % 60);
  return isImplied && !isWithinDays(rule)
    ? { ...rule, byHour: [], byMinute: [], bySecond: [] }
    : rule;
}

/** Moves one added date to another day; the hours of all go with it. */
function shiftAdded(rule: Rule | null, at: number, to: number): Shifted {
  const clock = to - at - (dayOfWall(to) - dayOfWall(at)) * DAY;
  return { rule, map: (wall) => (wall === at ? to : wall + clock) };
}

/**
 * The ways in which a series may follow its date at `at` to `to`, the plainest first: by the same
 * hours, and where the day changed, by what that date stands for in the rule (its weekday, its day
 * of the month). None when the rule has no such single place. Whether a rule then gives the dates
 * that the map says is looked at by `fitted`.
 */
export function shiftsOf(series: Series, at: number, to: number): Shifted[] {
  const { start } = series;
  if (!series.rule) return [{ rule: null, map: (wall) => wall + (to - at) }];
  const {
    count: _count,
    until: _until,
    ...rule
  } = withoutOwnClock(explicitRule(series.rule, start), start);
  if (to === at) return [{ rule, map: (wall) => wall }];
  if (rule.byHour.length + rule.byMinute.length + rule.bySecond.length > 0) return [];
  if (series.extra.includes(at) && !ruleStarts(series, at, at + 1, 1).starts.length)
    return [shiftAdded(rule, at, to)];
  const byClock = { rule, map: (wall: WallMs) => wall + (to - at) };
  if (dayOfWall(to) === dayOfWall(at)) return [byClock];
  if (rule.skip !== 'OMIT') return [];
  switch (rule.frequency) {
    case 'WEEKLY':
      return choosesOnly(rule, 'byDay') ? shiftWeekly(rule, at, to) : [];
    case 'MONTHLY':
      if (!choosesOnly(rule, 'byDay') && !choosesOnly(rule, 'byMonthDay')) return [];
      return rule.byDay.some(({ nth }) => nth === 0) ? [] : shiftInMonths(rule, at, to);
    case 'YEARLY': {
      const isOneMonth =
        rule.byMonth.length === 1 && rule.byDay.length + rule.byMonthDay.length === 1;
      const isPlain =
        choosesOnly(rule, 'byMonth', 'byMonthDay') || choosesOnly(rule, 'byMonth', 'byDay');
      if (!isOneMonth || !isPlain || rule.byDay.some(({ nth }) => nth === 0)) return [];
      return shiftInMonths(rule, at, to);
    }
    default:
      return choosesOnly(rule) ? [byClock] : [];
  }
}
