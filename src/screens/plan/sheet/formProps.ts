import type { Occurrence } from '@/core/agenda/occurrence';
import type { Span } from '@/core/layout/drag';
import type { Hours } from '@/core/layout/hours';
import type { Track } from '@/core/layout/tracks';
import type { Calendar } from '@/core/model/calendar';
import type { Preferences } from '@/data/preferences';
import type { SheetGestures } from './sheetGestures';

/** What every form of the sheet is given. */
export interface FormProps extends SheetGestures {
  /** The days shown (day numbers), in order, and what they are together: "Week". */
  days: readonly number[];
  /** What each row or column stands for. */
  tracks: readonly Track[];
  name: string;
  /** Day number */
  today: number;
  /** Hours shown, and whether they are more than the usual ones. */
  hours: Hours;
  isWidened: boolean;
  onWiden(isWidened: boolean): void;
  occurrences: readonly Occurrence[];
  /** Booked minutes of a day. */
  bookedOn(day: number): number;
  calendars: readonly Calendar[];
  /** The inks of categories by id, where inks stand for them; else null. */
  categoryInks: ReadonlyMap<string, string> | null;
  /** Minutes that a new event lasts. */
  newLength: number;
  preferences: Preferences;
  selectedId: string | null;
  /** The time of what is being added. */
  draft: Span | null;
  /** How much of the lower part a panel lies over, in px. */
  covered: number;
}
