import { calendarDefaults, inCalendarZone } from '../calendars/newEvents';
import type { Calendar } from '../model/calendar';
import type { CalendarEvent } from '../model/event';
import type { Repeat } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import { dayOfWall } from '../time/civil';
import { zoneOnDay } from '../time/sheetClock';
import type { Span } from '../layout/drag';
import { eventOver } from './edits';
import { withRepeat } from './repeating';

interface Draft {
  span: Span;
  fields: Pick<CalendarEvent, 'id' | 'calendarId'> & Partial<CalendarEvent>;
  calendar: Calendar | undefined;
  repeat: Repeat;
  /** The clock that the sheet goes by: a time put on it counts there on that day. */
  clock: string;
  workdays: readonly Weekday[];
  /** Epoch ms */
  now: number;
}

/** A new event with what its calendar gives it. */
export function draftOf({ span, fields, calendar, repeat, clock, workdays, now }: Draft) {
  const zone = zoneOnDay(clock, dayOfWall(span.start));
  const made = inCalendarZone(
    eventOver(span, fields, zone, now),
    calendar?.zone,
    repeat.pattern.kind !== 'none',
  );
  const event = { ...made, ...calendarDefaults(calendar ?? null, made) };
  return withRepeat(event, repeat, workdays);
}
