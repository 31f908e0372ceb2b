import type { Weekday } from '../time/civil';
import {
  civilDate,
  dayNumber,
  dayOfWall,
  daysInMonth,
  startOfWeek,
  weekdayOf,
} from '../time/civil';
import type { DayNumber } from '../time/units';
import type { DayMeant, Meaning } from './meanings';
import type { JotContext, Rule } from './rule';
import { rule } from './rule';
import {
  COUNT,
  countOf,
  MONTH,
  monthNamed,
  ORDINAL,
  UNIT,
  unitsOf,
  WEEKDAY,
  weekdayNamed,
  weekdaysNamed,
} from './vocabulary';
import type { Unit } from './vocabulary';

const DAYS_A_WEEK = 7;
const todayOf = ({ now }: Pick<JotContext, 'now'>) => dayOfWall(now);

/** The day of a month of a year; null when it has none. */
function dateOf(year: number, month: number, day: number): number | null {
  if (month < 1 || month > 12 || day < 1 || day > daysInMonth(year, month)) return null;
  return dayNumber(year, month, day);
}

/** The next day of that date, today included; null when no year has it. */
function nextDate(month: number, day: number, today: number): number | null {
  const { year } = civilDate(today);
  for (let ahead = 0; ahead <= 4; ahead++) {
    const found = dateOf(year + ahead, month, day);
    if (found !== null && found >= today) return found;
  }
  return null;
}

/** The next such weekday, today included. */
const nextWeekday = (weekday: Weekday, today: DayNumber): number =>
  today + ((weekday - weekdayOf(today) + DAYS_A_WEEK) % DAYS_A_WEEK);

/** A day so many units on; in months that are too short, on their last. */
export function addUnits(day: DayNumber, count: number, unit: Unit): number {
  if (unit === 'day') return day + count;
  if (unit === 'week') return day + count * DAYS_A_WEEK;
  const at = civilDate(day);
  const months = at.year * 12 + at.month - 1 + count * (unit === 'year' ? 12 : 1);
  const [year, month] = [Math.floor(months / 12), (months % 12) + 1];
  return dayNumber(year, month, Math.min(at.day, daysInMonth(year, month)));
}

const fullYear = (text: string) => (text.length === 2 ? 2000 + Number(text) : Number(text));

const asDay = (day: DayMeant | number | null): Meaning | null =>
  day === null ? null : { kind: 'day', day: typeof day === 'number' ? { day } : day };

/** A day and a month in figures, in the order of the settings, or in the other where that has none. */
function figures(a: string, b: string, year: string | undefined, context: JotContext) {
  const today = todayOf(context);
  const inOrder = (month: number, day: number) =>
    year === undefined ? nextDate(month, day, today) : dateOf(fullYear(year), month, day);
  const [dayFirst, monthFirst] = [inOrder(Number(b), Number(a)), inOrder(Number(a), Number(b))];
  const [meant, other] = context.isMonthFirst ? [monthFirst, dayFirst] : [dayFirst, monthFirst];
  if (meant === null) return other === null ? null : { day: other };
  return { day: meant, ...(other !== null && other !== meant && { other }) };
}

const ON = '(?:on\\s+|by\\s+|from\\s+|starting\\s+|beginning\\s+|,\\s*)?(?:the\\s+)?';
const DATE = `(?:${WEEKDAY}\\.?,?\\s+)?(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?\\.?\\s+(?:of\\s+)?(${MONTH})\\.?(?:,?\\s+(\\d{4}))?`;
const DATE_MONTH_FIRST = `(?:${WEEKDAY}\\.?,?\\s+)?(${MONTH})\\.?\\s+(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?(?!\\s*[:.h]\\d)(?:,?\\s+(\\d{4}))?`;
const TO = '\\s*(?:-|to|until|till|through|thru)\\s*';

function written(day: string, month: string, year: string | undefined, context: JotContext) {
  const nth = monthNamed(month);
  return year === undefined
    ? nextDate(nth, Number(day), todayOf(context))
    : dateOf(Number(year), nth, Number(day));
}

/** From a day to one after it, where the year may only be said of the last. */
function stretch(first: number | null, last: number | null): Meaning | null {
  if (first === null || last === null) return null;
  // "21 Dec - 4 Jan" goes over the end of the year.
  const end = last < first ? addUnits(last, 1, 'year') : last;
  return end - first > 366 ? null : asDay({ day: first, lastDay: end });
}

const ofNextMonth = (day: number, context: JotContext) => {
  const { year, month } = civilDate(addUnits(todayOf(context), 1, 'month'));
  return dateOf(year, month, day);
};

function nthOfMonth(day: number, weekday: string | undefined, context: JotContext): number | null {
  const today = todayOf(context);
  const { year, month } = civilDate(today);
  for (let ahead = 0; ahead < 48; ahead++) {
    const at = month - 1 + ahead;
    const found = dateOf(year + Math.floor(at / 12), (at % 12) + 1, day);
    const fits = found !== null && found >= today;
    if (fits && (weekday === undefined || weekdayOf(found) === weekdayNamed(weekday))) return found;
  }
  return null;
}

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

const TODAY = '(?:today|tod|tdy)';
const TOMORROW = '(?:tomorrow|tomorow|tommorrow|tmrw|tmr|tmw|tom(?=\\s+\\d))';
const RELATIVE = `(?:${TODAY}|${TOMORROW}|${WEEKDAY})`;
const relative = (word: string, context: JotContext): number => {
  const today = todayOf(context);
  if (new RegExp(`^${TODAY}$`).test(word)) return today;
  if (word.startsWith('to') || word.startsWith('tm')) return today + 1;
  return nextWeekday(weekdayNamed(word), today);
};

/** Days of every year that have a name: month, day. */
const NAMED: Readonly<Record<string, [number, number]>> = {
  "new year's day": [1, 1],
  'new years day': [1, 1],
  "new year's eve": [12, 31],
  'new years eve': [12, 31],
  'christmas eve': [12, 24],
  'christmas day': [12, 25],
  'boxing day': [12, 26],
};

/** Ways to name a day or days. */
export const DAY_RULES: readonly Rule[] = [
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
  rule(`${ON}${DATE}${TO}${DATE}`, 24, ([d1, m1, y1, d2, m2, y2], context) =>
    stretch(written(d1!, m1!, y1 ?? y2, context), written(d2!, m2!, y2 ?? y1, context)),
  ),
  rule(`${ON}(\\d{1,2})(?:st|nd|rd|th)?${TO}${DATE}`, 21, ([from, d, m, y], context) =>
    stretch(written(from!, m!, y, context), written(d!, m!, y, context)),
  ),
  rule(`${ON}(\\d{1,2})/(\\d{1,2})${TO}(\\d{1,2})/(\\d{1,2})`, 22, ([a, b, c, d], context) =>
    stretch(
      figures(a!, b!, undefined, context)?.day ?? null,
      figures(c!, d!, undefined, context)?.day ?? null,
    ),
  ),
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
  rule(`(?:on\\s+)?(next|last)\\s+(${WEEKDAY})`, 9, ([which, name], context) =>
    asDay(saidWeekday(which, name!, context)),
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
  rule(
    `(${COUNT})\\s+(${UNIT})\\s+(?:from|after)\\s+(${RELATIVE}|now)`,
    14,
    ([n, unit, from], context) => {
      const { count, unit: u } = unitsOf(countOf(n!), unit!);
      return asDay(
        addUnits(from === 'now' ? todayOf(context) : relative(from!, context), count, u),
      );
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
  rule(`(?:on\\s+|by\\s+)(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)`, 8, ([d], context) =>
    asDay(nthOfMonth(Number(d), undefined, context)),
  ),
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
  rule('next\\s+week', 7, (_, context) => asDay(startOfWeek(todayOf(context)) + DAYS_A_WEEK)),
  rule('next\\s+month', 7, (_, context) => asDay(ofNextMonth(1, context))),
  rule('next\\s+year', 5, (_, context) =>
    asDay(dayNumber(civilDate(todayOf(context)).year + 1, 1, 1)),
  ),
  rule('(this|next|on\\s+the|at\\s+the|over\\s+the)\\s+weekend', 9, ([which], context) => {
    const saturday = nextWeekday(5, startOfWeek(todayOf(context)));
    if (which !== 'next') return asDay({ day: saturday, lastDay: saturday + 1 });
    const next = saturday + DAYS_A_WEEK;
    return asDay({ day: next, lastDay: next + 1, other: saturday });
  }),
  rule(
    `(?:in\\s+)?(?:the\\s+)?week\\s+(?:of|from|beginning|commencing|starting)\\s+(?:the\\s+)?${DATE}`,
    22,
    ([d, m, y], context) => weekOf(written(d!, m!, y, context)),
  ),
  rule(
    `(?:in\\s+)?(?:the\\s+)?week\\s+(?:of|from|beginning|commencing|starting)\\s+(?:the\\s+)?(\\d{1,2})/(\\d{1,2})`,
    22,
    ([a, b], context) => weekOf(figures(a!, b!, undefined, context)?.day ?? null),
  ),
  rule(`(${WEEKDAY})\\s*(?:-|to|through|thru)\\s*(${WEEKDAY})`, 12, ([a, b], context) => {
    const first = nextWeekday(weekdayNamed(a!), todayOf(context));
    const lastDay = nextWeekday(weekdayNamed(b!), first);
    const isWeekdays = Array.from({ length: lastDay - first + 1 }, (_, i) => weekdayOf(first + i));
    return asDay({ day: first, lastDay, isWeekdays });
  }),
  rule(`(${WEEKDAY}(?:\\s*(?:,|&|\\+|/|and)\\s*(?:and\\s+)?${WEEKDAY})+)`, 14, ([list]) =>
    repeatOn(weekdaysNamed(list!)),
  ),
  rule(`(${WEEKDAY}(?:(?:\\s*,\\s*|\\s+|\\s*/\\s*)${WEEKDAY}){2,6})`, 16, ([list]) =>
    repeatOn(weekdaysNamed(list!)),
  ),
  ...Object.entries(NAMED).map(([name, [month, day]]) =>
    rule(`(?:on\\s+)?${name}`, 12, (_, context) => asDay(nextDate(month, day, todayOf(context)))),
  ),
];

function weekOf(day: DayNumber | null): Meaning | null {
  if (day === null) return null;
  const first = startOfWeek(day);
  return asDay({ day: first, lastDay: first + DAYS_A_WEEK - 1 });
}

/** Several weekdays beside each other are those of every week. */
const repeatOn = (weekdays: Weekday[]): Meaning | null =>
  weekdays.length < 2
    ? null
    : { kind: 'repeat', pattern: { kind: 'weekly', interval: 1, weekdays, weekStart: 0 } };

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The next of the days of a name. */
export function namedDayRules({ namedDays, now }: Pick<JotContext, 'namedDays' | 'now'>): Rule[] {
  const next = new Map<string, number>();
  for (const { name, day } of namedDays) {
    const key = name.trim().toLowerCase().replace(/[’‘]/g, "'");
    const known = next.get(key);
    if (key && day >= dayOfWall(now) && (known === undefined || day < known)) next.set(key, day);
  }
  return [...next].map(([name, day]) => rule(`(?:on\\s+)?${escaped(name)}`, 12, () => asDay(day)));
}
