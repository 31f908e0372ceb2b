import type { Occurrence } from '../agenda/occurrence';
import type { Task } from '../model/task';
import { wallOf, zoneOf } from '../model/common';
import { DAY } from '../time/civil';
import { instantOf, wallFromInstant } from '../time/zones';
import { anchorOf } from './asEvent';

/** A task as what lies at its anchor on a clock: of a date the whole day, of a time no length. Null without one. */
export function taskAsOccurrence(task: Task, clock: string): Occurrence | null {
  const anchor = anchorOf(task);
  if (!anchor) return null;
  const wholeDay = anchor.kind === 'date';
  const at = (wall: number) => instantOf(wall, zoneOf(anchor), clock);
  const startMs = at(wallOf(anchor));
  const endMs = wholeDay ? at(wallOf(anchor) + DAY) : startMs;
  return {
    id: task.id,
    eventId: task.id,
    calendarId: task.calendarId ?? '',
    dateKey: null,
    changed: false,
    title: task.title,
    place: '',
    room: '',
    wholeDay,
    availability: 'free',
    visibility: 'public',
    importance: task.importance,
    travelBefore: 0,
    travelAfter: 0,
    isQuiet: false,
    reminders: task.reminders,
    categoryIds: task.categoryIds,
    zone: zoneOf(anchor),
    startMs,
    endMs,
    start: wallFromInstant(startMs, clock),
    end: wallFromInstant(endMs, clock),
  };
}
