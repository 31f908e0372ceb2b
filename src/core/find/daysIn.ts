import { MONTH, monthNamed } from '../jot/vocabulary';
import type { Filter, Period } from '../model/filter';
import type { Weekday } from '../time/civil';
import {
  civilDate,
  dayNumber,
  DAYS_A_WEEK,
  daysInMonth,
  formatDate,
  officeWeekStart,
  startOfWeek,
} from '../time/civil';
import type { DayNumber } from '../time/units';
import { typedDay } from '../view/typedDate';

/** Days (day numbers) that words may mean, the last one included. */
export interface DaysMeant {
  from: DayNumber;
  to: DayNumber;
  /** What they are called, where they are other days as time goes on. */
  period?: Period;
}

/** By what words are understood: the day it is, how weeks begin, and the order of dates in figures. */
export interface DayContext {
  today: DayNumber;
  firstWeekday: Weekday;
  isMonthFirst: boolean;
}

const WHICH = '(last|this|next)';
const AGO: Readonly<Record<string, number>> = { last: -1, this: 0, next: 1 };
const RELATIVE = new RegExp(`^${WHICH}\\s+(week|month|quarter|year)$`);
const NAMED_MONTH = new RegExp(`^(?:${WHICH}\\s+)?(${MONTH})\\.?(?:\\s+(\\d{4}))?$`);
const QUARTER = /^q([1-4])(?:\s*\/?\s*(\d{4}))?$/;
const WEEK = /^(?:week|wk|w)\s*(\d{1,2})(?:\s*(?:of|,|\/)?\s*(\d{4}))?$/;
const YEAR = /^(19|20|21)\d{2}$/;
/** "3-14 may": a dash between figures is one of a date, but where a month follows. */
const DASHED = /^(\d{1,2})\s*[-–]\s*(?=\d{1,2}\s+[a-z])/;
const STRETCH = /^(.+?)\s+(?:-|–|to|until|till)\s+(.+)$/;
const WEEKS_A_YEAR = 53;
const MONTHS_A_QUARTER = 3;

/** A month, counted from January of year 0, of which there may be several in a row. */
function months(first: number, count = 1): DaysMeant {
  const from = dayNumber(Math.floor(first / 12), (first % 12) + 1, 1);
  const last = first + count - 1;
  const [year, month] = [Math.floor(last / 12), (last % 12) + 1];
  return { from, to: dayNumber(year, month, daysInMonth(year, month)) };
}

const year = (nth: number): DaysMeant => months(nth * 12, 12);

function relative(which: string, unit: string, { today, firstWeekday }: DayContext): DaysMeant {
  const by = AGO[which]!;
  const at = civilDate(today);
  const month = at.year * 12 + at.month - 1;
  if (unit === 'week') {
    const from = startOfWeek(today, firstWeekday) + by * DAYS_A_WEEK;
    return { from, to: from + DAYS_A_WEEK - 1 };
  }
  if (unit === 'month') return months(month + by);
  if (unit === 'year') return year(at.year + by);
  const quarter = Math.floor(month / MONTHS_A_QUARTER) + by;
  return months(quarter * MONTHS_A_QUARTER, MONTHS_A_QUARTER);
}

/** A month without a year: the one around today, then those before and after it. */
function named(which: string | undefined, month: number, context: DayContext): DaysMeant[] {
  const at = civilDate(context.today);
  const now = at.year * 12 + at.month - 1;
  const inYear = (nth: number) => nth * 12 + month - 1;
  if (which === 'last') return [months(inYear(inYear(at.year) < now ? at.year : at.year - 1))];
  if (which === 'next') return [months(inYear(inYear(at.year) > now ? at.year : at.year + 1))];
  if (which === 'this') return [months(inYear(at.year))];
  return [at.year - 1, at.year, at.year + 1]
    .map(inYear)
    .sort((a, b) => Math.abs(a - now) - Math.abs(b - now) || b - a)
    .slice(0, 2)
    .map((nth) => months(nth));
}

function week(nth: number, ofYear: number, { firstWeekday }: DayContext): DaysMeant[] {
  if (nth < 1 || nth > WEEKS_A_YEAR) return [];
  const from = officeWeekStart(ofYear, nth, firstWeekday);
  return [{ from, to: from + DAYS_A_WEEK - 1 }];
}

/** Weeks, months, quarters and years by what they are called. */
function period(words: string, context: DayContext): DaysMeant[] {
  const at = civilDate(context.today);
  const said = RELATIVE.exec(words);
  if (said) {
    const called = `${said[1]} ${said[2]}` as Period;
    return [{ ...relative(said[1]!, said[2]!, context), period: called }];
  }
  const month = NAMED_MONTH.exec(words);
  if (month) {
    const nth = monthNamed(month[2]!);
    return month[3] === undefined
      ? named(month[1], nth, context)
      : [months(Number(month[3]) * 12 + nth - 1)];
  }
  const quarter = QUARTER.exec(words);
  if (quarter) {
    const first = (Number(quarter[1]) - 1) * MONTHS_A_QUARTER;
    return [months(Number(quarter[2] ?? at.year) * 12 + first, MONTHS_A_QUARTER)];
  }
  const nthWeek = WEEK.exec(words);
  if (nthWeek) return week(Number(nthWeek[1]), Number(nthWeek[2] ?? at.year), context);
  if (YEAR.test(words)) return [year(Number(words))];
  return [];
}

function single(words: string, context: DayContext): DaysMeant[] {
  const whole = period(words, context);
  const day = whole.length ? null : typedDay(words, context);
  return day === null ? whole : [{ from: day, to: day }];
}

/** From one to another; null when words say no stretch. */
function stretch(words: string, context: DayContext): DaysMeant[] | null {
  const [, first, last] = STRETCH.exec(words) ?? [];
  if (first === undefined || last === undefined) return null;
  // "3 to 14 may": the month is said once.
  const monthOfLast = new RegExp(`\\b${MONTH}\\b.*$`).exec(last)?.[0];
  const begin = /^\d{1,2}$/.test(first) && monthOfLast ? `${first} ${monthOfLast}` : first;
  const yearOfLast = /\b\d{4}$/.exec(last)?.[0];
  const dated = yearOfLast && !/\d{4}/.test(begin) ? `${begin} ${yearOfLast}` : begin;
  const [from] = single(dated, context);
  const [to] = single(last, context);
  if (!from || !to) return null;
  return from.from <= to.to ? [{ from: from.from, to: to.to }] : [];
}

/**
 * The days that typed words may mean, the likeliest first: "march", "last week", "q3 2026", "2027",
 * "12 march", "3 to 14 may". None when they name no days.
 */
export function daysIn(text: string, context: DayContext): DaysMeant[] {
  const words = text.trim().toLowerCase().replaceAll(/\s+/g, ' ').replace(DASHED, '$1 to ');
  if (!words) return [];
  return stretch(words, context) ?? single(words, context);
}

/** Days that words mean as a filter has them. */
export const filterDates = ({ from, to, period }: DaysMeant): NonNullable<Filter['dates']> => ({
  from: formatDate(from),
  to: formatDate(to),
  ...(period && { period }),
});

/** A filter of which days that were called "this month" are those of this month now. */
export function currentFilter(filter: Filter, context: DayContext): Filter {
  const period = filter.dates?.period;
  const [days] = period ? daysIn(period, context) : [];
  return days ? { ...filter, dates: filterDates(days) } : filter;
}
