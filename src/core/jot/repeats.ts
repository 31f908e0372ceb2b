import type { Weekday } from '../time/civil';
import { writeRule } from '../recurrence/writeRule';
import { plainRule } from '../recurrence/rule';
import type { Meaning, OpenPattern } from './meanings';
import type { Rule } from './rule';
import { rule } from './rule';
import {
  AND,
  byWeekdays,
  EVERY,
  INTERVAL,
  intervalOf,
  LIST_OF_WEEKDAYS,
  MONTH,
  monthNamed,
  NTH,
  nthOf,
  ORDINAL,
  UNIT,
  WEEKDAY,
  weekdayNamed,
  weekdaysNamed,
  WEEKDAYS,
  NO_LETTER,
} from './vocabulary';

const OF_MONTH = `(?:(?:of\\s+)?(?:(?:each|every|the)\\s+(?:(${INTERVAL})\\s+)?months?|monthly)|of\\s+month)`;
const WORKDAY = '(?:working\\s+day|workday|business\\s+day|weekday)';
const MONTHLY = `(?:monthly|(?:every|each)\\s+(?:(${INTERVAL})\\s+)?months?)`;
const ON = '(?:on\\s+)?(?:the\\s+)?';

const FORTNIGHTLY = `(?:fortnightly|bi-?weekly|${EVERY}\\s+fortnight|alternate\\s+weeks?)`;
const YEARLY = '(?:yearly|annually|every\\s+year|each\\s+year)';
/** Parts of the day, which are read besides. */
const PART = '(?:morning|afternoon|evening|night)';

const ALL_WEEKDAYS: readonly Weekday[] = [0, 1, 2, 3, 4, 5, 6];
const WORKING: readonly Weekday[] = [0, 1, 2, 3, 4];

const repeat = (pattern: OpenPattern | null): Meaning | null =>
  pattern && { kind: 'repeat', pattern };
const weekly = (interval: number, weekdays: ReturnType<typeof weekdaysNamed>): OpenPattern => ({
  kind: 'weekly',
  interval,
  weekdays,
  weekStart: 0,
});
const monthDay = (day: string, interval: string | undefined): OpenPattern | null => {
  const number = Number.parseInt(day, 10);
  return number >= 1 && number <= 31
    ? { kind: 'monthDay', interval: intervalOf(interval), day: number }
    : null;
};
/** A day of the month as items of a list name it: "15th", "last day". */
const MONTH_DAY = `(?:${ORDINAL}|last(?:\\s+day)?)`;
const itemsOf = (list: string) => list.match(new RegExp(`${NTH}|${ORDINAL}`, 'g')) ?? [];
const monthDays = (items: readonly string[]): OpenPattern => ({
  kind: 'custom',
  rule: writeRule({
    ...plainRule('MONTHLY'),
    byMonthDay: items.map((item) => (item === 'last' ? -1 : Number.parseInt(item, 10))),
  }),
});
const monthWeekdays = (nths: readonly string[], weekday: Weekday): OpenPattern => ({
  kind: 'custom',
  rule: writeRule({
    ...plainRule('MONTHLY'),
    byDay: nths.map((nth) => ({ weekday, nth: nthOf(nth) })),
  }),
});
const monthWeekday = (nth: string, name: string, interval: string | undefined): OpenPattern => ({
  kind: 'monthWeekday',
  interval: intervalOf(interval),
  nth: nthOf(nth),
  weekday: weekdayNamed(name),
});
/** The months in which a quarter begins, or ends. */
const FIRSTS = [1, 4, 7, 10];
const LASTS = [3, 6, 9, 12];
/** The nth of some weekdays in some months, which no plain pattern says. */
function ofMonths(byMonth: number[], nth: number, weekdays: readonly Weekday[]): OpenPattern {
  const made = {
    ...plainRule('MONTHLY'),
    byMonth,
    byDay: weekdays.map((weekday) => ({ weekday, nth: 0 })),
    bySetPos: [nth],
  };
  return { kind: 'custom', rule: writeRule(made) };
}
/** The nth of the days that people work on in a month: a rule that goes beyond the editor's. */
function nthWorkday(nth: string, interval: string | undefined): OpenPattern {
  const byDay = WORKING.map((weekday) => ({ weekday, nth: 0 }));
  const made = {
    ...plainRule('MONTHLY'),
    interval: intervalOf(interval),
    byDay,
    bySetPos: [nthOf(nth)],
  };
  return { kind: 'custom', rule: writeRule(made) };
}

function quarterDays(what: string): readonly Weekday[] {
  if (what === 'day') return ALL_WEEKDAYS;
  return new RegExp(`^${WORKDAY}$`).test(what) ? WORKING : [weekdayNamed(what)];
}

const ofQuarter = (nth: string, what: string) =>
  ofMonths(nthOf(nth) < 0 ? LASTS : FIRSTS, nthOf(nth), quarterDays(what));

/** Ways to say how something repeats. Those that say more weigh more. */
export const REPEAT_RULES: readonly Rule[] = [
  rule(`${ON}(?:(?:every|each)\\s+)?(${NTH})\\s+(${WEEKDAY})s?\\s+${OF_MONTH}`, 24, ([n, day, i]) =>
    repeat(monthWeekday(n!, day!, i)),
  ),
  rule(`${MONTHLY},?\\s+${ON}(${NTH})\\s+(${WEEKDAY})`, 24, ([i, n, day]) =>
    repeat(monthWeekday(n!, day!, i)),
  ),
  rule(`${ON}(?:(?:every|each)\\s+)?(${NTH})\\s+${WORKDAY}\\s+${OF_MONTH}`, 24, ([n, i]) =>
    repeat(nthWorkday(n!, i)),
  ),
  rule(`${MONTHLY},?\\s+${ON}(${NTH})\\s+${WORKDAY}`, 24, ([i, n]) => repeat(nthWorkday(n!, i))),
  rule(
    `${ON}(?:(?:every|each)\\s+)?(${NTH})\\s+(${WEEKDAY}|${WORKDAY}|day)\\s+(?:of|in)\\s+(?:the|each|every)\\s+quarter`,
    24,
    ([n, what]) => repeat(ofQuarter(n!, what!)),
  ),
  rule(
    `(?:quarterly|(?:every|each)\\s+quarter),?\\s+${ON}(${NTH})\\s+(${WEEKDAY}|${WORKDAY}|day)`,
    24,
    ([n, what]) => repeat(ofQuarter(n!, what!)),
  ),
  rule(`${ON}last\\s+day\\s+${OF_MONTH}`, 24, ([i]) =>
    repeat({ kind: 'monthEnd', interval: intervalOf(i) }),
  ),
  rule(`${MONTHLY},?\\s+${ON}last\\s+day`, 24, ([i]) =>
    repeat({ kind: 'monthEnd', interval: intervalOf(i) }),
  ),
  rule(`(?:at\\s+)?(?:the\\s+)?end\\s+of\\s+(?:each|every)\\s+month`, 23, () =>
    repeat({ kind: 'monthEnd', interval: 1 }),
  ),
  rule(`(?:at\\s+)?(?:the\\s+)?(?:start|beginning)\\s+of\\s+(?:each|every)\\s+month`, 23, () =>
    repeat({ kind: 'monthDay', interval: 1, day: 1 }),
  ),
  rule(
    `(?:at\\s+)?(?:the\\s+)?(?:month\\s+end|end\\s+of\\s+(?:the|each|every)\\s+month)\\s+(?:monthly|every\\s+month)`,
    24,
    () => repeat({ kind: 'monthEnd', interval: 1 }),
  ),
  rule(
    `${ON}(first|second|third|fourth|fifth|\\d{1,2}(?:st|nd|rd|th))\\s+day\\s+${OF_MONTH}`,
    23,
    ([nth, i]) => repeat({ kind: 'monthDay', interval: intervalOf(i), day: nthOf(nth!) }),
  ),
  rule(`${ON}(first|second|third|fourth|fifth)\\s+${OF_MONTH}`, 21, ([nth, i]) =>
    repeat({ kind: 'monthDay', interval: intervalOf(i), day: nthOf(nth!) }),
  ),
  rule(`${ON}(\\d{1,2})(?:st|nd|rd|th)\\s+${OF_MONTH}`, 21, ([day, i]) =>
    repeat(monthDay(day!, i)),
  ),
  rule(`${MONTHLY},?\\s+${ON}(\\d{1,2})(?:st|nd|rd|th)`, 21, ([i, day]) =>
    repeat(monthDay(day!, i)),
  ),
  rule(`${MONTHLY},?\\s+on\\s+(?:the\\s+)?(\\d{1,2})`, 20, ([i, day]) => repeat(monthDay(day!, i))),
  rule(
    `${EVERY}\\s+(\\d{1,2})(?:st|nd|rd|th)(?!\\s+(?:${UNIT}|${WEEKDAY}|${MONTH}|of|quarters?|${WORKDAY})${NO_LETTER})`,
    12,
    ([day]) => repeat(monthDay(day!, undefined)),
  ),
  // "Every second Monday" is each other one; these can only be of the month.
  rule(`${EVERY}\\s+(first|1st|last|second[- ]last)\\s+(${WEEKDAY})`, 16, ([n, day]) =>
    repeat(monthWeekday(n!, day!, undefined)),
  ),
  rule(`${EVERY}\\s+(${NTH})\\s+(${WEEKDAY})\\s+(?:in|of)\\s+(${MONTH})`, 26, ([n, day, month]) =>
    repeat(ofMonths([monthNamed(month!)], nthOf(n!), [weekdayNamed(day!)])),
  ),
  rule(
    `${ON}(${NTH})\\s+(${WEEKDAY})\\s+(?:in|of)\\s+(${MONTH}),?\\s+${YEARLY}`,
    30,
    ([n, day, month]) => repeat(ofMonths([monthNamed(month!)], nthOf(n!), [weekdayNamed(day!)])),
  ),
  rule(
    `${YEARLY},?\\s+${ON}(${NTH})\\s+(${WEEKDAY})\\s+(?:in|of)\\s+(${MONTH})`,
    30,
    ([n, day, month]) => repeat(ofMonths([monthNamed(month!)], nthOf(n!), [weekdayNamed(day!)])),
  ),
  rule(
    `${ON}(?:${EVERY}\\s+)?(${NTH}(?:${AND}${NTH}){1,5})\\s+(${WEEKDAY})s?(?:,?\\s+${OF_MONTH})?`,
    34,
    ([list, day]) => repeat(monthWeekdays(itemsOf(list!), weekdayNamed(day!))),
  ),
  rule(
    `${ON}(?:${EVERY}\\s+)?(${MONTH_DAY}(?:${AND}${MONTH_DAY}){1,11}),?\\s+${OF_MONTH}`,
    34,
    ([list]) => repeat(monthDays(itemsOf(list!))),
  ),
  rule(`${MONTHLY},?\\s+${ON}(${MONTH_DAY}(?:${AND}${MONTH_DAY}){1,11})`, 34, ([, list]) =>
    repeat(monthDays(itemsOf(list!))),
  ),
  // "The 1st and 15th" of no month are those of each.
  rule(
    `${ON}(?:${EVERY}\\s+)?(${ORDINAL}(?:${AND}${ORDINAL}){1,11})(?=\\s*(?:$|[,;@]|at\\b|from\\b|until\\b|\\d))`,
    16,
    ([list]) => repeat(monthDays(itemsOf(list!))),
  ),
  rule(MONTHLY, 10, ([i]) => repeat({ kind: 'monthlyOnStart', interval: intervalOf(i) })),
  rule('quarterly|every\\s+quarter', 10, () => repeat({ kind: 'monthlyOnStart', interval: 3 })),
  rule('half-?\\s?yearly|(?:every|each)\\s+half[\\s-]year|twice\\s+a\\s+year', 10, () =>
    repeat({ kind: 'monthlyOnStart', interval: 6 }),
  ),
  rule('nightly|every\\s+night', 10, () => repeat({ kind: 'daily', interval: 1 })),
  rule(
    `(?:(?:every|each|on|all)\\s+)?(?:weekdays|workdays|working\\s+days|business\\s+days)`,
    11,
    () => repeat({ kind: 'workdays' }),
  ),
  rule(`${EVERY}\\s+(?:weekday|workday|working\\s+day|business\\s+day)`, 11, () =>
    repeat({ kind: 'workdays' }),
  ),
  rule('(?:(?:at|on|all)\\s+)?weekends', 9, () => repeat(weekly(1, [5, 6]))),
  rule(`${EVERY}\\s+weekend`, 11, () => repeat(weekly(1, [5, 6]))),
  rule(`${FORTNIGHTLY}\\s+(?:on\\s+)?(${LIST_OF_WEEKDAYS})`, byWeekdays(20, 0), ([list]) =>
    repeat(weekly(2, weekdaysNamed(list!))),
  ),
  rule(FORTNIGHTLY, 12, () => repeat({ kind: 'weeklyOnStart', interval: 2 })),
  rule(
    `(?:weekly|${EVERY}\\s+(?:(${INTERVAL})\\s+)?(?:weeks?|wks?))\\s+on\\s+(${LIST_OF_WEEKDAYS})`,
    byWeekdays(20, 1),
    ([i, list]) => repeat(weekly(intervalOf(i), weekdaysNamed(list!))),
  ),
  rule(`(?:weekly|${EVERY}\\s+(?:(${INTERVAL})\\s+)?(?:weeks?|wks?))`, 10, ([i]) =>
    repeat({ kind: 'weeklyOnStart', interval: intervalOf(i) }),
  ),
  rule(
    `(?:on\\s+)?${EVERY}\\s+(?:(${INTERVAL})\\s+)?(${LIST_OF_WEEKDAYS})`,
    byWeekdays(15, 1),
    ([i, list]) => repeat(weekly(intervalOf(i), weekdaysNamed(list!))),
  ),
  rule(`(?:on\\s+)?${EVERY}\\s+(${WEEKDAY})\\s*(?:-|to)\\s*(${WEEKDAY})`, 21, ([a, b]) =>
    repeat(weekly(1, weekdaysFrom(a!, b!))),
  ),
  rule(
    // "The Mondays club" is a name.
    `(?<!\\bthe\\s)(?:on\\s+)?(alternate\\s+)?(${WEEKDAYS}(?:${AND}${WEEKDAYS}){0,6})`,
    byWeekdays(13, 1),
    ([alternate, list]) => repeat(weekly(alternate ? 2 : 1, weekdaysNamed(list!))),
  ),
  rule(
    `(?:on\\s+)?(${WEEKDAY}(?:${AND}${WEEKDAY}){1,6})\\s+(?:every\\s+week|each\\s+week|weekly)`,
    byWeekdays(17, 0),
    ([list]) => repeat(weekly(1, weekdaysNamed(list!))),
  ),
  rule(`(?:${YEARLY}|${EVERY}\\s+(${INTERVAL})\\s+years?)`, 10, ([i]) =>
    repeat({ kind: 'yearlyOnStart', interval: intervalOf(i) }),
  ),
  rule(
    `${EVERY}\\s+(?:(?:year\\s+)?on\\s+)?(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?\\s+(?:of\\s+)?(${MONTH})`,
    24,
    ([d, m]) => yearlyOn(m!, d!),
  ),
  rule(`${EVERY}\\s+(${MONTH})\\s+(\\d{1,2})(?:st|nd|rd|th)?`, 24, ([m, d]) => yearlyOn(m!, d!)),
  // Without an end, and without a time, these are days beside each other: see `dayRanges.ts`.
  rule(`(${WEEKDAY})\\s*(?:-|to|through|thru)\\s*(${WEEKDAY})`, 11.5, ([a, b]) =>
    repeat(weekly(1, weekdaysFrom(a!, b!))),
  ),
  rule(`${EVERY}(?=\\s+${PART}(?!s))`, 10, () => repeat({ kind: 'daily', interval: 1 })),
  rule(`(?:on\\s+)?(${LIST_OF_WEEKDAYS})(?=\\s+${PART}s)`, byWeekdays(13, 0), ([list]) =>
    repeat(weekly(1, weekdaysNamed(list!))),
  ),
  rule(`(?:daily|${EVERY}\\s+(?:(${INTERVAL})\\s+)?days?)`, 10, ([i]) =>
    repeat({ kind: 'daily', interval: intervalOf(i) }),
  ),
];

function weekdaysFrom(a: string, b: string) {
  const [first, last] = [weekdayNamed(a), weekdayNamed(b)];
  const length = ((last - first + 7) % 7) + 1;
  return Array.from({ length }, (_, i) => ((first + i) % 7) as typeof first);
}

function yearlyOn(month: string, day: string): Meaning | null {
  const number = Number(day);
  if (number < 1 || number > 31) return null;
  return repeat({ kind: 'yearly', interval: 1, month: monthNamed(month), day: number });
}
