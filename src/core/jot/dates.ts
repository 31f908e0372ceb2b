import type { Weekday } from '../time/civil';
import { civilDate, dayNumber, dayOfWall, daysInMonth, weekdayOf } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { DayMeant, Meaning } from './meanings';
import type { JotContext } from './rule';
import type { Unit } from './vocabulary';
import { MONTH, monthNamed, WEEKDAY, weekdayNamed } from './vocabulary';

/** Days by what is said of them: in figures, with their month's name, as the next of their kind. */

export const DAYS_A_WEEK = 7;
export const todayOf = ({ now }: Pick<JotContext, 'now'>) => dayOfWall(now);

/** The day of a month of a year; null when it has none. */
export function dateOf(year: number, month: number, day: number): number | null {
  if (month < 1 || month > 12 || day < 1 || day > daysInMonth(year, month)) return null;
  return dayNumber(year, month, day);
}

/** The next day of that date, today included; null when no year has it. */
export function nextDate(month: number, day: number, today: number): number | null {
  const { year } = civilDate(today);
  for (let ahead = 0; ahead <= 4; ahead++) {
    const found = dateOf(year + ahead, month, day);
    if (found !== null && found >= today) return found;
  }
  return null;
}

/** The next such weekday, today included. */
export const nextWeekday = (weekday: Weekday, today: DayNumber): number =>
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

export const fullYear = (text: string) => (text.length === 2 ? 2000 + Number(text) : Number(text));

export const asDay = (day: DayMeant | number | null): Meaning | null =>
  day === null ? null : { kind: 'day', day: typeof day === 'number' ? { day } : day };

/** A day and a month in figures, in the order of the settings, or in the other where that has none. */
export function figures(a: string, b: string, year: string | undefined, context: JotContext) {
  const today = todayOf(context);
  const inOrder = (month: number, day: number) =>
    year === undefined ? nextDate(month, day, today) : dateOf(fullYear(year), month, day);
  const [dayFirst, monthFirst] = [inOrder(Number(b), Number(a)), inOrder(Number(a), Number(b))];
  const [meant, other] = context.isMonthFirst ? [monthFirst, dayFirst] : [dayFirst, monthFirst];
  if (meant === null) return other === null ? null : { day: other };
  return { day: meant, ...(other !== null && other !== meant && { other }) };
}

export const ON = '(?:on\\s+|by\\s+|from\\s+|starting\\s+|beginning\\s+|,\\s*)?(?:the\\s+)?';
export const DATE = `(?:${WEEKDAY}\\.?,?\\s+)?(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?\\.?\\s*(?:(?<=\\s)of\\s+)?(${MONTH})\\.?(?:,?\\s+(\\d{4}))?`;
/** "In March 10-13" are hours. */
const NO_SEASON = '(?<!\\b(?:in|during)\\s)';
export const DATE_MONTH_FIRST = `${NO_SEASON}(?:${WEEKDAY}\\.?,?\\s+)?(${MONTH})\\.?\\s*(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)?(?!\\s*[:.h]\\d)(?:,?\\s+(\\d{4}))?`;
export const TO = '\\s*(?:-|to|until|till|through|thru)\\s*';

export function written(day: string, month: string, year: string | undefined, context: JotContext) {
  const nth = monthNamed(month);
  return year === undefined
    ? nextDate(nth, Number(day), todayOf(context))
    : dateOf(Number(year), nth, Number(day));
}

/** The next day of that number in a month, on that weekday where one is said. */
export function nthOfMonth(
  day: number,
  weekday: string | undefined,
  context: JotContext,
): number | null {
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
