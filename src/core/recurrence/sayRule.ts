import { civilDate, dayNumber, dayOfWall, weekdayOf } from '../time/civil';
import type { Wording } from '../time/words';
import { count, joinWords, sayDay, WEEKDAYS } from '../time/words';
import { wallFromInstant } from '../time/zones';
import type { Frequency, Rule, RuleDay } from './rule';
import { parseRule } from './rule';
import { writeRule } from './writeRule';

/** What a rule is said against: its first date (wall ms in `zone`), the year now, and how many dates are left. */
export interface RuleSetting {
  start: number;
  zone: string | null;
  wording: Pick<Wording, 'locale'>;
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

/** "second", "last", "second last", "6th". */
export function nthWord(nth: number): string {
  if (nth === -1) return 'last';
  if (nth < 0) return `${ORDINALS[-nth] ?? ordinal(-nth)} last`;
  return ORDINALS[nth] ?? ordinal(nth);
}

const monthDayWord = (day: number) =>
  day > 0 ? ordinal(day) : day === -1 ? 'last day' : `${nthWord(day)} day`;

/** "each month", "every other month", "every 3 months". */
function everyUnit(interval: number, unit: string, one = `each ${unit}`): string {
  if (interval === 1) return one;
  return interval === 2 ? `every other ${unit}` : `every ${interval} ${unit}s`;
}

const monthName = (month: number, { wording }: RuleSetting) =>
  sayDay(dayNumber(2024, month, 1), wording, { month: 'long' });

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

function sayDaily(rule: Rule): string | null {
  if (hasOnly(rule)) return everyUnit(rule.interval, 'day', 'every day');
  return hasOnly(rule, 'byDay') && rule.interval === 1 && isMondayToFriday(rule.byDay)
    ? 'every weekday'
    : null;
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
    if (byDay.length === 1 && byDay[0]!.nth === 0)
      return `the ${nthWord(bySetPos[0]!)} ${WEEKDAYS[byDay[0]!.weekday]}`;
    return null;
  }
  return bySetPos.length ? null : `the ${ordinal(civilDate(dayOfWall(start)).day)}`;
}

function sayMonthly(rule: Rule, start: number): string | null {
  if (!hasOnly(rule, 'byDay', 'byMonthDay', 'bySetPos')) return null;
  const day = dayInMonth(rule, start);
  return day && `on ${day} of ${everyUnit(rule.interval, 'month')}`;
}

function sayYearly(rule: Rule, setting: RuleSetting): string | null {
  if (!hasOnly(rule, 'byDay', 'byMonthDay', 'bySetPos', 'byMonth')) return null;
  const first = civilDate(dayOfWall(setting.start));
  const years = everyUnit(rule.interval, 'year');
  const months = rule.byMonth.length ? rule.byMonth : [first.month];
  const names = joinWords(months.map((month) => monthName(month, setting)));
  if (!rule.byDay.length && !rule.bySetPos.length) {
    if (rule.byMonthDay.length && !rule.byMonth.length) return null;
    const days = rule.byMonthDay.length ? rule.byMonthDay : [first.day];
    if (days.every((day) => day > 0)) return `on ${joinWords(days.map(String))} ${names} ${years}`;
  }
  const day = rule.byMonth.length ? dayInMonth(rule, setting.start) : null;
  return day && `on ${day} of ${names} ${years}`;
}

/** A rule with parts that no short sentence holds: part by part. */
function sayByParts(rule: Rule, setting: RuleSetting): string {
  const { frequency, interval } = rule;
  const said: string[] = [everyUnit(interval, UNITS[frequency], `every ${UNITS[frequency]}`)];
  const say = (values: readonly unknown[], text: () => string) =>
    values.length && said.push(text());
  const list = (words: readonly string[]) => joinWords(words);
  say(rule.byMonth, () => `in ${list(rule.byMonth.map((month) => monthName(month, setting)))}`);
  say(rule.byWeekNo, () => `in week ${list(rule.byWeekNo.map(fromEnd))} of the year`);
  say(rule.byYearDay, () => `on day ${list(rule.byYearDay.map(fromEnd))} of the year`);
  say(rule.byMonthDay, () => `on the ${list(rule.byMonthDay.map(monthDayWord))} of the month`);
  say(rule.byDay, () => `on ${list(inWeekOrder(rule.byDay).map(ruleDayWord))}`);
  say(rule.byHour, () => `in hour ${list(rule.byHour.map(String))}`);
  say(rule.byMinute, () => `in minute ${list(rule.byMinute.map(String))}`);
  say(rule.bySecond, () => `in second ${list(rule.bySecond.map(String))}`);
  say(rule.bySetPos, () => `only the ${list(rule.bySetPos.map(nthWord))} of these`);
  if (rule.skip === 'BACKWARD') said.push('days that don’t exist move to the day before');
  if (rule.skip === 'FORWARD') said.push('days that don’t exist move to the day after');
  return said.join(', ');
}

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
      return sayDaily(rule);
    case 'WEEKLY':
      return sayWeekly(rule, setting.start);
    case 'MONTHLY':
      return sayMonthly(rule, setting.start);
    case 'YEARLY':
      return sayYearly(rule, setting);
    default:
      return null;
  }
}

/**
 * A repeat rule in plain words: "Every other Monday and Wednesday until 30 April, 14 dates left".
 * A rule that takes more than a sentence is said part by part, after "Custom:".
 * @throws RuleError when the rule can't be read.
 */
export function sayRule(rule: string, setting: RuleSetting): string {
  const parsed = parseRule(rule);
  const plain = sayPattern(parsed, setting);
  const said = plain ?? `custom: ${sayByParts(parsed, setting)}`;
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
