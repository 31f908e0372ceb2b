import type { Weekday } from '../time/civil';
import { civilDate, daysInMonth, weekdayOf } from '../time/civil';
import { WEEKDAYS } from '../time/words';
import type { DayNumber } from '../time/units';
import type { RepeatPattern } from './repeat';
import { nthWeekday } from './repeat';
import { nthWord, ordinal } from './sayRule';

/** What the editor offers first: how often. */
export type Rhythm = 'none' | 'daily' | 'workdays' | 'weekly' | 'monthly' | 'yearly' | 'custom';

export function rhythmOf(pattern: RepeatPattern): Rhythm {
  switch (pattern.kind) {
    case 'monthDay':
    case 'monthWeekday':
    case 'monthEnd':
      return 'monthly';
    default:
      return pattern.kind;
  }
}

/** The plain pattern of a rhythm for an event that begins on a day (day number). */
export function patternFor(
  rhythm: Exclude<Rhythm, 'custom'>,
  day: DayNumber,
  weekStart: Weekday,
): RepeatPattern {
  const { month, day: ofMonth } = civilDate(day);
  switch (rhythm) {
    case 'none':
    case 'workdays':
      return { kind: rhythm };
    case 'daily':
      return { kind: 'daily', interval: 1 };
    case 'weekly':
      return { kind: 'weekly', interval: 1, weekdays: [weekdayOf(day)], weekStart };
    case 'monthly':
      return { kind: 'monthDay', interval: 1, day: ofMonth };
    case 'yearly':
      return { kind: 'yearly', interval: 1, month, day: ofMonth };
  }
}

type Monthly = Extract<RepeatPattern, { kind: 'monthDay' | 'monthWeekday' | 'monthEnd' }>;

const wordsOf = (pattern: Monthly): string => {
  if (pattern.kind === 'monthEnd') return 'On the last day';
  if (pattern.kind === 'monthDay') return `On the ${ordinal(pattern.day)}`;
  return `On the ${nthWord(pattern.nth)} ${WEEKDAYS[pattern.weekday]}`;
};

/** The ways to repeat each month that fit a day (day number), with the one in use; each once. */
export function monthlyChoices(
  day: DayNumber,
  current: Monthly,
): { key: string; label: string; pattern: Monthly }[] {
  const { year, month, day: ofMonth } = civilDate(day);
  const { interval } = current;
  const { nth, weekday } = nthWeekday(day);
  const isLastOfKind = ofMonth + 7 > daysInMonth(year, month);
  const offered: Monthly[] = [
    { kind: 'monthDay', interval, day: ofMonth },
    ...(nth > 0 ? [{ kind: 'monthWeekday', interval, nth, weekday } as const] : []),
    ...(isLastOfKind ? [{ kind: 'monthWeekday', interval, nth: -1, weekday } as const] : []),
    { kind: 'monthEnd', interval },
    current,
  ];
  const byWords = new Map(offered.map((pattern) => [wordsOf(pattern), pattern]));
  return [...byWords].map(([label, pattern]) => ({ key: label, label, pattern }));
}

export const monthlyKey = (pattern: Monthly) => wordsOf(pattern);
