import type { Period } from '../model/filter';
import { MONTH, monthNamed, WEEKDAY, weekdayNamed } from '../jot/vocabulary';
import type { Weekday } from '../time/civil';
import {
  civilDate,
  dayNumber,
  DAYS_A_WEEK,
  daysInMonth,
  officeWeekStart,
  startOfWeek,
} from '../time/civil';
import type { DayNumber } from '../time/units';

/** Days (day numbers) that words may mean, the last one included; without an end where one is null. */
export interface DaysMeant {
  from: DayNumber | null;
  to: DayNumber | null;
  /** What they are called, where they are other days as time goes on. */
  period?: Period;
}

/** Days with a beginning and an end. */
export type Stretch = DaysMeant & { from: DayNumber; to: DayNumber };

/** By what words are understood: the day it is, how weeks begin, and the order of dates in figures. */
export interface DayContext {
  today: DayNumber;
  firstWeekday: Weekday;
  isMonthFirst: boolean;
}

const WEEKS_A_YEAR = 53;
const MONTHS_A_QUARTER = 3;
const MONTHS_A_HALF = 6;
/** Saturday, with Monday as 0. */
const SATURDAY = 5;

const WHICH = '(last|past|previous|this|next|coming|current)';
const AGO: Readonly<Record<string, number>> = {
  last: -1,
  past: -1,
  previous: -1,
  next: 1,
  coming: 1,
};
const byOf = (which: string) => AGO[which] ?? 0;

/** A month, counted from January of year 0, of which there may be several in a row. */
function months(first: number, count = 1): Stretch {
  const from = dayNumber(Math.floor(first / 12), (first % 12) + 1, 1);
  const last = first + count - 1;
  const [year, month] = [Math.floor(last / 12), (last % 12) + 1];
  return { from, to: dayNumber(year, month, daysInMonth(year, month)) };
}

const yearOf = (nth: number): Stretch => months(nth * 12, 12);

const weekFrom = (from: DayNumber): Stretch => ({ from, to: from + DAYS_A_WEEK - 1 });

const nowOf = ({ today }: DayContext) => {
  const { year, month } = civilDate(today);
  return { year, nth: year * 12 + month - 1 };
};

/** Of stretches that are as good, the nearest first; of two as near the later. */
const nearestFirst = (stretches: readonly Stretch[], { today }: DayContext): Stretch[] =>
  stretches.toSorted(
    (a, b) => Math.abs(a.from - today) - Math.abs(b.from - today) || b.from - a.from,
  );

/** A part of each year, where no year was said: the nearest two. */
const nearestYears = (make: (year: number) => Stretch, context: DayContext): Stretch[] => {
  const { year } = nowOf(context);
  return nearestFirst([year - 1, year, year + 1].map(make), context).slice(0, 2);
};

function unitBy(unit: string, by: number, context: DayContext): Stretch {
  const { today, firstWeekday } = context;
  const now = nowOf(context);
  switch (unit) {
    case 'week':
      return weekFrom(startOfWeek(today, firstWeekday) + by * DAYS_A_WEEK);
    case 'weekend': {
      // Whatever day weeks begin with, a weekend is Saturday and Sunday of the week from Monday.
      const from = startOfWeek(today, 0) + SATURDAY + by * DAYS_A_WEEK;
      return { from, to: from + 1 };
    }
    case 'month':
      return months(now.nth + by);
    case 'year':
      return yearOf(now.year + by);
    default:
      return months((Math.floor(now.nth / MONTHS_A_QUARTER) + by) * MONTHS_A_QUARTER, 3);
  }
}

const KEPT: Readonly<Record<string, 'last' | 'this' | 'next'>> = {
  '-1': 'last',
  '0': 'this',
  '1': 'next',
};

function relative(unit: string, by: number, context: DayContext): Stretch {
  const which = KEPT[String(by)];
  return {
    ...unitBy(unit, by, context),
    ...(which && unit !== 'weekend' && { period: `${which} ${unit}` as Period }),
  };
}

/** A month without a year: the one around today, then those before and after it. */
function namedMonth(which: string | undefined, month: number, context: DayContext): Stretch[] {
  const { year, nth } = nowOf(context);
  const inYear = (of: number) => of * 12 + month - 1;
  if (which === undefined) {
    return [year - 1, year, year + 1]
      .map(inYear)
      .sort((a, b) => Math.abs(a - nth) - Math.abs(b - nth) || b - a)
      .slice(0, 2)
      .map((of) => months(of));
  }
  const by = byOf(which);
  if (by < 0) return [months(inYear(inYear(year) < nth ? year : year - 1))];
  if (by > 0) return [months(inYear(inYear(year) > nth ? year : year + 1))];
  return [months(inYear(year))];
}

function weekOf(nth: number, year: number | undefined, context: DayContext): Stretch[] {
  if (nth < 1 || nth > WEEKS_A_YEAR) return [];
  const of = (one: number) => weekFrom(officeWeekStart(one, nth, context.firstWeekday));
  return year === undefined ? nearestYears(of, context) : [of(year)];
}

/** The first, middle or last third of a month, as people say it. */
function partOfMonth(part: string, { from, to }: Stretch): Stretch {
  if (/^(?:early|beginning|start)/.test(part)) return { from, to: from + 9 };
  return part === 'mid' || part === 'middle'
    ? { from: from + 10, to: from + 19 }
    : { from: from + 20, to };
}

type Reader = [RegExp, (found: (string | undefined)[], context: DayContext) => Stretch[]];

/** What several days are called, each whole. */
const READERS: readonly Reader[] = [
  [
    new RegExp(`^(?:the\\s+)?${WHICH}\\s+(week|weekend|month|quarter|year)$`),
    ([, which, unit], context) => [relative(unit!, byOf(which!), context)],
  ],
  [/^(?:the\s+)?weekend$/, (_, context) => [unitBy('weekend', 0, context)]],
  [
    /^(?:the\s+)?(week|weekend|month|quarter|year) (after next|before last)$/,
    ([, unit, which], context) => [unitBy(unit!, which === 'after next' ? 2 : -2, context)],
  ],
  [
    /^(?:the\s+)?rest of (?:the|this)\s+(week|month|quarter|year)$/,
    ([, unit], context) => [{ ...unitBy(unit!, 0, context), from: context.today }],
  ],
  [
    new RegExp(`^(?:${WHICH}\\s+)?(${MONTH})\\.?(?:\\s+(\\d{4}))?$`),
    ([, which, month, year], context) => {
      const nth = monthNamed(month!);
      return year === undefined
        ? namedMonth(which, nth, context)
        : [months(Number(year) * 12 + nth - 1)];
    },
  ],
  [
    new RegExp(`^(early|mid|late)[\\s-]+(${MONTH})(?:\\s+(\\d{4}))?$`),
    ([, part, month, year], context) => {
      const nth = monthNamed(month!);
      const whole =
        year === undefined
          ? namedMonth(undefined, nth, context)
          : [months(Number(year) * 12 + nth - 1)];
      return whole.map((each) => partOfMonth(part!, each));
    },
  ],
  [
    /^(?:q([1-4])|([1-4])(?:st|nd|rd|th)\s+quarter|(first|second|third|fourth)\s+quarter)(?:\s*(?:of\s+|\/)?\s*(\d{4}))?$/,
    ([, q, nth, word, year], context) => {
      const quarter = Number(q ?? nth ?? ['first', 'second', 'third', 'fourth'].indexOf(word!) + 1);
      const of = (one: number) =>
        months(one * 12 + (quarter - 1) * MONTHS_A_QUARTER, MONTHS_A_QUARTER);
      return year === undefined ? nearestYears(of, context) : [of(Number(year))];
    },
  ],
  [
    /^(?:h([12])|(first|second|1st|2nd)\s+half)(?:\s*(?:of\s+|\/)?\s*(?:the\s+year|(\d{4})))?$/,
    ([, h, word, year], context) => {
      const half = Number(h ?? (/^(?:f|1)/.test(word!) ? 1 : 2));
      const of = (one: number) => months(one * 12 + (half - 1) * MONTHS_A_HALF, MONTHS_A_HALF);
      return [of(year === undefined ? nowOf(context).year : Number(year))];
    },
  ],
  [
    /^(?:week|wk|w|kw|cw)\s*(\d{1,2})(?:\s*(?:of|in|,|\/)?\s*(\d{4}))?$/,
    ([, nth, year], context) =>
      weekOf(Number(nth), year === undefined ? undefined : Number(year), context),
  ],
  [/^((?:19|20|21)\d{2})$/, ([, year]) => [yearOf(Number(year))]],
  [
    /^(?:in\s+)?(\d{4})-(\d{2})$/,
    ([, year, month]) =>
      Number(month) >= 1 && Number(month) <= 12
        ? [months(Number(year) * 12 + Number(month) - 1)]
        : [],
  ],
];

/** Days before today, or from today on, by how many: "last 30 days", "next 2 weeks". */
const COUNTED =
  /^(?:the\s+)?(last|past|previous|next|coming)\s+(\d{1,3}|two|three|four|five|six|seven|eight|nine|ten|twelve)\s+(days?|weeks?|months?|years?)$/;
const NUMBERS = 'zero one two three four five six seven eight nine ten eleven twelve'.split(' ');

function shifted(day: DayNumber, unit: string, by: number): DayNumber {
  if (unit.startsWith('day')) return day + by;
  if (unit.startsWith('week')) return day + by * DAYS_A_WEEK;
  const { year, month, day: ofMonth } = civilDate(day);
  const nth = year * 12 + month - 1 + by * (unit.startsWith('year') ? 12 : 1);
  const [y, m] = [Math.floor(nth / 12), (((nth % 12) + 12) % 12) + 1];
  return dayNumber(y, m, Math.min(ofMonth, daysInMonth(y, m)));
}

function counted(words: string, { today }: DayContext): Stretch[] {
  const [, which, many, unit] = COUNTED.exec(words) ?? [];
  if (!which || !many || !unit) return [];
  const count = /\d/.test(many) ? Number(many) : NUMBERS.indexOf(many);
  return byOf(which) < 0
    ? [{ from: shifted(today, unit, -count) + 1, to: today }]
    : [{ from: today, to: shifted(today, unit, count) - 1 }];
}

/** Weeks, weekends, months, quarters and years by what they are called, the likeliest first. */
export function periodsIn(words: string, context: DayContext): Stretch[] {
  for (const [pattern, read] of READERS) {
    const found = pattern.exec(words);
    if (found) return read([...found], context);
  }
  return counted(words, context);
}

const COUNT_AGO = new RegExp(
  `^(\\d{1,3}|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\\s+(days?|weeks?|fortnights?|months?|years?)\\s+ago$`,
);
const SIGNED = /^([+-])\s*(\d{1,3})\s*(d|days?|w|weeks?|m|months?|y|years?)?$/;
const UNITS: Readonly<Record<string, string>> = { d: 'day', w: 'week', m: 'month', y: 'year' };
const OF_WEEK = new RegExp(
  `^(?:(${WEEKDAY})\\s+(?:of\\s+)?(last|this|next)\\s+week|(last|this|next)\\s+week\\s+(?:on\\s+)?(${WEEKDAY}))$`,
);

/** A day by how far it is from today, or by its week; null where words say none. */
export function dayFrom(words: string, { today, firstWeekday }: DayContext): DayNumber | null {
  const ago = COUNT_AGO.exec(words);
  if (ago) {
    const [many, unit] = [ago[1]!, ago[2]!];
    const count = /\d/.test(many) ? Number(many) : Math.max(1, NUMBERS.indexOf(many));
    return unit.startsWith('fortnight')
      ? today - count * 2 * DAYS_A_WEEK
      : shifted(today, unit, -count);
  }
  const signed = SIGNED.exec(words);
  if (signed) {
    const unit = UNITS[signed[3]?.[0] ?? 'd']!;
    return shifted(today, unit, Number(signed[2]) * (signed[1] === '-' ? -1 : 1));
  }
  const ofWeek = OF_WEEK.exec(words);
  if (ofWeek) {
    const [, first, firstWhich, secondWhich, second] = ofWeek;
    const monday =
      startOfWeek(today, firstWeekday) + byOf(firstWhich ?? secondWhich!) * DAYS_A_WEEK;
    return monday + ((weekdayNamed(first ?? second!) - firstWeekday + 7) % 7);
  }
  const digits = /^(\d{4})(\d{2})(\d{2})$/.exec(words);
  if (digits) {
    const [year, month, day] = digits.slice(1).map(Number) as [number, number, number];
    const isDate = month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month);
    return isDate ? dayNumber(year, month, day) : null;
  }
  return null;
}
