import { repeatOf, withRepeat } from '../editing/repeating';
import { wallOf } from '../model/common';
import type { Task } from '../model/task';
import type { Repeat } from '../recurrence/repeat';
import { NO_REPEAT } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import { anchorOf, taskAsEvent } from './asEvent';
import { shiftedBy } from './shift';

/** How a task repeats, as its editor shows it; one without a day does not. */
export function repeatOfTask(task: Task, workdays: readonly Weekday[]): Repeat {
  const anchor = anchorOf(task);
  return anchor ? repeatOf(taskAsEvent(task, anchor), workdays) : NO_REPEAT;
}

/** A task that repeats as was chosen: it is due on the first day from its own on that the repeat has. */
export function withTaskRepeat(task: Task, repeat: Repeat, workdays: readonly Weekday[]): Task {
  const anchor = anchorOf(task);
  const { rule: _rule, ...single } = task;
  if (!anchor) return single;
  const { rule, start } = withRepeat(taskAsEvent(task, anchor), repeat, workdays);
  const moved = shiftedBy(task, wallOf(start) - wallOf(anchor));
  return { ...single, ...moved, ...(rule !== undefined && { rule }) };
}
