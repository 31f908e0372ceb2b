import type { Occurrence } from '../agenda/occurrence';
import { DAY, MINUTE, parseDate } from '../time/civil';
import type { DayNumber } from '../time/units';

/** What an occurrence holds of which nothing was said. */
export const PLAIN = {
  room: '',
  importance: 0,
  travelBefore: 0,
  travelAfter: 0,
  isQuiet: false,
  reminders: null,
} as const;

/** An occurrence for tests, at minutes of a day (day number). */
export function timed(
  title: string,
  day: DayNumber,
  from: number,
  to: number,
  more: Partial<Occurrence> = {},
): Occurrence {
  const start = day * DAY + from * MINUTE;
  const end = day * DAY + to * MINUTE;
  return {
    id: title,
    eventId: title,
    calendarId: 'workshop',
    dateKey: null,
    changed: false,
    title,
    place: '',
    wholeDay: false,
    availability: 'busy',
    visibility: 'public',
    ...PLAIN,
    categoryIds: [],
    zone: null,
    startMs: start,
    endMs: end,
    start,
    end,
    ...more,
  };
}

/** One that lasts whole days. */
export const wholeDays = (
  title: string,
  day: DayNumber,
  days: number,
  more: Partial<Occurrence> = {},
): Occurrence => timed(title, day, 0, days * 1440, { wholeDay: true, ...more });

/** Tuesday */
export const TODAY = parseDate('2026-11-24');

export const at = (hour: number, minute = 0) => hour * 60 + minute;
