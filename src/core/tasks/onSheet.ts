import type { Occurrence } from '../agenda/occurrence';
import type { Task } from '../model/task';
import { DAY } from '../time/civil';
import type { DayNumber } from '../time/units';
import { instantFromWall } from '../time/zones';
import { dayOn } from './due';

/** The tasks of a day, where a sheet has a line for them. */
export interface TaskLineOfDay {
  day: DayNumber;
  /** Null where the sheet does not part calendars. */
  calendarId: string | null;
  tasks: Task[];
}

/** Tasks by the days on which they are due, and by their calendars where a sheet parts these. */
export function tasksByDay(
  tasks: readonly Task[],
  clock: string,
  isByCalendar: boolean,
): TaskLineOfDay[] {
  const lines = new Map<string, TaskLineOfDay>();
  for (const task of tasks) {
    if (!task.due) continue;
    const day = dayOn(task.due, clock);
    const calendarId = isByCalendar ? (task.calendarId ?? null) : null;
    const key = `${day} ${calendarId}`;
    const line = lines.get(key);
    if (line) line.tasks.push(task);
    else lines.set(key, { day, calendarId, tasks: [task] });
  }
  return [...lines.values()];
}

/** A line of tasks as what lasts a whole day and takes no time: it is placed like any other. */
export function lineAsOccurrence(
  { day, calendarId, tasks }: TaskLineOfDay,
  clock: string,
  anyCalendarId: string,
): Occurrence {
  const start = day * DAY;
  return {
    id: `tasks:${day}:${calendarId ?? ''}`,
    eventId: '',
    calendarId: calendarId ?? anyCalendarId,
    dateKey: null,
    changed: false,
    // After all else that lasts the whole day.
    title: '\uffff',
    place: '',
    room: '',
    wholeDay: true,
    availability: 'free',
    visibility: 'public',
    importance: 0,
    travelBefore: 0,
    travelAfter: 0,
    isQuiet: false,
    reminders: [],
    categoryIds: [],
    zone: null,
    startMs: instantFromWall(start, clock),
    endMs: instantFromWall(start + DAY, clock),
    start,
    end: start + DAY,
    tasks,
  };
}
