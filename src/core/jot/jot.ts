import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { JotPart } from './parts';
import { blankOut, readCalendar, readLength, readPlace, titleOf } from './parts';
import { readWhen } from './when';

export interface JotContext {
  /** Wall ms: what the clock shows. */
  now: number;
  /** Day number of the day shown, for lines that name none. */
  day: number;
  calendars: readonly { id: string; name: string }[];
  defaultCalendarId: string;
  /** Minutes */
  defaultLength: number;
}

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
  /** Which words said what, in order; for showing how the line was read. */
  parts: JotPart[];
}

/**
 * Reads one line of ordinary English as an event: "Freight call Thu 14:00 for 90 min at Quay 3 in
 * Clients". Whatever says nothing of when, how long, where or which calendar is the title. A line
 * without a time lasts the whole day.
 */
export function readJot(line: string, context: JotContext): Jot {
  const calendar = readCalendar(line, context.calendars);
  const length = readLength(blankOut(line, calendar));
  const when = readWhen(blankOut(blankOut(line, calendar), length), context);
  let rest = blankOut(blankOut(line, calendar), length);
  for (const part of when.parts) rest = blankOut(rest, part);
  const place = readPlace(rest);
  const parts = [calendar, length, place, ...when.parts].filter((part) => part !== null);
  return {
    title: titleOf(blankOut(rest, place)),
    length: length?.value.minutes ?? null,
    place: place?.value ?? '',
    calendarId: calendar?.value ?? context.defaultCalendarId,
    parts: parts.sort((a, b) => a.from - b.from).map(({ kind, from, to }) => ({ kind, from, to })),
    ...timesOf(when, length?.value ?? null, context),
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
