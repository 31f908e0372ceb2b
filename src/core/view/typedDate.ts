import { dayIn } from '../jot/dayIn';
import { civilDate, dayNumber, daysInMonth } from '../time/civil';
import type { DayContext } from './periods';
import { dayFrom, periodsIn } from './periods';

/** Feasts by the names that are short for their days. */
const FEASTS: Readonly<Record<string, string>> = {
  christmas: 'christmas day',
  xmas: 'christmas day',
  easter: 'easter sunday',
  'new year': "new year's day",
  "new year's": "new year's day",
  whitsun: 'whit sunday',
  pentecost: 'whit sunday',
  ascension: 'ascension day',
};

/** Words of a date as they are understood: in small letters, one blank between them. */
export const plainWords = (text: string) =>
  text.trim().toLowerCase().replaceAll(/[’‘]/g, "'").replaceAll(/\s+/g, ' ');

/**
 * The single day (day number) that typed words name: "12 march", "in 3 weeks", "2 weeks ago", "+3",
 * "easter". Null when they name none, or several.
 */
export function singleDay(text: string, context: DayContext): number | null {
  const words = plainWords(text);
  const far = dayFrom(words, context);
  if (far !== null) return far;
  const feast = FEASTS[words];
  const day = dayIn(feast ?? words, context);
  if (feast || day === null || !isWithoutYear(words)) return day;
  const { year, month, day: ofMonth } = civilDate(day);
  const before = dayNumber(year - 1, month, Math.min(ofMonth, daysInMonth(year - 1, month)));
  return context.today - before < day - context.today ? before : day;
}

/**
 * The day (day number) to go to by typed words: a single one, or the first of a week, month, quarter
 * or year ("week 32", "december", "Q1"). `today` is a day number; slashed dates have the month first
 * where `isMonthFirst`. Null when they name none.
 */
export function typedDay(text: string, context: DayContext): number | null {
  const [period] = periodsIn(plainWords(text), context);
  return period ? period.from : singleDay(text, context);
}

/** Whether words name a day of the month and no year: of two that are as good, the nearer is gone to. */
const isWithoutYear = (words: string) =>
  !/\d{4}/.test(words) && /^\d{1,2}\D|^\p{L}{3,9}\.?\s+\d{1,2}(?:st|nd|rd|th)?$/iu.test(words);
