import { MONTH } from '../jot/vocabulary';
import type { Filter } from '../model/filter';
import { PERIODS } from '../model/filter';
import { formatDate, startOfWeek, DAYS_A_WEEK } from '../time/civil';
import type { DayContext, DaysMeant, Stretch } from '../view/periods';
import { periodsIn } from '../view/periods';
import { plainWords, singleDay } from '../view/typedDate';

export type { DayContext, DaysMeant } from '../view/periods';

/** "3-14 may": a dash between figures is one of a date, but where a month follows. */
const DASHED = /^(\d{1,2})\s*[-–]\s*(?=\d{1,2}\s+[a-z])/;
const STRETCH = /^(?:from\s+)?(.+?)\s+(?:-|–|to|until|till|through)\s+(.+)$/;
const BETWEEN = /^between\s+(.+?)\s+and\s+(.+)$/;
const BOTH = /^(.+?)\s+(?:and|&|\+)\s+(.+)$/;
const WEEK_OF = /^(?:the\s+)?(?:week\s+(?:of|commencing|beginning|from)|w\/c|wc)\s+(.+)$/;
/** Days from one on, or up to one. */
const OPEN: readonly [RegExp, (days: Stretch) => DaysMeant][] = [
  [/^(?:until|till|up to|by|through)\s+(.+)$/, ({ to }) => ({ from: null, to })],
  [/^before\s+(.+)$/, ({ from }) => ({ from: null, to: from - 1 })],
  [/^after\s+(.+)$/, ({ to }) => ({ from: to + 1, to: null })],
  [/^(?:since|starting|from)\s+(.+?)(?:\s+on(?:wards?)?)?$/, ({ from }) => ({ from, to: null })],
  [/^(.+?)\s+onwards?$/, ({ from }) => ({ from, to: null })],
];

function single(words: string, context: DayContext): Stretch[] {
  const week = WEEK_OF.exec(words);
  if (week) {
    const day = singleDay(week[1]!, context);
    if (day === null) return [];
    const from = startOfWeek(day, context.firstWeekday);
    return [{ from, to: from + DAYS_A_WEEK - 1 }];
  }
  const whole = periodsIn(words, context);
  const day = whole.length ? null : singleDay(words, context);
  return day === null ? whole : [{ from: day, to: day }];
}

/** From one to another; null when words say no stretch. */
function stretch(words: string, context: DayContext): DaysMeant[] | null {
  const [, first, last] = BETWEEN.exec(words) ?? STRETCH.exec(words) ?? [];
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

/** "today and tomorrow", "this week and next week"; null where that is no stretch without a gap. */
function both(words: string, context: DayContext): DaysMeant[] | null {
  const [, first, last] = BOTH.exec(words) ?? [];
  if (first === undefined || last === undefined) return null;
  const [from] = single(first, context);
  const unit = /\b(week|month|quarter|year|weekend)$/.exec(first)?.[1];
  const [to] = single(
    /^(?:next|last|this)$/.test(last) && unit ? `${last} ${unit}` : last,
    context,
  );
  return from && to && to.from === from.to + 1 ? [{ from: from.from, to: to.to }] : null;
}

function open(words: string, context: DayContext): DaysMeant[] | null {
  for (const [pattern, make] of OPEN) {
    const said = pattern.exec(words)?.[1];
    const [days] = said === undefined ? [] : single(said, context);
    if (days) return [make(days)];
  }
  return null;
}

/**
 * The days that typed words may mean, the likeliest first: "march", "last week", "q3 2026", "2027",
 * "12 march", "3 to 14 may", "last 30 days", "since october". None when they name no days.
 */
export function daysIn(text: string, context: DayContext): DaysMeant[] {
  const words = plainWords(text).replace(DASHED, '$1 to ');
  if (!words) return [];
  const found =
    stretch(words, context) ??
    open(words, context) ??
    both(words, context) ??
    single(words, context);
  const period = PERIODS.find((one) => one === words);
  return period ? found.map((days, i) => (i === 0 ? { ...days, period } : days)) : found;
}

const dateOf = (day: number | null) => (day === null ? null : formatDate(day));

/** Days that words mean as a filter has them. */
export const filterDates = ({ from, to, period }: DaysMeant): NonNullable<Filter['dates']> => ({
  from: dateOf(from),
  to: dateOf(to),
  ...(period && { period }),
});

/** A filter of which days that were called "this month" are those of this month now. */
export function currentFilter(filter: Filter, context: DayContext): Filter {
  const period = filter.dates?.period;
  const [days] = period ? daysIn(period, context) : [];
  return days ? { ...filter, dates: filterDates(days) } : filter;
}
