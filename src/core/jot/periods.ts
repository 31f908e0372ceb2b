import {
  civilDate,
  dayNumber,
  daysInMonth,
  firstWeekStart,
  startOfWeek,
  weekNumber,
} from '../time/civil';
import type { DayNumber } from '../time/units';
import {
  addUnits,
  asDay,
  DATE,
  dateOf,
  DAYS_A_WEEK,
  figures,
  nextWeekday,
  todayOf,
  written,
} from './dates';
import type { Meaning } from './meanings';
import type { JotContext, Rule } from './rule';
import { rule } from './rule';
import { MONTH, monthNamed, ORDINAL, WEEKDAY, weekdayNamed } from './vocabulary';

/** Weeks, months, quarters and years, and where in them: "next week", "end of the month", "cw 51". */

const SATURDAY = 5;
const FRIDAY = 4;
const MID_WEEK = 2;
const MID_MONTH = 15;
const MONTHS_A_QUARTER = 3;

const ofNextMonth = (day: number, context: JotContext) => {
  const { year, month } = civilDate(addUnits(todayOf(context), 1, 'month'));
  return dateOf(year, month, day);
};

function weekOf(day: DayNumber | null): Meaning | null {
  if (day === null) return null;
  const first = startOfWeek(day);
  return asDay({ day: first, lastDay: first + DAYS_A_WEEK - 1, isWeek: true });
}

/** The days that are worked on in the week that lies so many ahead. */
function workOf(ahead: number, context: JotContext): Meaning | null {
  const week = startOfWeek(todayOf(context)) + ahead * DAYS_A_WEEK;
  const { workdays } = context;
  const first = workdays.length ? Math.min(...workdays) : 0;
  const last = workdays.length ? Math.max(...workdays) : FRIDAY;
  return asDay({ day: week + first, lastDay: week + last, isWeek: true });
}

const LEAD = '(?:(?:in|from|starting|beginning|during|by)\\s+)?';
const WEEK_OF =
  '(?:in\\s+)?(?:the\\s+)?(?:week\\s+(?:of|from|beginning|commencing|starting)|w/?[cb])\\s+(?:the\\s+)?';

/** The first day of the next week of that number (ISO 8601), this week's included. */
function numberedWeek(week: number, today: DayNumber): DayNumber | null {
  const { year } = weekNumber(today);
  for (const of of [year, year + 1, year + 2]) {
    const first = firstWeekStart(of) + (week - 1) * DAYS_A_WEEK;
    const isOne = week > 0 && weekNumber(first).year === of;
    if (isOne && first >= startOfWeek(today)) return first;
  }
  return null;
}
const NUMBERED =
  '(?:(?:in\\s+|of\\s+)?(?:the\\s+)?(?:calendar\\s+week|cw|week\\s+(?:no\\.?|number))|(?:in|of)\\s+(?:week|wk))\\s*(\\d{1,2})';

type Edge = 'start' | 'middle' | 'end';
type Period = 'week' | 'month' | 'quarter' | 'year';

/** Words that say roughly where in a period. */
const LOOSELY: Readonly<Record<string, Edge>> = {
  early: 'start',
  mid: 'middle',
  middle: 'middle',
  late: 'end',
  later: 'end',
};

/** The last letter of "eow", "eom", "eoy". */
const ENDS: Readonly<Record<string, Period>> = { w: 'week', m: 'month', y: 'year' };

/** The first and the last day of a period that begins so many months after the start of a year. */
const months = (year: number, first: number, count: number): [DayNumber, DayNumber] => [
  addUnits(dayNumber(year, 1, 1), first, 'month'),
  addUnits(dayNumber(year, 1, 1), first + count, 'month') - 1,
];

/** The period that holds today, or one so many after it. */
function periodOf(period: Period, ahead: number, today: DayNumber): [DayNumber, DayNumber] {
  const { year, month } = civilDate(today);
  switch (period) {
    case 'week': {
      const first = startOfWeek(today) + ahead * DAYS_A_WEEK;
      return [first, first + DAYS_A_WEEK - 1];
    }
    case 'month':
      return months(year, month - 1 + ahead, 1);
    case 'quarter': {
      const quarter = Math.floor((month - 1) / MONTHS_A_QUARTER) + ahead;
      return months(year, quarter * MONTHS_A_QUARTER, MONTHS_A_QUARTER);
    }
    case 'year':
      return months(year + ahead, 0, 12);
  }
}

/** The day at an edge of a period; a week ends when its work does. */
function edgeOf(edge: Edge, period: Period, ahead: number, context: JotContext): DayNumber | null {
  const [first, last] = periodOf(period, ahead, todayOf(context));
  if (edge === 'start') return first;
  if (period === 'week')
    return first + (edge === 'middle' ? MID_WEEK : (context.workdays.at(-1) ?? FRIDAY));
  if (edge === 'end') return last;
  return period === 'month' ? first + MID_MONTH - 1 : null;
}

const EDGE = '(start|beginning|middle|end)\\s+of\\s+';
const edgeNamed = (word: string) => (word === 'beginning' ? 'start' : word) as Edge;

/** An edge of this period, or of the next where this one's is over, or that is said. */
function saidEdge(word: string, which: string | undefined, period: string, context: JotContext) {
  const [edge, of] = [edgeNamed(word), period as Period];
  if (which === 'next') return edgeOf(edge, of, 1, context);
  const day = edgeOf(edge, of, 0, context);
  const isOver = day !== null && day < todayOf(context);
  return isOver && which === undefined ? edgeOf(edge, of, 1, context) : day;
}

/** An edge of the next month of a name. */
function edgeOfMonth(word: string, name: string, year: string | undefined, context: JotContext) {
  const edge = edgeNamed(word);
  const today = todayOf(context);
  const dayIn = (of: number) => {
    const month = monthNamed(name);
    const day = edge === 'start' ? 1 : edge === 'middle' ? MID_MONTH : daysInMonth(of, month);
    return dayNumber(of, month, day);
  };
  if (year !== undefined) return dayIn(Number(year));
  const { year: thisYear } = civilDate(today);
  return dayIn(thisYear) >= today ? dayIn(thisYear) : dayIn(thisYear + 1);
}

const LEAST_OF_DAYS = 4.5;
/** So much more it says behind a word that leads to a day. */
const SURE = 6;
/**
 * A way to name the edge of a period. Without "by", "at" and the like it says least of all that name
 * days, for it may well be the title: "End of month report, Friday".
 */
function edgeRules(source: string, read: Rule['read'], weight = LEAST_OF_DAYS): Rule[] {
  return [
    rule(`(?:by|at|on|before|from)\\s+(?:the\\s+)?${source}`, weight + SURE, read),
    rule(`(?:the\\s+)?${source}`, weight, read),
  ];
}

/** Ways to name a stretch of the calendar, or where in one. */
export const PERIOD_RULES: readonly Rule[] = [
  rule(
    `(?:on\\s+)?(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?\\s+(?:of\\s+)?next\\s+month`,
    12,
    ([d], context) => asDay(ofNextMonth(Number(d), context)),
  ),
  rule(`next\\s+month\\s+(?:on\\s+)?(?:the\\s+)?(${ORDINAL})`, 12, ([d], context) =>
    asDay(ofNextMonth(Number.parseInt(d!, 10), context)),
  ),
  rule(`(?:on\\s+)?(?:the\\s+)?(${ORDINAL})\\s+of\\s+(?:this|the)\\s+month`, 12, ([d], context) => {
    const { year, month } = civilDate(todayOf(context));
    return asDay(dateOf(year, month, Number.parseInt(d!, 10)));
  }),
  rule(`${LEAD}(?:the\\s+)?week\\s+after\\s+next`, 9, (_, context) => workOf(2, context)),
  rule(`${LEAD}next\\s+week`, 7, (_, context) => workOf(1, context)),
  rule(
    '(early|mid|middle|late|later)(?:\\s+|-)(?:of\\s+|in\\s+)?(this|next)\\s+(week|month|year)',
    12,
    ([where, which, period], context) =>
      asDay(edgeOf(LOOSELY[where!]!, period as Period, which === 'next' ? 1 : 0, context)),
  ),
  rule(
    `(early|late)(?:\\s+|-)(?:in\\s+)?(${MONTH})(?:\\s+(20\\d{2}))?`,
    9,
    ([where, month, year], context) => asDay(edgeOfMonth(LOOSELY[where!]!, month!, year, context)),
  ),
  rule('(?:by\\s+|at\\s+)?(?:the\\s+)?eo([wmy])', 8, ([period], context) =>
    asDay(edgeOf('end', ENDS[period!]!, 0, context)),
  ),
  rule('next\\s+month', 7, (_, context) => asDay(ofNextMonth(1, context))),
  rule('next\\s+year', 5, (_, context) =>
    asDay(dayNumber(civilDate(todayOf(context)).year + 1, 1, 1)),
  ),
  rule('(this|next|on\\s+the|at\\s+the|over\\s+the)\\s+weekend', 9, ([which], context) => {
    const saturday = nextWeekday(SATURDAY, startOfWeek(todayOf(context)));
    if (which !== 'next') return asDay({ day: saturday, lastDay: saturday + 1 });
    const next = saturday + DAYS_A_WEEK;
    return asDay({ day: next, lastDay: next + 1, other: saturday });
  }),
  rule(`${WEEK_OF}${DATE}`, 22, ([d, m, y], context) => weekOf(written(d!, m!, y, context))),
  rule(`${WEEK_OF}(\\d{1,2})/(\\d{1,2})`, 22, ([a, b], context) =>
    weekOf(figures(a!, b!, undefined, context)?.day ?? null),
  ),
  rule(NUMBERED, 9, ([n], context) => weekOf(numberedWeek(Number(n), todayOf(context)))),
  rule(`(?:on\\s+)?(${WEEKDAY}),?\\s+(?:${NUMBERED})`, 15, ([name, n], context) => {
    const week = numberedWeek(Number(n), todayOf(context));
    return asDay(week === null ? null : week + weekdayNamed(name!));
  }),
  ...edgeRules(`${EDGE}(?:the\\s+)?(week|month|quarter|year)`, ([edge, period], context) =>
    asDay(saidEdge(edge!, undefined, period!, context)),
  ),
  ...edgeRules(
    `${EDGE}(this|next)\\s+(week|month|quarter|year)`,
    ([edge, which, period], context) => asDay(saidEdge(edge!, which, period!, context)),
    11,
  ),
  ...edgeRules(`${EDGE}(${MONTH})(?:\\s+(\\d{4}))?`, ([edge, month, year], context) =>
    asDay(edgeOfMonth(edge!, month!, year, context)),
  ),
  rule(`(?:in\\s+)?mid[\\s-](${MONTH})`, 8, ([month], context) =>
    asDay(edgeOfMonth('middle', month!, undefined, context)),
  ),
];
