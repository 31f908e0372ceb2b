import { ruleOfPattern } from '../recurrence/repeat';
import { writeRule } from '../recurrence/writeRule';
import type { Weekday } from '../time/civil';
import { civilDate, dayNumber, dayOfWall, daysInMonth } from '../time/civil';
import type { DayNumber } from '../time/units';
import { addUnits, todayOf } from './dates';
import type { EndMeant, Meaning, OpenPattern, Reading } from './meanings';
import type { JotContext, Rule } from './rule';
import { rule } from './rule';
import { startingAt } from './joining';
import type { JotText } from './text';
import {
  AND,
  COUNT,
  countOf,
  LIST_OF_WEEKDAYS,
  MONTH,
  monthNamed,
  monthsNamed,
  UNIT,
  unitsOf,
  weekdaysNamed,
} from './vocabulary';

/** What bounds a repeat: when it begins and ends, for how long it goes on, and what it leaves out. */

const ALL_WEEKDAYS: readonly Weekday[] = [0, 1, 2, 3, 4, 5, 6];
const ALL_MONTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

const end = (meant: EndMeant): Meaning => ({ kind: 'end', end: meant });

/** Ways to say for how long something repeats; days after "until" are read as any day is. */
const END_RULES: readonly Rule[] = [
  rule(`(?:for\\s+)?(${COUNT})\\s*(?:times|dates|occurrences|sessions|x)`, 9, ([n]) =>
    end({ kind: 'after', count: countOf(n!) }),
  ),
  rule('(?:x|×)\\s*(\\d{1,3})', 8, ([n]) =>
    Number(n) ? end({ kind: 'after', count: Number(n) }) : null,
  ),
  rule(`for\\s+(?:the\\s+next\\s+)?(${COUNT})\\s+(${UNIT})`, 8.5, ([n, unit]) =>
    end({ kind: 'for', ...unitsOf(countOf(n!), unit!) }),
  ),
];

const UNTIL =
  /(?:until|till|til|up\s+to|through|thru|ending(?:\s+on)?|ends)\s+(?:the\s+)?(?:and\s+including\s+)?/y;

/** A month alone ends a repeat before it begins: "until March"; its end, on its last day. */
const UNTIL_MONTH: readonly Rule[] = [
  rule(
    `(?:until|till|til)\\s+(?:(the\\s+end\\s+of|end\\s+of)\\s+)?(${MONTH})(?:\\s+(\\d{4}))?`,
    12,
    ([isEnd, month, year], { now }) => {
      const today = dayOfWall(now);
      const nth = monthNamed(month!) + (isEnd ? 1 : 0);
      const first = (y: number) =>
        dayNumber(y + Math.floor((nth - 1) / 12), ((nth - 1) % 12) + 1, 1);
      const { year: thisYear } = civilDate(today);
      const said =
        year === undefined ? (first(thisYear) > today ? thisYear : thisYear + 1) : Number(year);
      return { kind: 'end', end: { kind: 'on', day: first(said) - 1 } };
    },
  ),
];

/** "until" with the day that follows it. */
export function untilReadings({ text, starts }: JotText, days: readonly Reading[]): Reading[] {
  const daysFrom = startingAt(days);
  return starts.flatMap((from) =>
    daysFrom(text, from, UNTIL).flatMap(({ to, weight, meaning }): Reading[] => {
      if (meaning.kind !== 'day') return [];
      const day = meaning.day.lastDay ?? meaning.day.day;
      return [{ from, to, weight: weight + 4, meaning: { kind: 'end', end: { kind: 'on', day } } }];
    }),
  );
}

const EXCEPT =
  ',?\\s*(?:except(?:ing)?|but\\s+not|not|without|excluding|excl\\.?|apart\\s+from|other\\s+than|skipping|save)\\s+(?:for\\s+)?(?:(?:on|in|at)\\s+)?(?:the\\s+)?';

const EXCEPT_RULES: readonly Rule[] = [
  rule(`${EXCEPT}(${LIST_OF_WEEKDAYS})`, 12, ([list]) => ({
    kind: 'except',
    weekdays: weekdaysNamed(list!),
  })),
  rule(`${EXCEPT}weekends?`, 12, () => ({ kind: 'except', weekdays: [5, 6] })),
  rule(`${EXCEPT}(${MONTH}(?:${AND}${MONTH}){0,11})`, 12, ([list]) => ({
    kind: 'except',
    months: monthsNamed(list!),
  })),
];

const LEADS_TO_EXCEPT = new RegExp(`(?:^|(?<=\\s)|(?=,))${EXCEPT}$`, 'u');
const LONGEST_LEAD = 32;

/** Days that are left out: "except 23 December", "not on 8 Dec". */
export function exceptReadings({ text, starts }: JotText, days: readonly Reading[]): Reading[] {
  const isStart = new Set(starts);
  return days.flatMap(({ from, to, weight, meaning }): Reading[] => {
    if (meaning.kind !== 'day' || meaning.day.weekday !== undefined) return [];
    const before = text.slice(Math.max(0, from - LONGEST_LEAD), from);
    const lead = LEADS_TO_EXCEPT.exec(before);
    if (!lead) return [];
    const at = from - before.length + lead.index;
    const begin = isStart.has(at) ? at : at + lead[0].search(/\S/);
    const { day, lastDay = day, also = [] } = meaning.day;
    const left = Array.from({ length: lastDay - day + 1 }, (_, i) => day + i);
    return [
      {
        ...{ from: begin, to, weight: weight + 6 },
        meaning: { kind: 'except', days: [...left, ...also.map((one) => one.day)] },
      },
    ];
  });
}

/** The next time that a month of a name is, or goes on (day numbers); of a year where one is said. */
function monthAhead(name: string, year: string | undefined, from: DayNumber) {
  const month = monthNamed(name);
  const of = (y: number) => {
    const first = dayNumber(y, month, 1);
    return { first, last: first + daysInMonth(y, month) - 1 };
  };
  if (year !== undefined) return of(Number(year));
  const { year: now } = civilDate(from);
  return of(now).last < from ? of(now + 1) : of(now);
}

const YEAR = '(?:\\s+(20\\d{2}))?';

function season(
  first: string,
  y1: string | undefined,
  context: JotContext,
  last?: string,
  y2?: string,
): Meaning {
  const begin = monthAhead(first, y1, todayOf(context));
  const to = last === undefined ? null : monthAhead(last, y2, begin.first).last;
  return { kind: 'season', from: begin.first, to };
}

/** When in the year something repeats: "in December", "from January", "from March to May". */
const SEASON_RULES: readonly Rule[] = [
  rule(`(?:in|during|throughout|all)\\s+(${MONTH})${YEAR}`, 9, ([month, year], context) =>
    season(month!, year, context, month, year),
  ),
  rule(
    `(?:from|starting(?:\\s+in)?|beginning(?:\\s+in)?|as\\s+(?:of|from))\\s+(?:the\\s+(?:start|beginning)\\s+of\\s+)?(${MONTH})${YEAR}`,
    9,
    ([month, year], context) => season(month!, year, context),
  ),
  rule(
    `(?:from\\s+|in\\s+|between\\s+)?(${MONTH})${YEAR}\\s*(?:-|to|until|till|through|and)\\s*(?:the\\s+end\\s+of\\s+)?(${MONTH})${YEAR}`,
    12,
    ([first, y1, last, y2], context) => season(first!, y1, context, last, y2),
  ),
  rule('(?:in|during|throughout)\\s+next\\s+month', 9, (_, context) => {
    const { year, month } = civilDate(addUnits(todayOf(context), 1, 'month'));
    const first = dayNumber(year, month, 1);
    return { kind: 'season', from: first, to: first + daysInMonth(year, month) - 1 };
  }),
];

/** The ways to bound a repeat that need no day beside them. */
export const BOUND_RULES: readonly Rule[] = [
  ...[...END_RULES, ...UNTIL_MONTH, ...EXCEPT_RULES, ...SEASON_RULES],
];

/** The number of dates within some time of a repeat; null where only a day ends it. */
export function datesWithin(
  pattern: OpenPattern,
  count: number,
  unit: 'day' | 'week' | 'month' | 'year',
): number | null {
  const DAYS = { day: 1, week: 7 } as const;
  const inDays = unit === 'day' || unit === 'week' ? count * DAYS[unit] : null;
  const inMonths = unit === 'month' ? count : unit === 'year' ? count * 12 : null;
  switch (pattern.kind) {
    case 'daily':
      return inDays === null ? null : Math.ceil(inDays / pattern.interval);
    case 'workdays':
      return unit === 'week' ? count * 5 : null;
    case 'weekly':
      return unit === 'week' ? Math.ceil(count / pattern.interval) * pattern.weekdays.length : null;
    case 'weeklyOnStart':
      return unit === 'week' ? Math.ceil(count / pattern.interval) : null;
    case 'monthDay':
    case 'monthEnd':
    case 'monthWeekday':
    case 'monthlyOnStart':
      return inMonths === null ? null : Math.ceil(inMonths / pattern.interval);
    case 'yearly':
    case 'yearlyOnStart':
      return unit === 'year' ? Math.ceil(count / pattern.interval) : null;
    default:
      return null;
  }
}

/** The last day (day number) of so many units from a day on. */
export const lastDayWithin = (
  day: DayNumber,
  count: number,
  unit: 'day' | 'week' | 'month' | 'year',
) => addUnits(day, count, unit) - 1;

/** A repeat without the weekdays and months that it leaves out. */
export function without(
  pattern: OpenPattern,
  { weekdays = [], months = [] }: { weekdays?: readonly Weekday[]; months?: readonly number[] },
  workdays: readonly Weekday[],
): OpenPattern {
  const rest = withoutWeekdays(pattern, weekdays);
  if (!months.length || rest.kind.endsWith('OnStart')) return rest;
  const made = ruleOfPattern(rest as Exclude<OpenPattern, { kind: `${string}OnStart` }>, workdays);
  if (!made) return rest;
  const byMonth = ALL_MONTHS.filter((month) => !months.includes(month));
  return { kind: 'custom', rule: writeRule({ ...made, byMonth }) };
}

/** A daily repeat without some weekdays is one of the others. */
function withoutWeekdays(pattern: OpenPattern, weekdays: readonly Weekday[]): OpenPattern {
  if (!weekdays.length) return pattern;
  const weekly = (days: readonly Weekday[]): OpenPattern => ({
    ...{ kind: 'weekly', interval: 1, weekStart: 0 },
    weekdays: days.filter((day) => !weekdays.includes(day)),
  });
  if (pattern.kind === 'daily' && pattern.interval === 1) return weekly(ALL_WEEKDAYS);
  if (pattern.kind === 'workdays') return weekly([0, 1, 2, 3, 4]);
  if (pattern.kind === 'weekly')
    return { ...pattern, weekdays: pattern.weekdays.filter((day) => !weekdays.includes(day)) };
  return pattern;
}
