import type { Repeat, RepeatEnd, RepeatPattern } from '../recurrence/repeat';
import { firstStart, NO_REPEAT } from '../recurrence/repeat';

import { civilDate, DAY, dayOfWall, MINUTE, weekdayOf } from '../time/civil';
import type { JotPart } from './parts';
import { readCalendar, readCategories, readLength, readLink, readPlace, titleOf } from './parts';
import type { OpenPattern, RepeatWords } from './repeats';
import { findUntil, readRepeatWords, readTimes } from './repeats';
import type { JotContext } from './context';
import { readDay, readWhen } from './when';
import { blankOut } from './words';

/** What a jotted line was understood to mean. Times are wall ms; the end is exclusive. */
export interface Jot {
  title: string;
  wholeDay: boolean;
  start: number;
  end: number;
  /** Minutes, when the line says how long. */
  length: number | null;
  place: string;
  calendarId: string;
  categoryIds: string[];
  /** Web address; empty for none. */
  link: string;
  repeat: Repeat;
  /** Which words said what, in order; for showing how the line was read. */
  parts: JotPart[];
}

/** The parts of a line that say how its event repeats, and until when; the end counts only with a repeat. */
function readRepeat(
  line: string,
  context: JotContext,
): { words: RepeatWords; end: RepeatEnd; parts: JotPart[] } | null {
  const words = readRepeatWords(line);
  if (!words) return null;
  const repeat: JotPart = { kind: 'repeat', from: words.from, to: words.to };
  const rest = blankOut(line, repeat);
  const times = readTimes(rest);
  if (times)
    return {
      words,
      end: times.end,
      parts: [repeat, { kind: 'repeat', from: times.from, to: times.to }],
    };
  const until = findUntil(rest);
  const day = until && readDay(until.words, context);
  if (!until || !day) return { words, end: { kind: 'never' }, parts: [repeat] };
  const part: JotPart = { kind: 'repeat', from: until.from, to: until.rest + day.to };
  // "until March" stops before March begins; "until 30 April" includes that day.
  const end: RepeatEnd = { kind: 'on', day: day.isMonth ? day.day - 1 : day.day };
  return { words, end, parts: [repeat, part] };
}

/** A pattern with what it asks of its first date filled in. */
function closed(pattern: OpenPattern, day: number): RepeatPattern {
  const { month, day: ofMonth } = civilDate(day);
  switch (pattern.kind) {
    case 'weeklyOnStart': {
      const { interval } = pattern;
      return { kind: 'weekly', interval, weekdays: [weekdayOf(day)], weekStart: 0 };
    }
    case 'monthlyOnStart':
      return { kind: 'monthDay', interval: pattern.interval, day: ofMonth };
    case 'yearlyOnStart':
      return { kind: 'yearly', interval: pattern.interval, month, day: ofMonth };
    default:
      return pattern;
  }
}

/**
 * Reads one line of ordinary English as an event: "Freight call Thu 14:00 for 90 min at Quay 3 in
 * Clients". Whatever says nothing of when, how long, how often, where or which calendar is the title.
 * A line without a time lasts the whole day; one that repeats begins on the first day that fits.
 */
export function readJot(line: string, context: JotContext): Jot {
  const calendar = readCalendar(blankOut(line, readLink(line)), context.calendars);
  const categories = readCategories(line, context.categories);
  const link = readLink(line);
  let rest = blankOut(blankOut(line, link), calendar);
  for (const part of categories) rest = blankOut(rest, part);
  const repeat = readRepeat(rest, context);
  for (const part of repeat?.parts ?? []) rest = blankOut(rest, part);
  const length = readLength(rest);
  rest = blankOut(rest, length);
  const when = readWhen(rest, context);
  for (const part of when.parts) rest = blankOut(rest, part);
  const place = readPlace(rest);
  const parts = [
    calendar,
    link,
    ...categories,
    length,
    place,
    ...when.parts,
    ...(repeat?.parts ?? []),
  ].filter((part) => part !== null);
  const calendarId = calendar?.value ?? context.defaultCalendarId;
  const own = context.calendars.find(({ id }) => id === calendarId)?.defaultLength;
  const times = timesOf(when, length?.value ?? null, {
    ...context,
    defaultLength: own ?? context.defaultLength,
  });
  return {
    title: titleOf(blankOut(rest, place)),
    length: length?.value.minutes ?? null,
    place: place?.value ?? '',
    calendarId,
    categoryIds: categories.map(({ value }) => value),
    link: link?.value ?? '',
    parts: parts.sort((a, b) => a.from - b.from).map(({ kind, from, to }) => ({ kind, from, to })),
    ...(repeat ? repeated(times, repeat, context) : { ...times, repeat: NO_REPEAT }),
  };
}

/** Times and repeat of a line that repeats: from the first day on that its words fit. */
function repeated(
  times: Pick<Jot, 'wholeDay' | 'start' | 'end'>,
  { words, end }: { words: RepeatWords; end: RepeatEnd },
  { now, workdays }: JotContext,
): Pick<Jot, 'wholeDay' | 'start' | 'end' | 'repeat'> {
  const pattern = closed(words.pattern, dayOfWall(times.start));
  const isOver = !times.wholeDay && times.start < now && dayOfWall(times.start) === dayOfWall(now);
  const from = isOver ? times.start + DAY : times.start;
  const isOpen = words.pattern.kind.endsWith('OnStart');
  const start = isOpen ? times.start : firstStart(pattern, from, workdays);
  return {
    ...times,
    start,
    end: times.end + (start - times.start),
    repeat: { pattern, end },
  };
}

function timesOf(
  when: ReturnType<typeof readWhen>,
  length: { minutes: number; wholeDays: boolean } | null,
  { defaultLength }: JotContext,
): Pick<Jot, 'wholeDay' | 'start' | 'end'> {
  if (!when.hasTime) {
    const day = dayOfWall(when.start);
    const lastDay = when.end === null ? day : Math.max(day, dayOfWall(when.end));
    const end = length?.wholeDays ? day + length.minutes / 1440 : lastDay + 1;
    return { wholeDay: true, start: day * DAY, end: end * DAY };
  }
  const minutes = length?.minutes ?? defaultLength;
  return { wholeDay: false, start: when.start, end: when.end ?? when.start + minutes * MINUTE };
}
