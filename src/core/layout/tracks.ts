import type { Occurrence } from '../agenda/occurrence';
import { partOn } from '../agenda/parts';
import { personOfCalendarId } from '../model/person';
import type { DayNumber } from '../time/units';

/** Stands for all that is on one's own calendars, where tracks stand for people. */
export const MINE = 'mine';

/** What a row or a column stands for: a day, or one calendar's or one person's part of it. */
export interface Track {
  /** Day number */
  day: DayNumber;
  /** Null: every calendar together. */
  calendarId: string | null;
}

/** The tracks of some days, those of a day beside each other. */
export function tracksOf(days: readonly number[], calendarIds: readonly string[] | null): Track[] {
  return days.flatMap((day): Track[] =>
    calendarIds?.length
      ? calendarIds.map((calendarId) => ({ day, calendarId }))
      : [{ day, calendarId: null }],
  );
}

export const trackKey = ({ day, calendarId }: Track) => `${day} ${calendarId ?? ''}`;

/** The part of an occurrence on a track, in minutes of its day; null when it has none. */
export function partOnTrack(o: Occurrence, { day, calendarId }: Track) {
  const isOnIt =
    calendarId === null ||
    calendarId === o.calendarId ||
    (calendarId === MINE && personOfCalendarId(o.calendarId) === null);
  return isOnIt ? partOn(o, day) : null;
}
