import { clearMinutes } from '../agenda/clear';
import type { Stretch } from '../agenda/booked';
import type { Task } from '../model/task';
import { isOpen } from '../model/task';
import type { DayNumber } from '../time/units';
import { dayOn } from './due';

/** The tightest of the days by which things are to be done. */
export interface Effort {
  /** Day number; what is to be done by its end. */
  day: DayNumber;
  /** Minutes that are thought to be needed until then, and clear working minutes that are left. */
  needed: number;
  clear: number;
}

/** What is known about the time that is left. */
export interface TimeLeft {
  clock: string;
  /** Clear working stretches of a day (wall ms on the clock), from now on. */
  clearOn(day: DayNumber): readonly Stretch[];
  /** Minutes of blocks to come that a task has on the sheet already. */
  blocked(taskId: string): number;
}

/** Minutes that are still to be found for a task: what it is thought to take, without its blocks to come. */
export const openMinutes = (task: Task, blocked: number): number =>
  Math.max(0, Math.round(((task.estimate ?? 0) * (100 - task.percent)) / 100) - blocked);

/**
 * By which day the open tasks leave least room, of all days by which some are due from today to
 * `lastDay`; null when none of them has both a due and an estimate. What is overdue is due today.
 */
export function effort(
  tasks: readonly Task[],
  today: DayNumber,
  lastDay: DayNumber,
  { clock, clearOn, blocked }: TimeLeft,
): Effort | null {
  const needs = new Map<DayNumber, number>();
  for (const task of tasks) {
    if (!isOpen(task) || !task.due) continue;
    const minutes = openMinutes(task, blocked(task.id));
    const day = Math.max(today, dayOn(task.due, clock));
    if (minutes > 0 && day <= lastDay) needs.set(day, (needs.get(day) ?? 0) + minutes);
  }
  let tightest: Effort | null = null;
  let needed = 0;
  let clear = 0;
  let counted = today;
  for (const day of [...needs.keys()].sort((a, b) => a - b)) {
    needed += needs.get(day)!;
    for (; counted <= day; counted++) clear += clearMinutes(clearOn(counted), clock);
    const isTighter = !tightest || needed - clear > tightest.needed - tightest.clear;
    if (isTighter) tightest = { day, needed, clear };
  }
  return tightest;
}
