import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { removedWith } from '../commands/calendarContents';
import type { Records } from '../commands/plan';

/** A calendar that waits to be brought back, with the number of events that were removed with it. */
export interface RemovedCalendar {
  calendar: Calendar;
  events: number;
}

/** Removed calendars, the last first. */
export function removedCalendars(records: Records): RemovedCalendar[] {
  return records
    .all('calendar')
    .filter(({ removedAt }) => removedAt !== undefined)
    .map((calendar) => ({
      calendar,
      events: removedWith(records, calendar).filter(({ type }) => type === 'event').length,
    }))
    .sort((a, b) => b.calendar.removedAt! - a.calendar.removedAt!);
}

/** Removed events, the last first, without those that wait with their calendar. */
export function removedEvents(records: Records): CalendarEvent[] {
  const gone = new Map(records.all('calendar').map(({ id, removedAt }) => [id, removedAt]));
  return records
    .all('event')
    .filter(({ removedAt, calendarId }) => {
      return removedAt !== undefined && removedAt !== gone.get(calendarId);
    })
    .sort((a, b) => b.removedAt! - a.removedAt!);
}
