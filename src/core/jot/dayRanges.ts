import { startOfWeek, weekdayOf } from '../time/civil';
import type { DayNumber } from '../time/units';
import {
  addUnits,
  asDay,
  DATE,
  dateOf,
  DAYS_A_WEEK,
  figures,
  fullYear,
  nextDate,
  nextWeekday,
  nthOfMonth,
  ON,
  TO,
  todayOf,
  written,
} from './dates';
import type { DayMeant, Meaning, Reading } from './meanings';
import type { Groups, JotContext, Rule } from './rule';
import { rule } from './rule';
import { JOINS, LISTS, startingAt } from './joining';
import type { JotText } from './text';
import { AND, MONTH, WEEKDAY, weekdayNamed } from './vocabulary';

const MOST_DAYS = 366;
const NTH = '(?:st|nd|rd|th)?';
/** "15 Dec 3-4" is a day with a time. */
const NO_DAY_BEFORE = `(?<!\\d${NTH}\\.?\\s+(?:of\\s+)?)(?<!\\b(?:in|during)\\s)`;

/** The days from one to one after it; null where that is not in order. */
function daysFrom(first: DayNumber | null, last: DayNumber | null): DayMeant | null {
  if (first === null || last === null || last < first) return null;
  return last - first > MOST_DAYS ? null : { day: first, lastDay: last };
}

/** Days that are named one by one: from the first to the last where none lies between. */
function daysListed(days: readonly (number | null)[]): DayMeant | null {
  const [first, ...rest] = days;
  if (first === undefined || first === null) return null;
  if (rest.some((day, i) => day === null || day <= days[i]!)) return null;
  const last = rest.at(-1) ?? first;
  return last - first === rest.length
    ? { day: first, lastDay: last, isList: true }
    : { day: first, also: rest.map((day) => ({ day: day! })) };
}

const range = (first: number | null, last: number | null) => asDay(daysFrom(first, last));

/** A date in a year; in the next one that has it where none was said. */
type Dated = (year: string | undefined) => number | null;

/**
 * From a date to another. A year that is said of one is meant of both, as far as that is in order:
 * "24 Dec - 3 Jan 2027". Without one, what is over when it would begin has begun already.
 */
function datedRange(first: Dated, y1: string | undefined, last: Dated, y2: string | undefined) {
  const [start, end] = [first(y1 ?? y2), last(y2 ?? y1)];
  if (start === null || end === null || start <= end) return range(start, end);
  if (y1 === undefined) return range(addUnits(start, -1, 'year'), end);
  return y2 === undefined ? range(start, addUnits(end, 1, 'year')) : null;
}

const SLASHED = '(\\d{1,2})/(\\d{1,2})(?:/(\\d{4}|\\d{2}))?';
const DOTTED = '(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4}|\\d{2})?';
const ISO = '(\\d{4})-(\\d{2})-(\\d{2})';

function dotted(d: string, m: string, y: string | undefined, context: JotContext): number | null {
  return y === undefined
    ? nextDate(Number(m), Number(d), todayOf(context))
    : dateOf(fullYear(y), Number(m), Number(d));
}
const iso = (y: string, m: string, d: string) => dateOf(Number(y), Number(m), Number(d));

/** Weekdays of one week, first to last. */
function ofWeek(first: string, last: string, week: DayNumber): Meaning | null {
  const [from, to] = [weekdayNamed(first), weekdayNamed(last)];
  return from > to ? null : asDay({ day: week + from, lastDay: week + to });
}
const WEEKDAYS_TO = `(${WEEKDAY})\\s*(?:-|to|through|thru)\\s*(${WEEKDAY})`;

/** Numbers of days in a list: "3, 4 and 5". */
const NUMBERS = `\\d{1,2}${NTH}(?:${AND}\\d{1,2}${NTH}){1,11}`;
const numbersOf = (list: string) => list.match(/\d{1,2}/g) ?? [];
/** More for each of them, so that no part of a list says as much. */
const byNumbers =
  (one: number) =>
  ([list]: Groups) =>
    one + 12 * (numbersOf(list!).length - 1);

/** Ways to name all days from one to another, or several one by one. */
export const RANGE_RULES: readonly Rule[] = [
  rule(
    `${ON}(${NUMBERS})\\s*(?:of\\s+)?(${MONTH})\\.?(?:,?\\s+(\\d{4}))?`,
    byNumbers(20),
    ([list, m, y], context) =>
      asDay(daysListed(numbersOf(list!).map((d) => written(d, m!, y, context)))),
  ),
  rule(`${ON}(${MONTH})\\.?\\s+(${NUMBERS})(?!\\s*[:.h]\\d)`, 20, ([m, list], context) =>
    asDay(daysListed(numbersOf(list!).map((d) => written(d, m!, undefined, context)))),
  ),
  rule(`${ON}${DATE}${TO}${DATE}`, 24, ([d1, m1, y1, d2, m2, y2], context) => {
    const of = (d: string, m: string) => (year: string | undefined) => written(d, m, year, context);
    return datedRange(of(d1!, m1!), y1, of(d2!, m2!), y2);
  }),
  // "Mon 7 to Wed 9 Dec" is not from 7:00 to 9:00.
  rule(`${ON}${WEEKDAY}\\.?,?\\s+(\\d{1,2})${NTH}${TO}${DATE}`, 34, ([from, d, m, y], context) =>
    range(written(from!, m!, y, context), written(d!, m!, y, context)),
  ),
  rule(
    `${ON}(\\d{1,2})(?:st|nd|rd|th)${TO}(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)`,
    8,
    ([from, to], context) => {
      const first = nthOfMonth(Number(from), undefined, context);
      return range(first, first === null ? null : first + Number(to) - Number(from));
    },
  ),
  rule(`${ON}(\\d{1,2})${NTH}${TO}${DATE}`, 21, ([from, d, m, y], context) =>
    range(written(from!, m!, y, context), written(d!, m!, y, context)),
  ),
  rule(
    `${NO_DAY_BEFORE}${ON}(${MONTH})\\.?\\s+(\\d{1,2})${NTH}${TO}(?:the\\s+)?(\\d{1,2})${NTH}(?!\\s*[:.h]\\d)(?:,?\\s+(\\d{4}))?`,
    21,
    ([m, from, to, y], context) =>
      range(written(from!, m!, y, context), written(to!, m!, y, context)),
  ),
  rule(`between\\s+${DATE}\\s+and\\s+${DATE}`, 46, ([d1, m1, y1, d2, m2, y2], context) => {
    const of = (d: string, m: string) => (year: string | undefined) => written(d, m, year, context);
    return datedRange(of(d1!, m1!), y1, of(d2!, m2!), y2);
  }),
  rule(
    `between\\s+(?:the\\s+)?(\\d{1,2})${NTH}\\s+and\\s+${DATE}`,
    46,
    ([from, d, m, y], context) =>
      range(written(from!, m!, y, context), written(d!, m!, y, context)),
  ),
  // "1-14/8"; where months come first that is a fraction at most.
  rule(`(\\d{1,2})-(\\d{1,2})/(\\d{1,2})`, 9, ([from, to, month], context) =>
    context.isMonthFirst
      ? null
      : range(
          nextDate(Number(month), Number(from), todayOf(context)),
          nextDate(Number(month), Number(to), todayOf(context)),
        ),
  ),
  rule(`${ON}${SLASHED}${TO}${SLASHED}`, 22, ([a, b, y1, c, d, y2], context) => {
    const of = (p: string, q: string) => (year: string | undefined) =>
      figures(p, q, year, context)?.day ?? null;
    return datedRange(of(a!, b!), y1, of(c!, d!), y2);
  }),
  rule(`${ON}${DOTTED}${TO}${DOTTED}`, 22, ([d1, m1, y1, d2, m2, y2], context) => {
    const of = (d: string, m: string) => (year: string | undefined) => dotted(d, m, year, context);
    return datedRange(of(d1!, m1!), y1, of(d2!, m2!), y2);
  }),
  rule(`${ON}(\\d{1,2})\\.${TO}${DOTTED}`, 21, ([from, d, m, y], context) =>
    range(dotted(from!, m!, y, context), dotted(d!, m!, y, context)),
  ),
  rule(`${ON}${ISO}(?:${TO}|/)${ISO}`, 46, ([y1, m1, d1, y2, m2, d2]) =>
    range(iso(y1!, m1!, d1!), iso(y2!, m2!, d2!)),
  ),
  rule(WEEKDAYS_TO, 12, ([a, b], context) => {
    const first = nextWeekday(weekdayNamed(a!), todayOf(context));
    const lastDay = nextWeekday(weekdayNamed(b!), first);
    const isWeekdays = Array.from({ length: lastDay - first + 1 }, (_, i) => weekdayOf(first + i));
    return asDay({ day: first, lastDay, isWeekdays });
  }),
  rule(
    `${WEEKDAYS_TO}\\s+(?:of\\s+)?(next|this)\\s+week|(next|this)\\s+(?:week,?\\s+)?${WEEKDAYS_TO}`,
    24,
    ([a, b, after, before, c, d], context) => {
      const week = startOfWeek(todayOf(context)) + ((after ?? before) === 'next' ? DAYS_A_WEEK : 0);
      return ofWeek((a ?? c)!, (b ?? d)!, week);
    },
  ),
];

/** What joins two days that are said apart; it tells for no more than they do. */
const JOINED = 0.1;
/** A list says less than "between … and …" does. */
const LISTED = -4;
const MOST_LISTED = 31;

interface SingleDay {
  from: number;
  to: number;
  weight: number;
  day: DayMeant;
}

function joined(first: SingleDay, last: SingleDay): DayMeant | null {
  const isWeekday = last.day.weekday !== undefined;
  if (isWeekday && first.day.weekday !== undefined) return null;
  const lastDay =
    isWeekday && last.day.day < first.day.day
      ? nextWeekday(last.day.weekday!, first.day.day)
      : last.day.day;
  return daysFrom(first.day.day, lastDay);
}

/**
 * All days from one to another where both are said in whatever way ("tomorrow to 4 Dec"), or one by one
 * ("31 Jan, 30 Apr and 31 Jul"). Two plain weekdays are those of every week, see above; with a repeat,
 * "until" ends that.
 */
export function daySpans({ text }: Pick<JotText, 'text'>, days: readonly Reading[]): Reading[] {
  const single = days.flatMap(({ meaning, ...at }): SingleDay[] =>
    meaning.kind === 'day' && meaning.day.lastDay === undefined
      ? [{ ...at, day: meaning.day }]
      : [],
  );
  const following = startingAt(single);
  const next = (sign: RegExp, at: number) => following(text, at, sign);
  const best = (all: readonly SingleDay[]) =>
    all.reduce<SingleDay | null>((a, b) => (a && a.weight >= b.weight ? a : b), null);
  const asReading = (all: readonly SingleDay[], day: DayMeant | null, more: number): Reading[] =>
    day === null
      ? []
      : [
          {
            ...{ from: all[0]!.from, to: all.at(-1)!.to },
            weight: all.reduce((sum, { weight }) => sum + weight + more, -more),
            meaning: { kind: 'day', day },
          },
        ];
  return single.flatMap((first): Reading[] => {
    const ranges = next(JOINS, first.to).flatMap((last) =>
      asReading([first, last], joined(first, last), JOINED),
    );
    const list = [first];
    const lists: Reading[] = [];
    for (let one = best(next(LISTS, first.to)); one; one = best(next(LISTS, one.to))) {
      // Weekdays in a list are of every week, or each has its own rule.
      if (one.day.weekday !== undefined || list.length === MOST_LISTED) break;
      list.push(one);
      const named = daysListed(list.map(({ day }) => day.day));
      lists.push(...asReading(list, named, LISTED));
    }
    return [...ranges, ...lists];
  });
}
