import {
  civilDate,
  dayNumber,
  daysInMonth,
  firstWeekStart,
  isLeapYear,
  startOfWeek,
  weekdayOf,
  weekNumber,
} from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Rule, RuleDay } from './rule';

/**
 * A rule's days, period by period. A period is one year, month, week or day, as FREQ says, counted
 * from the one that holds DTSTART (period 0). Any period is computed by itself, which is what lets
 * an expansion begin at a window instead of at DTSTART.
 */
export interface Periods {
  /** Index of the period that holds a day. */
  indexOf(day: DayNumber): number;
  /** Day on which a period begins. */
  startOf(index: number): number;
  /** Days that the rule picks in a period, ascending, before BYSETPOS. */
  daysOf(index: number): number[];
}

/** Day numbers are compared and sorted a lot; the default sort would compare them as text. */
const ascending = (a: number, b: number) => a - b;

function sortedUnique(days: number[]): number[] {
  if (days.length < 2) return days;
  days.sort(ascending);
  return days.filter((day, i) => i === 0 || day !== days[i - 1]);
}

/** Days of `month` that a list of month days names; SKIP says what becomes of days that don't exist (RFC 7529 §4.1). */
function monthDays(rule: Rule, year: number, month: number, wanted: number[]): number[] {
  const length = daysInMonth(year, month);
  const first = dayNumber(year, month, 1);
  const days: number[] = [];
  for (const day of wanted) {
    const positive = day > 0 ? day : length + 1 + day;
    if (positive >= 1 && positive <= length) days.push(first + positive - 1);
    else if (positive > length && rule.skip === 'BACKWARD') days.push(first + length - 1);
    else if (positive > length && rule.skip === 'FORWARD') days.push(first + length);
  }
  return days;
}

/** Days in [first, last] that BYDAY entries name; an nth counts from either end of that range. */
function weekdaysBetween(byDay: RuleDay[], first: number, last: number): number[] {
  const days: number[] = [];
  for (const { weekday, nth } of byDay) {
    const firstMatch = first + ((weekday - weekdayOf(first) + 7) % 7);
    const lastMatch = last - ((weekdayOf(last) - weekday + 7) % 7);
    if (nth === 0) for (let day = firstMatch; day <= last; day += 7) days.push(day);
    else {
      const day = nth > 0 ? firstMatch + 7 * (nth - 1) : lastMatch + 7 * (nth + 1);
      if (day >= first && day <= last) days.push(day);
    }
  }
  return days;
}

function matchesMonthDay(rule: Rule, day: DayNumber): boolean {
  const date = civilDate(day);
  const fromEnd = date.day - daysInMonth(date.year, date.month) - 1;
  return rule.byMonthDay.includes(date.day) || rule.byMonthDay.includes(fromEnd);
}

function matchesYearDay(rule: Rule, day: DayNumber): boolean {
  const { year } = civilDate(day);
  const ordinal = day - dayNumber(year, 1, 1) + 1;
  return (
    rule.byYearDay.includes(ordinal) ||
    rule.byYearDay.includes(ordinal - (isLeapYear(year) ? 366 : 365) - 1)
  );
}

function matchesWeekNo(rule: Rule, day: DayNumber): boolean {
  const { year, week } = weekNumber(day, rule.weekStart);
  const weeks =
    (firstWeekStart(year + 1, rule.weekStart) - firstWeekStart(year, rule.weekStart)) / 7;
  return rule.byWeekNo.includes(week) || rule.byWeekNo.includes(week - weeks - 1);
}

/** Whether a day passes every BY part about days, read as limits; the nth of BYDAY is left to the callers that know its range. */
export function passesDayLimits(rule: Rule, day: DayNumber): boolean {
  return (
    (rule.byMonth.length === 0 || rule.byMonth.includes(civilDate(day).month)) &&
    (rule.byWeekNo.length === 0 || matchesWeekNo(rule, day)) &&
    (rule.byYearDay.length === 0 || matchesYearDay(rule, day)) &&
    (rule.byMonthDay.length === 0 || matchesMonthDay(rule, day)) &&
    (rule.byDay.length === 0 || rule.byDay.some((entry) => entry.weekday === weekdayOf(day)))
  );
}

/**
 * The same test for many days of a rule: each day of a year is looked at once a kind of year, and
 * years follow each other.
 */
function dayLimits(rule: Rule): (day: DayNumber) => boolean {
  const kinds = new Map<number, Int8Array>();
  let first = 0;
  let after = 0;
  let passes: Int8Array = new Int8Array(0);
  return (day) => {
    if (day < first || day >= after) {
      const { year } = civilDate(day);
      [first, after] = [dayNumber(year, 1, 1), dayNumber(year + 1, 1, 1)];
      const kind = kindOfYear(year, first);
      passes = kinds.get(kind) ?? new Int8Array(366);
      kinds.set(kind, passes);
    }
    const nth = day - first;
    passes[nth] ||= passesDayLimits(rule, day) ? 1 : -1;
    return passes[nth] === 1;
  };
}

const NO_DAYS: number[] = [];

function daily(rule: Rule, startDay: DayNumber): Periods {
  const passes = dayLimits(rule);
  return {
    indexOf: (day) => day - startDay,
    startOf: (index) => startDay + index,
    daysOf: (index) => (passes(startDay + index) ? [startDay + index] : NO_DAYS),
  };
}

function weekly(rule: Rule, startDay: DayNumber): Periods {
  const weekZero = startOfWeek(startDay, rule.weekStart);
  const weekdays = rule.byDay.length
    ? rule.byDay.map((entry) => entry.weekday)
    : [weekdayOf(startDay)];
  const offsets = sortedUnique(weekdays.map((weekday) => (weekday - rule.weekStart + 7) % 7));
  const limited =
    rule.byMonth.length + rule.byMonthDay.length + rule.byYearDay.length + rule.byWeekNo.length > 0;
  const passes = dayLimits(rule);
  return {
    indexOf: (day) => Math.floor((day - weekZero) / 7),
    startOf: (index) => weekZero + index * 7,
    daysOf: (index) => {
      const days = offsets.map((offset) => weekZero + index * 7 + offset);
      return limited ? days.filter(passes) : days;
    },
  };
}

function monthly(rule: Rule, startDay: DayNumber): Periods {
  const start = civilDate(startDay);
  const zero = start.year * 12 + start.month - 1;
  const rest = { ...rule, byMonth: [], byDay: [], byMonthDay: [] };
  const limited = rest.byYearDay.length + rest.byWeekNo.length > 0;
  const passes = dayLimits(rest);
  const offsets = new Map<number, number[]>();
  // Months of a year follow each other: its kind is worked out once.
  let known: { year: number; kind: number } = { year: NaN, kind: 0 };
  const kindOf = (year: number) => {
    if (known.year !== year) known = { year, kind: kindOfYear(year, dayNumber(year, 1, 1)) };
    return known.kind;
  };
  return {
    indexOf: (day) => {
      const date = civilDate(day);
      return date.year * 12 + date.month - 1 - zero;
    },
    startOf: (index) => dayNumber(Math.floor((zero + index) / 12), ((zero + index) % 12) + 1, 1),
    daysOf: (index) => {
      const year = Math.floor((zero + index) / 12);
      const month = ((zero + index) % 12) + 1;
      if (rule.byMonth.length && !rule.byMonth.includes(month)) return NO_DAYS;
      if (!limited) return daysOfMonth(rule, year, month, start.day, false);
      const kind = kindOf(year) * 12 + month;
      let ofKind = offsets.get(kind);
      const first = ofKind?.length === 0 ? 0 : dayNumber(year, month, 1);
      if (!ofKind) {
        const days = daysOfMonth(rule, year, month, start.day, true).filter(passes);
        offsets.set(kind, (ofKind = days.map((day) => day - first)));
      }
      return ofKind.length ? ofKind.map((offset) => first + offset) : NO_DAYS;
    },
  };
}

function daysOfMonth(
  rule: Rule,
  year: number,
  month: number,
  startDayOfMonth: number,
  everyDay: boolean,
): number[] {
  const first = dayNumber(year, month, 1);
  const last = first + daysInMonth(year, month) - 1;
  const byDay = rule.byDay.length
    ? sortedUnique(weekdaysBetween(rule.byDay, first, last))
    : undefined;
  if (rule.byMonthDay.length) {
    const days = sortedUnique(monthDays(rule, year, month, rule.byMonthDay));
    return byDay ? days.filter((day) => byDay.includes(day)) : days;
  }
  if (byDay) return byDay;
  // BYYEARDAY and BYWEEKNO pick among all days; without any part, DTSTART's day of the month counts.
  if (everyDay) return Array.from({ length: last - first + 1 }, (_, i) => first + i);
  return monthDays(rule, year, month, [startDayOfMonth]);
}

function yearly(rule: Rule, startDay: DayNumber): Periods {
  const start = civilDate(startDay);
  const noDays =
    rule.byDay.length + rule.byMonthDay.length + rule.byYearDay.length + rule.byWeekNo.length === 0;
  // BYWEEKNO alone means that week's day with DTSTART's weekday.
  const implied: RuleDay[] =
    rule.byWeekNo.length && !rule.byDay.length && !rule.byMonthDay.length && !rule.byYearDay.length
      ? [{ weekday: weekdayOf(startDay), nth: 0 }]
      : rule.byDay;
  const limits = { ...rule, byDay: [], byMonthDay: [] };
  const months = rule.byMonth.length ? rule.byMonth : undefined;
  const daysOfYear = (year: number): number[] =>
    noDays
      ? sortedUnique(
          (months ?? [start.month]).flatMap((month) => monthDays(rule, year, month, [start.day])),
        )
      : yearlyDays(rule, year, months, implied, limits);
  // Days after 1 January, by the kind of year: parts that seldom meet are looked for once a kind.
  const offsets = new Map<number, number[]>();
  return {
    indexOf: (day) => civilDate(day).year - start.year,
    startOf: (index) => dayNumber(start.year + index, 1, 1),
    daysOf: (index) => {
      const year = start.year + index;
      const first = dayNumber(year, 1, 1);
      const kind = kindOfYear(year, first);
      let known = offsets.get(kind);
      if (!known) offsets.set(kind, (known = daysOfYear(year).map((day) => day - first)));
      return known.length ? known.map((offset) => first + offset) : NO_DAYS;
    },
  };
}

/**
 * Years of one kind have the same days: they begin on the same weekday and are as long, and so is the
 * year before, whose last week may reach into them.
 */
const kindOfYear = (year: number, first: DayNumber): number =>
  weekdayOf(first) * 4 + Number(isLeapYear(year)) * 2 + Number(isLeapYear(year - 1));

/** Days that BYYEARDAY names, counted from either end of a year. */
function yearDays(rule: Rule, year: number): number[] {
  const first = dayNumber(year, 1, 1);
  const length = isLeapYear(year) ? 366 : 365;
  return rule.byYearDay
    .map((ordinal) => (ordinal > 0 ? ordinal : length + 1 + ordinal))
    .filter((ordinal) => ordinal >= 1 && ordinal <= length)
    .map((ordinal) => first + ordinal - 1);
}

function yearlyDays(
  rule: Rule,
  year: number,
  months: number[] | undefined,
  byDay: RuleDay[],
  limits: Rule,
): number[] {
  const everyMonth = months ?? [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
  const span = (month: number): [number, number] => {
    const first = dayNumber(year, month, 1);
    return [first, first + daysInMonth(year, month) - 1];
  };
  const byWeekday = byDay.length
    ? months
      ? months.flatMap((month) => weekdaysBetween(byDay, ...span(month)))
      : weekdaysBetween(byDay, dayNumber(year, 1, 1), dayNumber(year, 12, 31))
    : undefined;
  const byMonthDay = rule.byMonthDay.length
    ? everyMonth.flatMap((month) => monthDays(rule, year, month, rule.byMonthDay))
    : undefined;
  let days: number[];
  if (rule.byYearDay.length && !byMonthDay && !byWeekday && !rule.byWeekNo.length) {
    // Few days are named: looking at each of the year's would take most of the time.
    days = yearDays(rule, year).filter((day) => !months || months.includes(civilDate(day).month));
    return sortedUnique(days);
  }
  if (byMonthDay && byWeekday) {
    const wanted = new Set(byWeekday);
    days = byMonthDay.filter((day) => wanted.has(day));
  } else {
    days =
      byMonthDay ??
      byWeekday ??
      everyMonth.flatMap((month) => {
        const [first, last] = span(month);
        return Array.from({ length: last - first + 1 }, (_, i) => first + i);
      });
  }
  const skipMoves = rule.skip !== 'OMIT' && byMonthDay;
  if (rule.byYearDay.length || rule.byWeekNo.length) {
    days = days.filter((day) =>
      passesDayLimits(skipMoves ? { ...limits, byMonth: [] } : limits, day),
    );
  }
  return sortedUnique(days);
}

/** The periods of a rule with FREQ of DAILY or longer, for a series that starts on `startDay`. */
export function periodsOf(rule: Rule, startDay: DayNumber): Periods {
  switch (rule.frequency) {
    case 'YEARLY':
      return yearly(rule, startDay);
    case 'MONTHLY':
      return monthly(rule, startDay);
    case 'WEEKLY':
      return weekly(rule, startDay);
    default:
      return daily(rule, startDay);
  }
}
