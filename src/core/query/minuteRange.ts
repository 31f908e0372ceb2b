import type { MinuteRange } from '../model/filter';
import { sayLength } from '../time/words';

const UNIT: Readonly<Record<string, number>> = { m: 1, h: 60, d: 1440, w: 7 * 1440 };
const LENGTH = /(\d+(?:[.,]\d+)?)\s*(?:(minutes?|mins?|hours?|hrs?|days?|weeks?|[mhdw])\b)?/g;
const NO_LESS = /^(?:at least|over|more than|longer than|from|>=?)\s+/;
const NO_MORE = /^(?:at most|up to|under|less than|shorter than|within|<=?)\s+/;
const BETWEEN = /\s*(?:\bto\b|\band\b|-|–)\s*/;

/** The minutes of "1 h 30 min", "1.5 h", "90"; null for anything else. A number alone is of `unit`. */
function minutesIn(text: string, unit: string): number | null {
  if (text.replace(LENGTH, '').trim() !== '' || !/\d/.test(text)) return null;
  const parts = [...text.matchAll(LENGTH)].map(
    ([, number, said]) => Number(number!.replace(',', '.')) * UNIT[(said ?? unit)[0]!]!,
  );
  return Math.round(parts.reduce((sum, part) => sum + part, 0));
}

/** Reads lengths in words: "45 min", "1 to 2 h", "up to 30 min", "over 4 h"; null for anything else. */
export function readMinuteRange(words: string): MinuteRange | null {
  const text = words.trim().toLowerCase();
  const isLeast = NO_LESS.test(text);
  if (isLeast || NO_MORE.test(text)) {
    const bound = minutesIn(text.replace(isLeast ? NO_LESS : NO_MORE, ''), 'm');
    return bound === null ? null : isLeast ? { from: bound, to: null } : { from: null, to: bound };
  }
  const [first, last, ...others] = text.replace(/^between\s+/, '').split(BETWEEN);
  if (others.length) return null;
  const to = minutesIn(last ?? first!, 'm');
  // "1 to 2 h" counts hours in both.
  const from = minutesIn(first!, /[a-z]/.exec(last ?? '')?.[0] ?? 'm');
  return from === null || to === null || from > to ? null : { from, to };
}

/** "At least 30 min", "up to 1 h", "30 min to 1 h". */
export function formatMinuteRange({ from, to }: MinuteRange): string {
  if (from === null) return `up to ${sayLength(to!)}`;
  if (to === null) return `at least ${sayLength(from)}`;
  return from === to ? sayLength(from) : `${sayLength(from)} to ${sayLength(to)}`;
}
