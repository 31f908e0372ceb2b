import { zoneNamed } from '../time/namedZones';
import type { Weekday } from '../time/civil';
import { bareHour } from './times';
import type { OpenPattern, Reading, TimeMeant } from './meanings';
import { isApart } from './meanings';

const HOUR = 60;
const NOON = 12 * HOUR;
/** Nobody means an hour of the night without saying so. */
const EARLIEST = 5 * HOUR;

/** Bare hours that people use for both halves of the day, as they are first understood. */
const LIKELY_BOTH = { from: 7 * HOUR, to: 9 * HOUR };

/** The other half of the day, where a bare hour may well mean that. */
function otherHalf(time: TimeMeant): TimeMeant | null {
  const { from, to, isOpen } = time;
  if (!isOpen || to !== null) return null;
  if (from >= NOON + EARLIEST) return { ...time, from: from - NOON };
  if (from >= NOON) return null;
  const isLikely = from >= LIKELY_BOTH.from - 2 * HOUR && from < LIKELY_BOTH.to;
  return isLikely ? { ...time, from: from + NOON } : null;
}

const everyWeek = (weekdays: Weekday[]): OpenPattern => ({
  ...{ kind: 'weekly', interval: 1, weekStart: 0 },
  weekdays,
});

/** Another thing that a reading may well mean; null when it is plain. */
function otherMeaning(reading: Reading): Reading | null {
  const { meaning } = reading;
  if (meaning.kind === 'day' && meaning.day.other !== undefined) {
    const { other, lastDay, day } = meaning.day;
    const length = lastDay === undefined ? undefined : lastDay - day;
    return {
      ...reading,
      meaning: {
        kind: 'day',
        day: { day: other, ...(length !== undefined && { lastDay: other + length }) },
      },
    };
  }
  if (meaning.kind === 'day' && meaning.day.weekdays)
    return { ...reading, meaning: { kind: 'repeat', pattern: everyWeek(meaning.day.weekdays) } };
  if (meaning.kind === 'repeat' && meaning.once !== undefined)
    return { ...reading, meaning: { kind: 'day', day: { day: meaning.once } } };
  if (meaning.kind !== 'time' || !meaning.time) return null;
  const time = otherHalf(meaning.time);
  return time && { ...reading, meaning: { kind: 'time', time } };
}

/** A calendar that the line may name: "email to clients". */
function withLoose(readings: readonly Reading[], loose: readonly Reading[]): Reading[] | null {
  if (readings.some(({ meaning }) => meaning.kind === 'calendar')) return null;
  const one = loose.find((one) => isApart(one, readings));
  return one ? [...readings, one].sort((a, b) => a.from - b.from) : null;
}

/** A short weekday that is also a word of its own: "sun", "sat", "wed". */
const MAY_BE_A_WORD = /^(?:sun|sat|wed|mon)$/;

/** Shorter names are words, too. */
const LEAST_NAME = 4;
const MOST_WORDS = 3;

/** A city right behind a time may be the one whose clock is meant: "Call 9:00 Halifax". */
function onCityClock(text: string, readings: readonly Reading[]): Reading[] | null {
  if (readings.some(({ meaning }) => meaning.kind === 'zone')) return null;
  const at = readings.findIndex(({ meaning }) => meaning.kind === 'time' && meaning.time !== null);
  if (at < 0) return null;
  const from = readings[at]!.to + (/^\s+/.exec(text.slice(readings[at]!.to))?.[0].length ?? 0);
  const rest = text.slice(from, readings[at + 1]?.from ?? text.length);
  const names = /^\p{L}[\p{L}'.]*(?:\s\p{L}[\p{L}'.]*)*/u.exec(rest)?.[0].split(' ') ?? [];
  for (let count = Math.min(MOST_WORDS, names.length); count > 0; count--) {
    const name = names.slice(0, count).join(' ');
    const zone = name.length < LEAST_NAME ? null : zoneNamed(name);
    if (zone)
      return readings.toSpliced(at + 1, 0, {
        ...{ from, to: from + name.length, weight: 0 },
        meaning: { kind: 'zone', zone },
      });
  }
  return null;
}

/**
 * The next best reading of a line, where it is close: another meaning of its words, the clock of a
 * city, or a short weekday left in the title. Null where the first is plain.
 */
export function otherReadings(
  text: string,
  readings: readonly Reading[],
  loose: readonly Reading[],
): Reading[] | null {
  // A part of the day says which half is meant.
  if (!readings.some(({ meaning }) => meaning.kind === 'partOfDay')) {
    for (const [i, reading] of readings.entries()) {
      const other = otherMeaning(reading);
      if (other) return readings.toSpliced(i, 1, other);
    }
  }
  const onCity = onCityClock(text, readings);
  if (onCity) return onCity;
  const byName = withLoose(readings, loose);
  if (byName) return byName;
  const hour = bareHour(text, readings);
  if (hour) return [...readings, hour].sort((a, b) => a.from - b.from);
  const isAlone = readings.length === 1;
  const word = readings[0] && text.slice(readings[0].from, readings[0].to);
  return isAlone && MAY_BE_A_WORD.test(word!) && word !== text.trim() ? [] : null;
}
