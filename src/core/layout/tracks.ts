import type { Occurrence } from '../agenda/occurrence';
import { partOn } from '../agenda/parts';
import type { DayNumber } from '../time/units';

/** What a row or a column stands for: a day, or one calendar's part of it. */
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
  return calendarId === null || calendarId === o.calendarId ? partOn(o, day) : null;
}
