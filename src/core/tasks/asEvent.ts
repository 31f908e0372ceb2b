import type { CalendarEvent } from '../model/event';
import { newEvent } from '../model/event';
import type { EventTime } from '../model/common';
import { dayOf } from '../model/common';
import type { Task } from '../model/task';
import { isOpen } from '../model/task';
import { formatDate } from '../time/civil';

/** When a task lies for what counts by a time: when it is due, or else when it can be begun. */
export const anchorOf = ({ due, start }: Pick<Task, 'due' | 'start'>): EventTime | null =>
  due ?? start;

/** The day after a date; a time lasts for no time. */
const endOf = (start: EventTime): EventTime =>
  start.kind === 'date' ? { kind: 'date', date: formatDate(dayOf(start) + 1) } : start;

/**
 * A task as an event at its anchor, so that what is asked, worked out or changed of events is of
 * tasks by the same code. One without a time lies at `otherwise`.
 */
export function taskAsEvent(task: Task, otherwise: EventTime): CalendarEvent {
  const start = anchorOf(task) ?? otherwise;
  return newEvent(
    {
      id: task.id,
      uid: task.uid,
      calendarId: task.calendarId ?? '',
      title: task.title,
      notes: task.notes,
      link: task.link,
      importance: task.importance,
      categoryIds: task.categoryIds,
      reminders: task.reminders,
      start,
      end: endOf(start),
      ...(task.rule !== undefined && { rule: task.rule }),
      updated: task.updated,
    },
    task.created,
  );
}

/**
 * A task as what its reminders go by; null where there is nothing to be reminded of any more. One that
 * repeats is due once: ticking it makes the next.
 */
export function remindingEvent(task: Task): CalendarEvent | null {
  const anchor = anchorOf(task);
  if (!anchor || !isOpen(task) || task.removedAt !== undefined) return null;
  const { rule: _rule, ...event } = taskAsEvent(task, anchor);
  return event;
}
