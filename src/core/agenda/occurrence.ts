import type { Availability } from '../model/common';
import type { DayNumber, EpochMs, WallMs } from '../time/units';

/** One date of one event as a window shows it: the unit that screens draw. */
export interface Occurrence {
  /** The event's id, with `@` and the date's key for a date of a series. Unique in a window. */
  id: string;
  eventId: string;
  calendarId: string;
  /** Name of the date in its series (see `changedDates`); null for a single event. */
  dateKey: string | null;
  /** Whether this date of a series was changed by itself. */
  changed: boolean;
  title: string;
  place: string;
  wholeDay: boolean;
  availability: Availability;
  visibility: 'public' | 'private';
  /** The event's own ink, over that of its calendar. */
  ink?: string;
  icon?: string;
  categoryIds: readonly string[];
  /** The event's own zone; null when it floats or lasts whole days. */
  zone: string | null;
  /** Epoch ms; a whole day begins at the midnight of the zone that looks at it. */
  startMs: EpochMs;
  endMs: EpochMs;
  /** Wall ms in the zone that looks at it. The end is exclusive. */
  start: WallMs;
  end: WallMs;
}

/** The days of a window and the zone that looks at them. */
export interface Window {
  /** Day number, included. */
  fromDay: DayNumber;
  /** Day number, excluded. */
  toDay: DayNumber;
  /** IANA zone in which days begin, and whole-day and floating events lie. */
  zone: string;
}

/** Whether an occurrence takes time from the person (all but free). */
export function isBooked(occurrence: Pick<Occurrence, 'availability'>): boolean {
  return occurrence.availability !== 'free';
}

/** Earlier first; of two that begin together, whole days first, then the longer, then by title. */
export function byStart(a: Occurrence, b: Occurrence): number {
  return (
    a.start - b.start ||
    Number(b.wholeDay) - Number(a.wholeDay) ||
    b.end - a.end ||
    (a.title < b.title ? -1 : a.title > b.title ? 1 : 0) ||
    (a.id < b.id ? -1 : 1)
  );
}
