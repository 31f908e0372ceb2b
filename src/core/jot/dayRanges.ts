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
import type { JotContext, Rule } from './rule';
import { rule } from './rule';
import type { JotText } from './text';
import { MONTH, WEEKDAY, weekdayNamed } from './vocabulary';

const MOST_DAYS = 366;
const NTH = '(?:st|nd|rd|th)?';
/** "15 Dec 3-4" is a day with a time. */
const NO_DAY_BEFORE = `(?<!\\d${NTH}\\.?\\s+(?:of\\s+)?)`;

/** The days from one to one after it; null where that is not in order. */
function daysFrom(first: DayNumber | null, last: DayNumber | null): DayMeant | null {
  if (first === null || last === null || last < first) return null;
  return last - first > MOST_DAYS ? null : { day: first, lastDay: last };
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
  return y1 === undefined
    ? range(addUnits(start, -1, 'year'), end)
    : range(start, addUnits(end, 1, 'year'));
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

/** Ways to name all days from one to another. */
export const RANGE_RULES: readonly Rule[] = [
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
  rule(`between\\s+${DATE}\\s+and\\s+${DATE}`, 26, ([d1, m1, y1, d2, m2, y2], context) => {
    const of = (d: string, m: string) => (year: string | undefined) => written(d, m, year, context);
    return datedRange(of(d1!, m1!), y1, of(d2!, m2!), y2);
  }),
  rule(
    `between\\s+(?:the\\s+)?(\\d{1,2})${NTH}\\s+and\\s+${DATE}`,
    26,
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
  rule(`${ON}${ISO}(?:${TO}|/)${ISO}`, 26, ([y1, m1, d1, y2, m2, d2]) =>
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

const JOIN = /^\s*(?:-|to|until|till|through|thru)\s*$/;
/** What joins two days that are said apart; it tells for no more than they do. */
const JOINED = 0.1;

/**
 * All days from one to another where both are said in whatever way: "tomorrow to 4 Dec". Two plain
 * weekdays are those of every week, see above; with a repeat, "until" ends that.
 */
export function daySpans({ text }: Pick<JotText, 'text'>, days: readonly Reading[]): Reading[] {
  const single = days.flatMap(({ meaning, ...at }) =>
    meaning.kind === 'day' && meaning.day.lastDay === undefined
      ? [{ ...at, day: meaning.day }]
      : [],
  );
  return single.flatMap((first) =>
    single.flatMap((last): Reading[] => {
      if (last.from < first.to || !JOIN.test(text.slice(first.to, last.from))) return [];
      const isWeekday = last.day.weekday !== undefined;
      if (isWeekday && first.day.weekday !== undefined) return [];
      const lastDay =
        isWeekday && last.day.day < first.day.day
          ? nextWeekday(last.day.weekday!, first.day.day)
          : last.day.day;
      const day = daysFrom(first.day.day, lastDay);
      if (!day) return [];
      const weight = first.weight + last.weight + JOINED;
      return [{ from: first.from, to: last.to, weight, meaning: { kind: 'day', day } }];
    }),
  );
}
