import type { EventTime } from '../model/common';
import { wallOnClock } from '../editing/times';
import { dayOf, wallOf, zoneOf } from '../model/common';
import type { Task } from '../model/task';
import { isOpen } from '../model/task';
import { DAY, dayOfWall } from '../time/civil';
import type { DayNumber, EpochMs } from '../time/units';
import { instantOf } from '../time/zones';

/** The day on which a time is on a clock (an IANA zone); a date is that date everywhere. */
export function dayOn(time: EventTime, clock: string): DayNumber {
  return time.kind === 'zoned' ? dayOfWall(wallOnClock(time, clock)) : dayOf(time);
}

/** The instant by which a task is to be done (epoch ms): a date lasts to its end. Null without one. */
export function dueBy({ due }: Pick<Task, 'due'>, clock: string): EpochMs | null {
  if (!due) return null;
  const wall = due.kind === 'date' ? wallOf(due) + DAY : wallOf(due);
  return instantOf(wall, zoneOf(due), clock);
}

/** Whether a time is not after a task is due, what floats being on the clock; what is never due is in time. */
export function isInTime(task: Pick<Task, 'due'>, time: EventTime, clock: string): boolean {
  const by = dueBy(task, clock);
  return by === null || instantOf(wallOf(time), zoneOf(time), clock) <= by;
}

/** Whether a task should have been done by now (epoch ms). */
export function isOverdue(
  task: Pick<Task, 'due' | 'status'>,
  now: EpochMs,
  clock: string,
): boolean {
  const by = dueBy(task, clock);
  return by !== null && by <= now && isOpen(task);
}
