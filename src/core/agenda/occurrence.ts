import type { Availability, Reminder } from '../model/common';
import type { Task } from '../model/task';
import { MINUTE } from '../time/civil';
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
  /** Where it takes place online; empty for nowhere. */
  room: string;
  wholeDay: boolean;
  availability: Availability;
  visibility: 'public' | 'private';
  /** PRIORITY (RFC 5545 §3.8.1.9): 1 to 4 high, 6 to 9 low, else usual. */
  importance: number;
  /** Minutes that it takes to get there, and back; 0 for a whole day. */
  travelBefore: number;
  travelAfter: number;
  /** Whether reminders of other events wait while it lasts. */
  isQuiet: boolean;
  /** Its own reminders; null for those of its calendar. */
  reminders: readonly Reminder[] | null;
  /** The event's own ink, over that of its calendar. */
  ink?: string;
  icon?: string;
  categoryIds: readonly string[];
  /** Whether somebody else asks to it and the person has not answered. */
  isUnanswered?: boolean;
  /** Of an event that the person asks others to: how many of how many guests come. */
  tally?: { accepted: number; guests: number };
  /** Who else changed it last, until the person has seen it. */
  changedBy?: string;
  /** The event's own zone; null when it floats or lasts whole days. */
  zone: string | null;
  /** Epoch ms; a whole day begins at the midnight of the zone that looks at it. */
  startMs: EpochMs;
  endMs: EpochMs;
  /** Wall ms in the zone that looks at it. The end is exclusive. */
  start: WallMs;
  end: WallMs;
  /** What is due on a day, where this is no event but the line of these. */
  tasks?: readonly Task[];
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

/** The id of a date of a series. */
export const dateId = (eventId: string, dateKey: string) => `${eventId}@${dateKey}`;

/** The event's id and the name of its date that an occurrence's id is made of. */
export function partsOfId(id: string): { eventId: string; dateKey: string | null } {
  const at = id.indexOf('@');
  return at < 0
    ? { eventId: id, dateKey: null }
    : { eventId: id.slice(0, at), dateKey: id.slice(at + 1) };
}

/** Whether an occurrence takes time from the person (all but free). */
export function isBooked(occurrence: Pick<Occurrence, 'availability'>): boolean {
  return occurrence.availability !== 'free';
}

type Travelling = Pick<Occurrence, 'travelBefore' | 'travelAfter'>;

/** When the person has to leave for an occurrence, epoch ms; its start where that takes no time. */
export const leaveBy = (o: Pick<Occurrence, 'startMs' | 'travelBefore'>): EpochMs =>
  o.startMs - o.travelBefore * MINUTE;

/** The instants between which an occurrence takes the person's time: with the way there and back. */
export const takenMs = (o: Pick<Occurrence, 'startMs' | 'endMs'> & Travelling) => ({
  start: leaveBy(o),
  end: o.endMs + o.travelAfter * MINUTE,
});

/** The same on the clock that looks at it, in wall ms. */
export const takenWall = (o: Pick<Occurrence, 'start' | 'end'> & Travelling) => ({
  start: o.start - o.travelBefore * MINUTE,
  end: o.end + o.travelAfter * MINUTE,
});

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
