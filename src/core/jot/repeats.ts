import type { RepeatEnd, RepeatPattern } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import { TAKEN, wordStart } from './words';

/** Words of a line that say how an event repeats. */
export interface RepeatWords {
  from: number;
  to: number;
  /** The pattern; parts that the first date gives (its weekday, its day of the month) are still open. */
  pattern: OpenPattern;
}

/** A pattern that may still ask its first date for a day. */
export type OpenPattern =
  | RepeatPattern
  | { kind: 'weeklyOnStart'; interval: number }
  | { kind: 'monthlyOnStart'; interval: number }
  | { kind: 'yearlyOnStart'; interval: number };

const DAY_NAMES = String.raw`(?:mon|tues|tue|wednes|wed|thurs|thur|thu|fri|satur|sat|sun)(?:day)?s?`;
const DAY = String.raw`(${DAY_NAMES})`;
const DAY_LIST = String.raw`(${DAY_NAMES}(?:\s*(?:,|and|&|\+)\s*(?:and\s+)?${DAY_NAMES})*)`;
const NTH = String.raw`(first|1st|second|2nd|third|3rd|fourth|4th|last)`;
const INTERVAL = String.raw`(other|second|2nd|third|3rd|fourth|4th|\d{1,2}|two|three|four|five|six)`;
const MONTH = String.raw`(?:of\s+)?(?:each|every|the)\s+(?:${INTERVAL}\s+)?months?`;
const EVERY = String.raw`(?:every|each)`;

const WEEKDAY_CODES = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
const NUMBERS: Record<string, number> = {
  other: 2,
  second: 2,
  two: 2,
  third: 3,
  three: 3,
  fourth: 4,
  four: 4,
  five: 5,
  six: 6,
  first: 1,
};

const weekdayOf = (name: string) =>
  WEEKDAY_CODES.indexOf(name.slice(0, 2).toLowerCase()) as Weekday;
const weekdaysOf = (list: string) => [
  ...new Set((list.match(new RegExp(DAY_NAMES, 'giu')) ?? []).map(weekdayOf)),
];

function intervalOf(word: string | undefined): number {
  if (word === undefined) return 1;
  return NUMBERS[word.toLowerCase()] ?? Math.max(1, Number.parseInt(word, 10));
}

const nthOf = (word: string) => (/last/i.test(word) ? -1 : intervalOf(word));

const weekly = (interval: number, weekdays: Weekday[]): RepeatPattern => ({
  kind: 'weekly',
  interval,
  weekdays,
  weekStart: 0,
});

type Groups = (string | undefined)[];

/** Ways to say a repeat, the longer ones first: each with what it means. */
const WAYS: readonly [string, (groups: Groups) => OpenPattern | null][] = [
  [
    // "last Friday of each month", "every first Monday of the month"
    String.raw`(?:on\s+)?(?:(?:every|each|the)\s+)?${NTH}\s+${DAY}\s+${MONTH}`,
    ([nth, day, interval]) => ({
      kind: 'monthWeekday',
      interval: intervalOf(interval),
      nth: nthOf(nth!),
      weekday: weekdayOf(day!),
    }),
  ],
  [
    String.raw`(?:on\s+)?(?:the\s+)?last\s+day\s+${MONTH}`,
    ([interval]) => ({ kind: 'monthEnd', interval: intervalOf(interval) }),
  ],
  [
    // "on the 8th of each month"
    String.raw`(?:on\s+)?(?:the\s+)?(\d{1,2})(?:st|nd|rd|th)\s+${MONTH}`,
    ([day, interval]) => monthDay(day!, intervalOf(interval)),
  ],
  [
    // "monthly on the 8th", "every 2 months on the 8th"
    String.raw`(?:monthly|${EVERY}\s+(?:${INTERVAL}\s+)?months?)\s+on\s+(?:the\s+)?(\d{1,2})(?:st|nd|rd|th)?`,
    ([interval, day]) => monthDay(day!, intervalOf(interval)),
  ],
  [
    String.raw`(?:monthly|${EVERY}\s+(?:${INTERVAL}\s+)?months?)\s+on\s+the\s+${NTH}\s+${DAY}`,
    ([interval, nth, day]) => ({
      kind: 'monthWeekday',
      interval: intervalOf(interval),
      nth: nthOf(nth!),
      weekday: weekdayOf(day!),
    }),
  ],
  [
    String.raw`(?:monthly|${EVERY}\s+(?:${INTERVAL}\s+)?months?)\s+on\s+the\s+last\s+day`,
    ([interval]) => ({ kind: 'monthEnd', interval: intervalOf(interval) }),
  ],
  [
    String.raw`(?:monthly|${EVERY}\s+(?:${INTERVAL}\s+)?months?)`,
    ([interval]) => ({ kind: 'monthlyOnStart', interval: intervalOf(interval) }),
  ],
  [
    String.raw`(?:${EVERY}\s+)?(?:weekdays|workdays|working\s+days)|${EVERY}\s+(?:weekday|workday|working\s+day)`,
    () => ({ kind: 'workdays' }),
  ],
  [
    // "every 2 weeks on Monday and Wednesday", "fortnightly on Fri"
    String.raw`(fortnightly|${EVERY}\s+fortnight|weekly|${EVERY}\s+(?:${INTERVAL}\s+)?weeks?)\s+on\s+${DAY_LIST}`,
    ([word, interval, list]) => weekly(fortnights(word!, interval), weekdaysOf(list!)),
  ],
  [
    // "every other Wednesday", "every Mon, Wed and Fri"
    String.raw`(?:on\s+)?${EVERY}\s+(?:${INTERVAL}\s+)?${DAY_LIST}`,
    ([interval, list]) => weekly(intervalOf(interval), weekdaysOf(list!)),
  ],
  [
    // "on Mondays and Fridays": only the plural repeats.
    String.raw`(?:on\s+)?((?:mon|tues|wednes|thurs|fri|satur|sun)days(?:\s*(?:,|and|&)\s*(?:mon|tues|wednes|thurs|fri|satur|sun)days)*)`,
    ([list]) => weekly(1, weekdaysOf(list!)),
  ],
  [
    String.raw`(fortnightly|${EVERY}\s+fortnight|weekly|${EVERY}\s+(?:${INTERVAL}\s+)?weeks?)`,
    ([word, interval]) => ({ kind: 'weeklyOnStart', interval: fortnights(word!, interval) }),
  ],
  [
    String.raw`(?:yearly|annually|${EVERY}\s+(?:${INTERVAL}\s+)?years?)`,
    ([interval]) => ({ kind: 'yearlyOnStart', interval: intervalOf(interval) }),
  ],
  [
    String.raw`(?:daily|${EVERY}\s+(?:${INTERVAL}\s+)?days?)`,
    ([interval]) => ({ kind: 'daily', interval: intervalOf(interval) }),
  ],
];

function monthDay(day: string, interval: number): RepeatPattern | null {
  const number = Number(day);
  return number >= 1 && number <= 31 ? { kind: 'monthDay', interval, day: number } : null;
}

const fortnights = (word: string, interval: string | undefined) =>
  /fortnight/i.test(word) ? 2 : intervalOf(interval);

const PATTERNS = WAYS.map(
  ([source, read]) => [new RegExp(`${wordStart}${source}(?![\\w-])`, 'iu'), read] as const,
);

/** How a line says that its event repeats: "every other Wednesday", "last Friday of each month"; null when it doesn't. */
export function readRepeatWords(line: string): RepeatWords | null {
  for (const [pattern, read] of PATTERNS) {
    const match = pattern.exec(line);
    const meaning = match && read(match.slice(1));
    if (match && meaning)
      return { from: match.index, to: match.index + match[0].length, pattern: meaning };
  }
  return null;
}

/** Words that end a repeat after a number of dates: "6 times", "for 10 dates". */
export function readTimes(line: string): { from: number; to: number; end: RepeatEnd } | null {
  const match = new RegExp(
    String.raw`${wordStart}(?:for\s+)?(\d{1,3}|two|three|four|five|six|ten)\s*(?:times|dates|occurrences|x)(?![\w-])`,
    'iu',
  ).exec(line);
  if (!match) return null;
  const word = match[1]!.toLowerCase();
  const count = word === 'ten' ? 10 : intervalOf(word);
  return count >= 1
    ? { from: match.index, to: match.index + match[0].length, end: { kind: 'after', count } }
    : null;
}

/** Where "until …" begins in a line, with the words that follow up to what is taken already. */
export function findUntil(line: string): { from: number; rest: number; words: string } | null {
  const match = new RegExp(
    String.raw`${wordStart}(?:until|till|til|up\s+to|ending(?:\s+on)?)\s+(?=[^\s${TAKEN}])`,
    'iu',
  ).exec(line);
  if (!match) return null;
  const rest = match.index + match[0].length;
  const [words = ''] = line.slice(rest).split(TAKEN);
  return { from: match.index, rest, words };
}
