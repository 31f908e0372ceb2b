import type { Weekday } from '../time/civil';
import { civilDate, dayNumber, daysInMonth, startOfWeek, weekdayOf } from '../time/civil';
import { RANGE_RULES } from './dayRanges';
import {
  addUnits,
  asDay,
  DATE,
  DATE_MONTH_FIRST,
  dateOf,
  DAYS_A_WEEK,
  figures,
  fullYear,
  nextDate,
  nextWeekday,
  nthOfMonth,
  ON,
  todayOf,
  written,
} from './dates';
import { FEAST_RULES } from './feasts';
import type { DayMeant, Meaning } from './meanings';
import { PERIOD_RULES } from './periods';
import type { JotContext, Rule } from './rule';
import { rule } from './rule';
import {
  AND,
  byWeekdays,
  COUNT,
  countOf,
  MONTH,
  monthNamed,
  NTH,
  nthOf,
  UNIT,
  unitsOf,
  WEEKDAY,
  weekdayNamed,
  weekdaysNamed,
} from './vocabulary';

/** A weekday as it is said: this one, the next one, in so many weeks. */
function saidWeekday(which: string | undefined, name: string, context: JotContext): DayMeant {
  const today = todayOf(context);
  const weekday = weekdayNamed(name);
  const coming = nextWeekday(weekday, today);
  if (which === 'last') return { day: coming - DAYS_A_WEEK };
  if (which !== 'next') return { day: coming, weekday };
  const nextWeeks = startOfWeek(today) + DAYS_A_WEEK + weekday;
  return nextWeeks === coming ? { day: coming } : { day: nextWeeks, other: coming };
}

/** The nth of a weekday in a month, from its end where negative; null where it has none. */
function nthWeekdayOf(nth: number, weekday: Weekday, year: number, month: number): number | null {
  const length = daysInMonth(year, month);
  const first = dayNumber(year, month, 1);
  const of = Array.from({ length }, (_, i) => first + i).filter(
    (day) => weekdayOf(day) === weekday,
  );
  return of.at(nth < 0 ? nth : nth - 1) ?? null;
}

function nthWeekdayAhead(nth: number, weekday: Weekday, ahead: number, context: JotContext) {
  const { year, month } = civilDate(addUnits(todayOf(context), ahead, 'month'));
  return nthWeekdayOf(nth, weekday, year, month);
}

/** The next such day, in the given year where one is said. */
function nextNthWeekday(
  nth: number,
  weekday: Weekday,
  month: number,
  year: string | undefined,
  context: JotContext,
): number | null {
  if (year !== undefined) return nthWeekdayOf(nth, weekday, Number(year), month);
  const today = todayOf(context);
  const { year: thisYear } = civilDate(today);
  const found = nthWeekdayOf(nth, weekday, thisYear, month);
  return found !== null && found >= today ? found : nthWeekdayOf(nth, weekday, thisYear + 1, month);
}

const TODAY = '(?:today|2day|tod|tdy)';
const TOMORROW =
  '(?:tomorrow|tomorow|tommorrow|2morrow|2moro|tomoz|tmrw|tmro|tmr|tmw|tom(?=\\s+\\d))';
const RELATIVE = `(?:${TODAY}|${TOMORROW}|${WEEKDAY})`;
const relative = (word: string, context: JotContext): number => {
  const today = todayOf(context);
  if (new RegExp(`^${TODAY}$`).test(word)) return today;
  if (new RegExp(`^${TOMORROW}`).test(word) || word === 'tom') return today + 1;
  return nextWeekday(weekdayNamed(word), today);
};

/** Ways to name a day, and weekdays of every week. */
const SINGLE_DAYS: readonly Rule[] = [
  rule(`${ON}(\\d{4})-(\\d{2})-(\\d{2})`, 12, ([y, m, d]) =>
    asDay(dateOf(Number(y), Number(m), Number(d))),
  ),
  rule(
    `${ON}(?:${WEEKDAY}\\.?,?\\s+)?(\\d{1,2})/(\\d{1,2})(?:/(\\d{4}|\\d{2})|(?!\\s*(?:an?\\s+)?(?:days?|hours?|price|weeks?|years?|terms?|pints?)))`,
    10,
    ([a, b, y], context) =>
      // "24/7" is no date.
      a === '24' && b === '7' && y === undefined ? null : asDay(figures(a!, b!, y, context)),
  ),
  rule(
    `${ON}(?:${WEEKDAY}\\.?,?\\s+)?(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4}|\\d{2})?`,
    10,
    ([a, b, y], context) =>
      asDay(
        y === undefined
          ? nextDate(Number(b), Number(a), todayOf(context))
          : dateOf(fullYear(y), Number(b), Number(a)),
      ),
  ),
  // More than a weekday and an hour: "on Wednesday 2 Dec".
  rule(`${ON}${DATE}`, 14, ([d, m, y], context) => asDay(written(d!, m!, y, context))),
  rule(`${ON}${DATE_MONTH_FIRST}`, 10, ([m, d, y], context) => asDay(written(d!, m!, y, context))),
  rule(TODAY, 9, (_, context) => asDay(todayOf(context))),
  rule(TOMORROW, 9, (_, context) => asDay(todayOf(context) + 1)),
  rule('yesterday', 9, (_, context) => asDay(todayOf(context) - 1)),
  rule('(?:the\\s+)?day\\s+after\\s+tomorrow|overmorrow', 12, (_, context) =>
    asDay(todayOf(context) + 2),
  ),
  rule('(?:the\\s+)?day\\s+before\\s+yesterday', 12, (_, context) => asDay(todayOf(context) - 2)),
  // A short name may be a word: "Sun hats", "sat nav". A full one, or "on sun", is a day.
  rule(`(${WEEKDAY})`, 5, ([name], context) => asDay(saidWeekday(undefined, name!, context))),
  rule(`(?:on|this|coming|this\\s+coming|by|from|starting)\\s+(${WEEKDAY})`, 8, ([name], context) =>
    asDay(saidWeekday(undefined, name!, context)),
  ),
  rule(
    `(?:(?:on|by|from|starting|beginning)\\s+)?(next|last)\\s+(${WEEKDAY})`,
    9,
    ([which, name], context) => asDay(saidWeekday(which, name!, context)),
  ),
  rule(
    `${ON}(${NTH})\\s+(${WEEKDAY})\\s+(?:in|of)\\s+(?:(${MONTH})(?:\\s+(\\d{4}))?|(next|this)\\s+month)`,
    18,
    ([nth, name, month, year, which], context) =>
      asDay(
        month === undefined
          ? nthWeekdayAhead(nthOf(nth!), weekdayNamed(name!), which === 'next' ? 1 : 0, context)
          : nextNthWeekday(nthOf(nth!), weekdayNamed(name!), monthNamed(month), year, context),
      ),
  ),
  rule(`(?:on\\s+)?(?:the\\s+)?(${WEEKDAY})\\s+after\\s+next`, 13, ([name], context) =>
    asDay(nextWeekday(weekdayNamed(name!), todayOf(context)) + DAYS_A_WEEK),
  ),
  rule(
    `(?:on\\s+)?(${WEEKDAY})\\s+(?:of\\s+)?next\\s+week|next\\s+week\\s+(?:on\\s+)?(${WEEKDAY})`,
    13,
    ([a, b], context) =>
      asDay(startOfWeek(todayOf(context)) + DAYS_A_WEEK + weekdayNamed((a ?? b)!)),
  ),
  rule(`(${WEEKDAY})\\s+(?:of\\s+)?this\\s+week`, 13, ([name], context) =>
    asDay(startOfWeek(todayOf(context)) + weekdayNamed(name!)),
  ),
  rule(`(?:on\\s+)?(${WEEKDAY})\\s+week`, 10, ([name], context) =>
    asDay(nextWeekday(weekdayNamed(name!), todayOf(context)) + DAYS_A_WEEK),
  ),
  // "For two weeks from Monday" is a length.
  rule(
    `(?<!for\\s)(${COUNT})\\s+(${UNIT})\\s+(?:from|after)\\s+(${RELATIVE}|now)`,
    14,
    ([n, unit, from], context) => {
      const { count, unit: u } = unitsOf(countOf(n!), unit!);
      return asDay(
        addUnits(from === 'now' ? todayOf(context) : relative(from!, context), count, u),
      );
    },
  ),
  // "Tomorrow week", "Friday fortnight".
  rule(`(?:on\\s+)?(${RELATIVE})\\s+(week|fortnight)`, 14, ([day, unit], context) =>
    asDay(relative(day!, context) + (unit === 'week' ? 1 : 2) * DAYS_A_WEEK),
  ),
  // "Tomorrow's call": whose it is says when it is.
  rule(`(${RELATIVE})'s`, 9, ([day], context) => asDay(relative(day!, context))),
  // "Two weeks on Friday", "a week tomorrow".
  rule(
    `(?<!for\\s)(${COUNT})\\s+(?:(weeks?|fortnights?)\\s+on\\s+(${WEEKDAY})|(${UNIT})\\s+(${TODAY}|${TOMORROW}))`,
    14,
    ([n, weeks, weekday, units, day], context) => {
      const { count, unit } = unitsOf(countOf(n!), (weeks ?? units)!);
      return asDay(addUnits(relative((weekday ?? day)!, context), count, unit));
    },
  ),
  rule(`in\\s+(${COUNT})\\s+(${UNIT})(?:'?\\s+time)?`, 11, ([n, unit], context) => {
    const { count, unit: u } = unitsOf(countOf(n!), unit!);
    return asDay(addUnits(todayOf(context), count, u));
  }),
  rule(
    `${ON}(?:(${WEEKDAY})\\.?,?\\s+)(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)`,
    12,
    ([name, d], context) =>
      asDay(nthOfMonth(Number(d), name, context) ?? nthOfMonth(Number(d), undefined, context)),
  ),
  // "The 2nd draft" is no day.
  rule(
    `(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)(?=\\s*(?:$|[,@]|at\\b|from\\b|\\d))`,
    5,
    ([d], context) => asDay(nthOfMonth(Number(d), undefined, context)),
  ),
  rule(`(?:on\\s+|by\\s+)(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)`, 8, ([d], context) =>
    asDay(nthOfMonth(Number(d), undefined, context)),
  ),
  rule(`(?:on\\s+)?(${WEEKDAY}(?:${AND}${WEEKDAY}){1,6})`, byWeekdays(8, 0), ([list], context) =>
    listed(list!, context),
  ),
  rule(
    `(${WEEKDAY}(?:(?:\\s*,\\s*|\\s+|\\s*/\\s*)${WEEKDAY}){2,6})`,
    byWeekdays(9, 0),
    ([list], context) => repeatOn(weekdaysNamed(list!), context),
  ),
];

/** Two weekdays that follow each other are those two days, without a stroke between them; others are of every week. */
function listed(list: string, context: JotContext): Meaning | null {
  const weekdays = weekdaysNamed(list);
  const [first, last] = weekdays as [Weekday, Weekday | undefined];
  const isPair = weekdays.length === 2 && last === (first + 1) % DAYS_A_WEEK && !list.includes('/');
  if (!isPair) return repeatOn(weekdays, context);
  const day = nextWeekday(first, todayOf(context));
  return asDay({ day, lastDay: day + 1, isList: true, weekdays });
}

/** Several weekdays beside each other are those of every week. */
function repeatOn(weekdays: Weekday[], context: JotContext): Meaning | null {
  const [first, second] = weekdays;
  if (first === undefined || second === undefined) return null;
  const once = Math.min(...weekdays.map((weekday) => nextWeekday(weekday, todayOf(context))));
  return { kind: 'repeat', pattern: { kind: 'weekly', interval: 1, weekdays, weekStart: 0 }, once };
}

/** Ways to name a day or days. */
export const DAY_RULES: readonly Rule[] = [
  ...SINGLE_DAYS,
  ...RANGE_RULES,
  ...PERIOD_RULES,
  ...FEAST_RULES,
];
