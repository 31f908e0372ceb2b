import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import type { Task } from '@/core/model/task';
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

/** Whether something was removed by itself, and does not wait with its calendar. */
function isRemovedAlone(records: Records) {
  const gone = new Map(records.all('calendar').map(({ id, removedAt }) => [id, removedAt]));
  return ({ removedAt, calendarId }: { removedAt?: number; calendarId?: string }) =>
    removedAt !== undefined && (calendarId === undefined || removedAt !== gone.get(calendarId));
}

const lastFirst = (a: { removedAt?: number }, b: { removedAt?: number }) =>
  b.removedAt! - a.removedAt!;

/** Removed events, the last first, without those that wait with their calendar. */
export const removedEvents = (records: Records): CalendarEvent[] =>
  records.all('event').filter(isRemovedAlone(records)).sort(lastFirst);

/** Removed tasks, the last first, without those that wait with their calendar. */
export const removedTasks = (records: Records): Task[] =>
  records.all('task').filter(isRemovedAlone(records)).sort(lastFirst);
