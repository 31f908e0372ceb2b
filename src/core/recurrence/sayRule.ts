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

/** Days that not every month has are told so. */
const ofSomeMonths = ({ byMonthDay, byDay }: Rule) =>
  (byMonthDay.length === 1 && byMonthDay[0]! > 29) ||
  (byDay.length === 1 && Math.abs(byDay[0]!.nth) > 4)
    ? ' that has one'
    : '';

const isPlain = (days: readonly RuleDay[]) => days.length > 0 && days.every(({ nth }) => nth === 0);

const monthName = (month: number, { wording }: RuleSetting) =>
  sayDay(dayNumber(2024, month, 1), wording, { month: 'long' });

const sayMonths = (months: readonly number[], setting: RuleSetting) =>
  joinWords(inOrder(months).map((month) => monthName(month, setting)));

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
    return `${everyUnit(rule.interval, 'day')} in ${sayMonths(rule.byMonth, setting)}`;
  if (rule.interval > 1) return null;
  // Every day that is one of these weekdays, or of these days of the month: that is each of them.
  if (hasOnly(rule, 'byDay')) return sayWeekly(rule, setting.start);
  return hasOnly(rule, 'byMonthDay') ? sayMonthly(rule, setting) : null;
}

function sayWeekly(rule: Rule, start: number): string | null {
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
  if (rule.interval === 1 && rule.byMonth.length && rule.byMonthDay.length)
    return sayYearly(rule, setting);
  if (rule.interval === 1 && hasOnly(rule, 'byDay', 'bySetPos', 'byMonth') && rule.byMonth.length)
    return sayInMonths(rule, setting);
  if (!hasOnly(rule, 'byDay', 'byMonthDay', 'bySetPos')) return null;
  // A weekday without a number means each of the month's.
  if (rule.interval === 1 && hasOnly(rule, 'byDay') && isPlain(rule.byDay))
    return sayWeekly(rule, start);
  const day = dayInMonth(rule, start);
  return (
    day && onDayOf(day, rule.interval, 'month') + (rule.interval > 2 ? '' : ofSomeMonths(rule))
  );
}

/** "on the last weekday of March and June each year", "every Saturday in June". */
function sayInMonths(rule: Rule, setting: RuleSetting): string | null {
  const months = sayMonths(rule.byMonth, setting);
  if (isPlain(rule.byDay) && !rule.bySetPos.length)
    return `${sayWeekly({ ...rule, byMonth: [] }, setting.start)!} in ${months}`;
  const day = rule.byDay.length ? dayInMonth(rule, setting.start) : null;
  return day && inYears(`${day} of ${months}`, 1);
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
      const dates = months.flatMap((month) => days.map((day) => sayDate(month, day, setting)));
      return inYears(joinWords(dates), rule.interval);
    }
  }
  if (rule.interval === 1 && hasOnly(rule, 'byDay', 'byMonth') && isPlain(rule.byDay)) {
    const each = sayWeekly({ ...rule, byMonth: [] }, setting.start)!;
    return rule.byMonth.length ? `${each} in ${sayMonths(months, setting)}` : each;
  }
  // The nth of all days of a year's months is one day, not one of each.
  const isOneOfAll = rule.bySetPos.length > 0 && months.length > 1;
  const day = rule.byMonth.length && !isOneOfAll ? dayInMonth(rule, setting.start) : null;
  return day && inYears(`${day} of ${sayMonths(months, setting)}`, rule.interval);
}

/** A rule with parts that no short sentence holds: part by part. */
function sayByParts(rule: Rule, setting: RuleSetting): string {
  const { frequency, interval } = rule;
  const said: string[] = [everyUnit(interval, UNITS[frequency])];
  const say = (values: readonly unknown[], text: () => string) =>
    values.length && said.push(text());
  const list = (words: readonly string[]) => joinWords(words);
  say(rule.byMonth, () => `in ${sayMonths(rule.byMonth, setting)}`);
  say(rule.byWeekNo, () => `in week ${list(rule.byWeekNo.map(fromEnd))} of the year`);
  say(rule.byYearDay, () =>
    rule.byYearDay.length === 1 && Math.abs(rule.byYearDay[0]!) === 1
      ? `on the ${nthWord(rule.byYearDay[0]!)} day of the year`
      : `on day ${list(rule.byYearDay.map(fromEnd))} of the year`,
  );
  say(rule.byMonthDay, () => `on the ${list(rule.byMonthDay.map(monthDayWord))} of the month`);
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
      return sayWeekly(rule, setting.start);
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
  const sentence = said + sayEnd(parsed, setting) + left;
  return sentence[0]!.toUpperCase() + sentence.slice(1);
}

/** Whether two rules say the same, whatever the order of their parts. */
export const isSameRule = (a: string | undefined, b: string | undefined) =>
  a === b ||
  (a !== undefined && b !== undefined && writeRule(parseRule(a)) === writeRule(parseRule(b)));
