import type { Weekday } from '../time/civil';

/**
 * Words of the grammar as sources of regular expressions, for lines in lower case with plain quotes
 * and dashes, and what they mean.
 */

/**
 * Letters, as the inside of a class, for what may not go on behind a word. As ranges: Unicode's own class of
 * letters takes a browser a millisecond for each expression that it is in, and the first key waits for all.
 */
export const LETTER =
  'a-z\\u00c0-\\u060b\\u0620-\\u1fff\\u2c00-\\u2dff\\u3040-\\ud7ff\\uf900-\\uffdc';
/** Behind this no word goes on. */
export const NO_LETTER = `(?![${LETTER}])`;

export const WEEKDAY =
  '(?:mon(?:day)?|tue(?:s(?:day)?)?|wed(?:s|nesday)?|thu(?:rs?(?:day)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)';
/** Weekdays in the plural, which repeat. */
export const WEEKDAYS = '(?:mon|tues|wednes|thurs|fri|satur|sun)days';
export const MONTH =
  '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)';
export const COUNT_WORD = '(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';
export const COUNT = `(?:\\d{1,3}|${COUNT_WORD})`;
export const ORDINAL = '(?:\\d{1,2}(?:st|nd|rd|th))';
/** Which of its kind in a month. */
export const NTH =
  '(?:first|1st|second|2nd|third|3rd|fourth|4th|fifth|5th|last|second[- ]last|penultimate)';
export const INTERVAL =
  '(?:other|alternate|second|2nd|third|3rd|fourth|4th|fifth|5th|sixth|6th|\\d{1,2}|two|three|four|five|six|seven|eight|nine|ten|twelve)';
export const EVERY = '(?:every|each|ev)';
/** Between the items of a list: "a, b and c", "a & b", "a/b". */
export const AND =
  '\\s*(?:,(?:\\s*(?:and|&))?|and|&|\\+|/|or|as\\s+well\\s+as)\\s*(?:on\\s+)?(?:the\\s+)?';
const SEPARATOR = `(?:${AND}|\\s+)`;
/** In the singular or the plural. */
export const LIST_OF_WEEKDAYS = `${WEEKDAY}s?(?:${SEPARATOR}${WEEKDAY}s?){0,6}`;
/** So much more it says for each weekday of a list, so that no part of the list says as much. */
const A_WEEKDAY = 7;
/** The weight of what holds a list of weekdays, by that of one. */
export const byWeekdays =
  (one: number, list: number) =>
  (groups: readonly (string | undefined)[]): number =>
    one + A_WEEKDAY * (weekdaysNamed(groups[list]!).length - 1);
export const UNIT = '(?:days?|weeks?|wks?|months?|mths?|years?|yrs?|fortnights?)';

const WEEKDAY_STARTS = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
const MONTH_STARTS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const COUNTS = 'a one two three four five six seven eight nine ten eleven twelve'.split(' ');
const NTHS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

export const weekdayNamed = (word: string): Weekday =>
  WEEKDAY_STARTS.indexOf(word.trim().slice(0, 2)) as Weekday;

/** Every weekday of a list, in its order, each once. */
export const weekdaysNamed = (list: string): Weekday[] => [
  ...new Set((list.match(new RegExp(WEEKDAY, 'g')) ?? []).map(weekdayNamed)),
];

/** Every month of a list (January is 1). */
export const monthsNamed = (list: string): number[] =>
  (list.match(new RegExp(MONTH, 'g')) ?? []).map(monthNamed);

/** January is 1. */
export const monthNamed = (word: string): number => MONTH_STARTS.indexOf(word.slice(0, 3)) + 1;

export function countOf(word: string): number {
  if (word === 'an') return 1;
  const named = COUNTS.indexOf(word);
  return named < 0 ? Number(word) : Math.max(1, named);
}

/** How many units lie between two dates of a repeat: 2 of "other", 3 of "third". */
export function intervalOf(word: string | undefined): number {
  if (word === undefined) return 1;
  if (word === 'other' || word === 'alternate') return 2;
  const nth = NTHS.indexOf(word);
  if (nth >= 0) return nth + 1;
  const digits = Number.parseInt(word, 10);
  return Number.isNaN(digits) ? countOf(word) : Math.max(1, digits);
}

/** -1 is the last, -2 the one before it. */
export function nthOf(word: string): number {
  if (/^second[- ]last|^penultimate/.test(word)) return -2;
  return word === 'last' ? -1 : intervalOf(word);
}

export type Unit = 'day' | 'week' | 'month' | 'year';

/** A number of units; two weeks for a fortnight. */
export function unitsOf(count: number, word: string): { count: number; unit: Unit } {
  if (word.startsWith('fortnight')) return { count: count * 2, unit: 'week' };
  const unit = (['day', 'week', 'month', 'year'] as const).find((u) => word.startsWith(u[0]!));
  return { count, unit: unit! };
}
