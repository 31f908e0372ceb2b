import type { Weekday } from '../time/civil';

export interface JotContext {
  /** Wall ms: what the clock shows. */
  now: number;
  /** Day number of the day shown, for lines that name none. */
  day: number;
  calendars: readonly { id: string; name: string; defaultLength?: number }[];
  categories: readonly { id: string; name: string }[];
  defaultCalendarId: string;
  /** Minutes, where the calendar has no length of its own. */
  defaultLength: number;
  /** Weekdays that the person works on. */
  workdays: readonly Weekday[];
}
