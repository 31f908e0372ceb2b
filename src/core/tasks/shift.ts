import type { EventTime } from '../model/common';
import { wallOf } from '../model/common';
import type { Task } from '../model/task';
import { DAY, dayOfWall, formatDate, formatLocal } from '../time/civil';
import type { DayNumber } from '../time/units';
import { anchorOf } from './asEvent';
import { dayOn } from './due';

/** A time so many ms later on its own clock; a date goes by whole days. */
function laterBy(time: EventTime, ms: number): EventTime {
  const wall = wallOf(time) + ms;
  return time.kind === 'date'
    ? { kind: 'date', date: formatDate(dayOfWall(wall)) }
    : { ...time, local: formatLocal(wall) };
}

/** The start and due of a task, both so many ms later on their clocks (its anchor by whole days where it is a date). */
export function shiftedBy(
  { start, due }: Pick<Task, 'start' | 'due'>,
  ms: number,
): Pick<Task, 'start' | 'due'> {
  return { start: start && laterBy(start, ms), due: due && laterBy(due, ms) };
}

/**
 * The start and due of a task that is to be done by a day (day number on `clock`): its hour and the
 * time between its start and its due stay. One without either is due that day.
 */
export function movedToDay(
  task: Pick<Task, 'start' | 'due'>,
  day: DayNumber,
  clock: string,
): Pick<Task, 'start' | 'due'> {
  const anchor = anchorOf(task);
  if (!anchor) return { start: null, due: { kind: 'date', date: formatDate(day) } };
  return shiftedBy(task, (day - dayOn(anchor, clock)) * DAY);
}
