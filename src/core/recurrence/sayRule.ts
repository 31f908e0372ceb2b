import {
  civilDate,
  dayNumber,
  dayOfWall,
  daysInMonth,
  minuteOfDay,
  weekdayOf,
} from '../time/civil';
import type { Wording } from '../time/words';
import { count, joinWords, sayDay, sayMinute, WEEKDAYS } from '../time/words';
import { wallFromInstant } from '../time/zones';
import type { Frequency, Rule, RuleDay } from './rule';
import { parseRule } from './rule';
import { writeRule } from './writeRule';

/** What a rule is said against: its first date (wall ms in `zone`), the year now, and how many dates are left. */
export interface RuleSetting {
  start: number;
  zone: string | null;
  wording: Wording;
  thisYear: number;
  /** Dates still to come; null leaves them unsaid. */
  left: number | null;
}

const ORDINALS = ['', 'first', 'second', 'third', 'fourth', 'fifth'];
const UNITS: Record<Frequency, string> = {
  YEARLY: 'year',
  MONTHLY: 'month',
  WEEKLY: 'week',
  DAILY: 'day',
  HOURLY: 'hour',
  MINUTELY: 'minute',
  SECONDLY: 'second',
};

/** 1 → "1st", 22 → "22nd". */
export function ordinal(n: number): string {
  const tens = n % 100;
  const ending = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${ending}`;
}

/** "second", "last", "second-to-last", "6th". */
export function nthWord(nth: number): string {
  if (nth === -1) return 'last';
  if (nth < 0) return `${ORDINALS[-nth] ?? ordinal(-nth)}-to-last`;
  return ORDINALS[nth] ?? ordinal(nth);
}

const monthDayWord = (day: number) => (day > 0 ? ordinal(day) : `${nthWord(day)} day`);

/** "every month", "every other month", "every 3 months". */
function everyUnit(interval: number, unit: string): string {
  if (interval === 1) return `every ${unit}`;
  return interval === 2 ? `every other ${unit}` : `every ${interval} ${unit}s`;
}

/** "on the 24th of each month", "on the 24th of every other month", "every 6 months on the 24th". */
function onDayOf(day: string, interval: number, unit: string): string {
  if (interval > 2) return `${everyUnit(interval, unit)} on ${day}`;
  return `on ${day} of ${interval === 1 ? `each ${unit}` : everyUnit(interval, unit)}`;
}

/** "on 24 November each year", "every 3 years on 24 November". */
function inYears(day: string, interval: number): string {
  if (interval > 2) return `${everyUnit(interval, 'year')} on ${day}`;
  return `on ${day} ${interval === 1 ? 'each year' : everyUnit(interval, 'year')}`;
}

const inOrder = (numbers: readonly number[]) => [...new Set(numbers)].sort((a, b) => a - b);

/** Days of a month that every month has. */
const DAYS_OF_ALL_MONTHS = 28;
const WEEKS_OF_ALL_MONTHS = 4;

/** How many of the days that a rule means not every month has. */
function rareDays({ byMonthDay, byDay, bySetPos }: Rule, start: number): number {
  if (bySetPos.length) return 0;
  const implied = byDay.length || byMonthDay.length ? [] : [civilDate(dayOfWall(start)).day];
  return (
    [...byMonthDay, ...implied].filter((day) => Math.abs(day) > DAYS_OF_ALL_MONTHS).length +
    byDay.filter(({ nth }) => Math.abs(nth) > WEEKS_OF_ALL_MONTHS).length
  );
}

/** Days that not every month has are told so. */
function ofSomeMonths(rule: Rule, start: number): string {
  const rare = rareDays(rule, start);
  if (!rare) return '';
  const isAll = rare === Math.max(1, rule.byMonthDay.length + rule.byDay.length);
  if (rule.interval > 2 || !isAll) return ', where a month has it';
  return rare === 1 ? ' that has one' : ' that has them';
}

const isPlain = (days: readonly RuleDay[]) => days.length > 0 && days.every(({ nth }) => nth === 0);

const monthName = (month: number, { wording }: RuleSetting) =>
  sayDay(dayNumber(2024, month, 1), wording, { month: 'long' });

const sayMonths = (months: readonly number[], setting: RuleSetting) =>
  joinWords(inOrder(months).map((month) => monthName(month, setting)));

const ALL_MONTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
/** Months that are left out and named rather than those that are meant. */
const MOST_EXCEPT = 3;

const missingMonths = (months: readonly number[]) =>
  ALL_MONTHS.filter((month) => !months.includes(month));
const isMostMonths = (months: readonly number[]) => {
  const missing = missingMonths(months).length;
  return missing > 0 && missing <= MOST_EXCEPT;
};

/** " in June and July", or " except in August" where most months are meant; nothing for all. */
function inMonths(months: readonly number[], setting: RuleSetting): string {
  const missing = missingMonths(months);
  if (!missing.length) return '';
  return isMostMonths(months)
    ? ` except in ${sayMonths(missing, setting)}`
    : ` in ${sayMonths(months, setting)}`;
}

/** "24 November", in a year that has every day. */
const sayDate = (month: number, day: number, { wording }: RuleSetting) =>
  day > daysInMonth(2024, month)
    ? `${day} ${sayDay(dayNumber(2024, month, 1), wording, { month: 'long' })}`
    : sayDay(dayNumber(2024, month, day), wording, { day: 'numeric', month: 'long' });

/** A weekday with its place: "Monday", "second Thursday", "last Friday". */
const ruleDayWord = ({ weekday, nth }: RuleDay) =>
  nth === 0 ? WEEKDAYS[weekday] : `${nthWord(nth)} ${WEEKDAYS[weekday]}`;

const inWeekOrder = (days: readonly RuleDay[]) => [...days].sort((a, b) => a.weekday - b.weekday);

const isMondayToFriday = (days: readonly RuleDay[]) =>
  days.length === 5 &&
  days.every(({ nth }) => nth === 0) &&
  [0, 1, 2, 3, 4].every((weekday) => days.some((day) => day.weekday === weekday));

function hasOnly(rule: Rule, ...allowed: (keyof Rule)[]): boolean {
  const parts = [
    'byDay',
    'byMonthDay',
    'byYearDay',
    'byWeekNo',
    'byMonth',
    'byHour',
    'byMinute',
    'bySecond',
    'bySetPos',
  ] as const;
  return parts.every((part) => rule[part].length === 0 || allowed.includes(part));
}

function sayDaily(rule: Rule, setting: RuleSetting): string | null {
  if (hasOnly(rule)) return everyUnit(rule.interval, 'day');
  if (hasOnly(rule, 'byMonth'))
    return `${everyUnit(rule.interval, 'day')}${inMonths(rule.byMonth, setting)}`;
  if (rule.interval > 1) return null;
  // Every day that is one of these weekdays, or of these days of the month: that is each of them.
  if (hasOnly(rule, 'byDay')) return sayWeekly(rule, setting);
  return hasOnly(rule, 'byMonthDay') ? sayMonthly(rule, setting) : null;
}

function sayWeekly(rule: Rule, setting: RuleSetting): string | null {
  const { start } = setting;
  if (hasOnly(rule, 'byDay', 'byMonth') && rule.byMonth.length)
    return `${sayWeekly({ ...rule, byMonth: [] }, setting)!}${inMonths(rule.byMonth, setting)}`;
  if (!hasOnly(rule, 'byDay')) return null;
  const days: readonly RuleDay[] = rule.byDay.length
    ? inWeekOrder(rule.byDay)
    : [{ weekday: weekdayOf(dayOfWall(start)), nth: 0 }];
  if (rule.interval === 1 && isMondayToFriday(days)) return 'every weekday';
  if (rule.interval === 1 && days.length === 7) return 'every day';
  const names = joinWords(days.map(({ weekday }) => WEEKDAYS[weekday]));
  if (rule.interval < 3) return `every ${rule.interval === 2 ? 'other ' : ''}${names}`;
  return `every ${rule.interval} weeks on ${names}`;
}

/** "the 4th and 18th", "the last day", "the second Thursday"; null for what takes more words. */
function dayInMonth(rule: Rule, start: number): string | null {
  const { byMonthDay, byDay, bySetPos } = rule;
  if (byMonthDay.length && !byDay.length && !bySetPos.length)
    return `the ${joinWords(byMonthDay.map(monthDayWord))}`;
  if (byMonthDay.length) return null;
  if (byDay.length && !bySetPos.length)
    return byDay.every(({ nth }) => nth !== 0) ? `the ${joinWords(byDay.map(ruleDayWord))}` : null;
  if (byDay.length && bySetPos.length === 1) {
    if (isMondayToFriday(byDay)) return `the ${nthWord(bySetPos[0]!)} weekday`;
    if (isPlain(byDay) && new Set(byDay.map(({ weekday }) => weekday)).size === 7)
      return `the ${nthWord(bySetPos[0]!)} day`;
    if (byDay.length === 1 && byDay[0]!.nth === 0)
      return `the ${nthWord(bySetPos[0]!)} ${WEEKDAYS[byDay[0]!.weekday]}`;
    return null;
  }
  return bySetPos.length ? null : `the ${ordinal(civilDate(dayOfWall(start)).day)}`;
}

function sayMonthly(rule: Rule, setting: RuleSetting): string | null {
  const { start } = setting;
  // In some months of every year: these are dates of the year.
  const isOfDays = rule.byMonthDay.length > 0 || !rule.byDay.length;
  if (rule.interval === 1 && rule.byMonth.length && isOfDays && !rule.bySetPos.length)
    return sayYearly(rule, setting);
  if (rule.interval === 1 && hasOnly(rule, 'byDay', 'bySetPos', 'byMonth') && rule.byMonth.length)
    return sayInMonths(rule, setting);
  if (!hasOnly(rule, 'byDay', 'byMonthDay', 'bySetPos')) return null;
  // A weekday without a number means each of the month's.
  if (rule.interval === 1 && hasOnly(rule, 'byDay') && isPlain(rule.byDay))
    return sayWeekly(rule, setting);
  const day = dayInMonth(rule, start);
  return day && onDayOf(day, rule.interval, 'month') + ofSomeMonths(rule, start);
}

/** "on the last weekday of March and June each year", "every Saturday in June". */
function sayInMonths(rule: Rule, setting: RuleSetting): string | null {
  const months = sayMonths(rule.byMonth, setting);
  if (isPlain(rule.byDay) && !rule.bySetPos.length) return sayWeekly(rule, setting);
  const day = rule.byDay.length ? dayInMonth(rule, setting.start) : null;
  return day && inYears(`${day} of ${months}`, 1);
}

/** Dates of every year: those that no year has are not among them, and of 29 February it is said when it is. */
function sayDates(
  rule: Rule,
  { months, days }: { months: readonly number[]; days: readonly number[] },
  setting: RuleSetting,
): string {
  if (days.length === 1 && rule.interval === 1 && isMostMonths(months)) {
    const each = { ...rule, byMonth: [], byMonthDay: [...days] };
    return `on the ${ordinal(days[0]!)} of each month${inMonths(months, setting)}${ofSomeMonths(each, setting.start).replace(' that has one', ', where a month has it')}`;
  }
  const dates = months.flatMap((month) =>
    days.flatMap((day) => (day > daysInMonth(2024, month) ? [] : [{ month, day }])),
  );
  if (!dates.length) {
    const all = months.flatMap((month) => days.map((day) => sayDate(month, day, setting)));
    return `never: no year has ${all.join(' or ')}`;
  }
  const said = dates.map(({ month, day }) => sayDate(month, day, setting));
  const isLeap = dates.some(({ month, day }) => month === 2 && day === 29);
  if (isLeap && dates.length === 1 && rule.interval === 1) return `on ${said[0]} in leap years`;
  return `${inYears(joinWords(said), rule.interval)}${isLeap && dates.length > 1 ? ', 29 February in leap years only' : ''}`;
}

function sayYearly(rule: Rule, setting: RuleSetting): string | null {
  if (!hasOnly(rule, 'byDay', 'byMonthDay', 'bySetPos', 'byMonth')) return null;
  const first = civilDate(dayOfWall(setting.start));
  const months = rule.byMonth.length ? inOrder(rule.byMonth) : [first.month];
  if (!rule.byDay.length && !rule.bySetPos.length) {
    // Without a month these are the days of all months (RFC 5545 §3.3.10).
    if (rule.byMonthDay.length && !rule.byMonth.length)
      return rule.interval === 1 ? sayMonthly(rule, setting) : null;
    const days = rule.byMonthDay.length ? inOrder(rule.byMonthDay) : [first.day];
    if (days.every((day) => day > 0)) {
      return sayDates(rule, { months, days }, setting);
    }
  }
  if (rule.interval === 1 && hasOnly(rule, 'byDay', 'byMonth') && isPlain(rule.byDay)) {
    return sayWeekly(rule, setting);
  }
  if (
    !rule.byMonth.length &&
    rule.byDay.length &&
    !rule.bySetPos.length &&
    !rule.byMonthDay.length
  ) {
    const nth = dayInMonth(rule, setting.start);
    return nth && onDayOf(nth, rule.interval, 'year');
  }
  // The nth of all days of a year's months is one day, not one of each.
  const isOneOfAll = rule.bySetPos.length > 0 && months.length > 1;
  const day = rule.byMonth.length && !isOneOfAll ? dayInMonth(rule, setting.start) : null;
  return day && inYears(`${day} of ${sayMonths(months, setting)}`, rule.interval);
}

/** The day that a rule has from its first date alone, where no part of it says one; null where one does. */
function impliedDay(rule: Rule, start: number): string | null {
  const { byDay, byMonthDay, byYearDay, byWeekNo } = rule;
  if (byDay.length || byMonthDay.length || byYearDay.length) return null;
  const weekday = `on ${WEEKDAYS[weekdayOf(dayOfWall(start))]}`;
  if (rule.frequency === 'WEEKLY' || byWeekNo.length) return weekday;
  if (rule.frequency !== 'MONTHLY' && rule.frequency !== 'YEARLY') return null;
  const { day } = civilDate(dayOfWall(start));
  return `on the ${ordinal(day)}${day > DAYS_OF_ALL_MONTHS ? ', where a month has it' : ''}`;
}

/** A rule with parts that no short sentence holds: part by part. */
function sayByParts(rule: Rule, setting: RuleSetting): string {
  const { frequency, interval } = rule;
  const said: string[] = [everyUnit(interval, UNITS[frequency])];
  const say = (values: readonly unknown[], text: () => string) =>
    values.length && said.push(text());
  const list = (words: readonly string[]) => joinWords(words);
  say(rule.byMonth, () => inMonths(rule.byMonth, setting).trim() || 'in every month');
  say(rule.byWeekNo, () => `in week ${list(rule.byWeekNo.map(fromEnd))} of the year`);
  say(rule.byYearDay, () =>
    rule.byYearDay.length === 1 && Math.abs(rule.byYearDay[0]!) === 1
      ? `on the ${nthWord(rule.byYearDay[0]!)} day of the year`
      : `on day ${list(rule.byYearDay.map(fromEnd))} of the year`,
  );
  const isOfIt = rule.byMonth.length > 0 || frequency === 'MONTHLY';
  const ofMonth = isOfIt ? 'of the month' : 'of each month';
  const isRare = rule.skip === 'OMIT' && rareDays({ ...rule, byDay: [] }, setting.start) > 0;
  const rare = isRare ? ', where a month has it' : '';
  say(rule.byMonthDay, () => `on the ${list(rule.byMonthDay.map(monthDayWord))} ${ofMonth}${rare}`);
  const implied = impliedDay(rule, setting.start);
  if (implied) said.push(implied);
  say(rule.byDay, () => {
    const days = list(inWeekOrder(rule.byDay).map(ruleDayWord));
    if (rule.byDay.every(({ nth }) => nth !== 0)) return `on the ${days}`;
    // Of a month or a year it is each of them, but where only some of these are meant.
    const isEach = ['MONTHLY', 'YEARLY'].includes(frequency) && !rule.bySetPos.length;
    return isEach && !rule.byMonthDay.length && !rule.byWeekNo.length
      ? `on every ${days}`
      : `on ${days}`;
  });
  const times = timesOfDay(rule, setting);
  if (times) said.push(times);
  else {
    say(rule.byHour, () => `in hour ${list(rule.byHour.map(String))}`);
    say(rule.byMinute, () => `in minute ${list(rule.byMinute.map(String))}`);
    say(rule.bySecond, () => `in second ${list(rule.bySecond.map(String))}`);
  }
  say(rule.bySetPos, () => `only the ${list(rule.bySetPos.map(nthWord))} of these`);
  if (rule.skip === 'BACKWARD') said.push('days that don’t exist move to the day before');
  if (rule.skip === 'FORWARD') said.push('days that don’t exist move to the day after');
  return said.join(', ');
}

/** The most times of a day that are said one by one. */
const MOST_TIMES = 6;

/** "at 09:00 and 14:00", where a rule names the hours of a day; null for other parts of the clock. */
function timesOfDay(rule: Rule, { start, wording }: RuleSetting): string | null {
  const isByDay = !['HOURLY', 'MINUTELY', 'SECONDLY'].includes(rule.frequency);
  if (!isByDay || !rule.byHour.length || rule.bySecond.length) return null;
  const minutes = rule.byMinute.length ? rule.byMinute : [minuteOfDay(start) % 60];
  const times = rule.byHour.flatMap((hour) => minutes.map((minute) => hour * 60 + minute));
  if (times.length > MOST_TIMES) return null;
  const said = inOrder(times).map((minute) => sayMinute(minute, wording.hourCycle));
  return `at ${joinWords(said)}`;
}

/** A rule with its times of the day taken off. */
const withoutTimes = (rule: Rule): Rule => ({ ...rule, byHour: [], byMinute: [] });

const fromEnd = (n: number) => (n > 0 ? String(n) : `${-n} from the end`);

function sayEnd(rule: Rule, setting: RuleSetting): string {
  const { zone, wording, thisYear } = setting;
  if (rule.count !== undefined) return rule.count === 1 ? ', once' : `, ${rule.count} times`;
  const { until } = rule;
  if (!until) return '';
  const day =
    until.kind === 'date'
      ? until.day
      : dayOfWall(
          until.kind === 'wall' ? until.wall : wallFromInstant(until.epochMs, zone ?? 'UTC'),
        );
  const year = civilDate(day).year === thisYear ? {} : ({ year: 'numeric' } as const);
  return ` until ${sayDay(day, wording, { day: 'numeric', month: 'long', ...year })}`;
}

function sayPattern(rule: Rule, setting: RuleSetting): string | null {
  if (rule.skip !== 'OMIT') return null;
  switch (rule.frequency) {
    case 'DAILY':
      return sayDaily(rule, setting);
    case 'WEEKLY':
      return sayWeekly(rule, setting);
    case 'MONTHLY':
      return sayMonthly(rule, setting);
    case 'YEARLY':
      return sayYearly(rule, setting);
    default:
      return null;
  }
}

/**
 * A repeat rule in plain words: "Every other Monday and Wednesday until 30 April, 14 dates left".
 * A rule that takes more than a sentence is said part by part.
 * @throws RuleError when the rule can't be read.
 */
export function sayRule(rule: string, setting: RuleSetting): string {
  const parsed = parseRule(rule);
  const times = parsed.bySetPos.length ? null : timesOfDay(parsed, setting);
  const plain = sayPattern(times ? withoutTimes(parsed) : parsed, setting);
  const said = plain ? [plain, times].filter(Boolean).join(' ') : sayByParts(parsed, setting);
  // "10 times" says already that all ten are left.
  const isSaid = setting.left === null || setting.left === parsed.count;
  const left = isSaid ? '' : `, ${count(setting.left!, 'date')} left`;
  // Behind parts with commas between, the end is one more part.
  const end = sayEnd(parsed, setting).replace(
    /^ (?=until)/,
    plain || !said.includes(',') ? ' ' : ', ',
  );
  const sentence = said + end + left;
  return sentence[0]!.toUpperCase() + sentence.slice(1);
}

/** Whether two rules say the same, whatever the order of their parts. */
export const isSameRule = (a: string | undefined, b: string | undefined) =>
  a === b ||
  (a !== undefined && b !== undefined && writeRule(parseRule(a)) === writeRule(parseRule(b)));
