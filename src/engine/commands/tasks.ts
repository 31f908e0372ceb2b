import { wallOf } from '@/core/model/common';
import type { BulkStep } from '@/core/model/bulkSteps';
import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import type { Task } from '@/core/model/task';
import { revisedTask } from '@/core/model/task';
import { quotedTitle } from '@/core/model/titleOf';
import type { EventTime } from '@/core/model/common';
import { inTaskOrder } from '@/core/tasks/groups';
import { taskAfter } from '@/core/tasks/bulkTasks';
import { isInTime } from '@/core/tasks/due';
import { movedToDay } from '@/core/tasks/shift';
import type { TaskEdit } from '@/core/tasks/tick';
import { ticked, unticked } from '@/core/tasks/tick';
import { dayOfWall, formatDate, formatLocal, minuteOfDay } from '@/core/time/civil';
import type { DayNumber, EpochMs, WallMs } from '@/core/time/units';
import { count, SHORT_DAY, sayDay, sayMinute } from '@/core/time/words';
import { zoneOnDay } from '@/core/time/sheetClock';
import { wallFromInstant } from '@/core/time/zones';
import { UserError } from '@/core/userError';
import type { Edit } from '../change';
import { eventEdit } from './events';
import type { Planner, Records } from './plan';

const taskEdit = ({ before, after }: TaskEdit): Edit => ({ type: 'task', before, after });

/** @throws UserError when it is not there any more. */
function taskOf(records: Records, id: string): Task {
  const task = records.get('task', id);
  if (!task || task.removedAt !== undefined)
    throw new UserError('gone', 'This task is not here any more.');
  return task;
}

const tasksOf = (records: Records, ids: readonly string[]): Task[] =>
  ids.flatMap((id) => {
    const task = records.get('task', id);
    return task && task.removedAt === undefined ? [task] : [];
  });

/** "“Order shellac”", or "3 tasks". */
const named = (tasks: readonly Task[]): string =>
  tasks.length === 1 ? quotedTitle(tasks[0]!) : count(tasks.length, 'task');

/** Makes a task (`before` null), or keeps it as it was made in its editor from how it stood then. */
export const keepTask: Planner<{ before: Task | null; task: Task }> = (
  { now, saying },
  { before, task },
) => {
  const { due } = task;
  const by = due ? `, due ${sayDay(dayOfWall(wallOf(due)), saying.wording, SHORT_DAY)}` : '';
  return before
    ? {
        label: `Changed ${quotedTitle(task)}`,
        edits: [{ type: 'task', before, after: revisedTask(task, {}, now) }],
      }
    : {
        label: `Added the task ${quotedTitle(task)}${by}`,
        edits: [{ type: 'task', before: null, after: task }],
      };
};

/** Does tasks, or takes that back. One that repeats goes on to its next date. `clock` is the person's. */
export const tickTasks: Planner<{ ids: readonly string[]; isDone: boolean; clock: string }> = (
  { records, now, newId },
  { ids, isDone, clock },
) => {
  const tasks = tasksOf(records, ids).filter(({ status }) => (status === 'done') !== isDone);
  if (!tasks.length) return null;
  const edits = tasks.flatMap((task) =>
    isDone ? ticked(task, { now, clock, id: newId() }) : [unticked(task, now)],
  );
  return {
    label: `${isDone ? 'Did' : 'Took up again'} ${named(tasks)}`,
    edits: edits.map(taskEdit),
  };
};

/** Has tasks due on a day (day number on the clock). */
export const moveTasks: Planner<{ ids: readonly string[]; day: DayNumber; clock: string }> = (
  { records, now, saying },
  { ids, day, clock },
) => {
  const tasks = tasksOf(records, ids);
  if (!tasks.length) return null;
  return {
    label: `Moved ${named(tasks)} to ${sayDay(day, saying.wording, SHORT_DAY)}`,
    edits: tasks.map((before) =>
      taskEdit({ before, after: revisedTask(before, movedToDay(before, day, clock), now) }),
    ),
  };
};

export const removeTasks: Planner<{ ids: readonly string[] }> = ({ records, now }, { ids }) => {
  const tasks = tasksOf(records, ids);
  if (!tasks.length) return null;
  return {
    label: `Removed ${named(tasks)}`,
    edits: tasks.map((before) =>
      taskEdit({ before, after: revisedTask(before, { removedAt: now }, now) }),
    ),
  };
};

/** Several things that are to be done to many tasks. `clock` is the person's. */
export interface TaskChangeRequest {
  ids: readonly string[];
  steps: readonly BulkStep[];
  clock: string;
}

/**
 * What becomes of many tasks by several steps, in order of when they are due.
 * @throws UserError for a pattern that can't be used.
 */
export function changedTasks(
  records: Records,
  { ids, steps, clock }: TaskChangeRequest,
  now: EpochMs,
): { before: Task; after: Task; isChanged: boolean }[] {
  const today: EventTime = {
    kind: 'date',
    date: formatDate(dayOfWall(wallFromInstant(now, clock))),
  };
  return inTaskOrder(tasksOf(records, ids), 'due', clock).map((before, nth) => {
    const fields = taskAfter(before, steps, { nth, clock, today });
    const isChanged = JSON.stringify({ ...before, ...fields }) !== JSON.stringify(before);
    return { before, after: isChanged ? revisedTask(before, fields, now) : before, isChanged };
  });
}

/** Does several things to many tasks. @throws UserError for a pattern that can't be used. */
export const changeTasks: Planner<TaskChangeRequest> = ({ records, now }, request) => {
  const changed = changedTasks(records, request, now).filter(({ isChanged }) => isChanged);
  if (!changed.length) return null;
  return { label: `Changed ${count(changed.length, 'task')}`, edits: changed.map(taskEdit) };
};

/** Notes how a task stands after a block of time for it, in percent: it is not asked again until the next one. */
export const sayTaskStands: Planner<{ id: string; percent: number }> = (
  { records, now },
  { id, percent },
) => {
  const before = taskOf(records, id);
  const fields: Partial<Task> = {
    stoodAt: now,
    percent,
    status: percent > 0 ? 'started' : before.status,
  };
  return {
    label: `${quotedTitle(before)} stands at ${percent} %`,
    edits: [taskEdit({ before, after: revisedTask(before, fields, now) })],
  };
};

/** Takes tasks back from Removed. */
export const bringBackTasks: Planner<{ ids: readonly string[] }> = ({ records, now }, { ids }) => {
  const tasks = ids.flatMap((id) => {
    const task = records.get('task', id);
    return task?.removedAt === undefined ? [] : [task];
  });
  if (!tasks.length) return null;
  return {
    label: `Brought back ${named(tasks)}`,
    edits: tasks.map((before) => {
      const { removedAt: _gone, ...kept } = before;
      return taskEdit({ before, after: revisedTask(kept, {}, now) });
    }),
  };
};

/** A stretch of time for a task, wall ms on a clock. */
export interface WantedBlock {
  taskId: string;
  start: WallMs;
  end: WallMs;
}

/** Puts blocks of time for tasks on the sheet. `calendarId` is for tasks that lie on none. */
export const placeBlocks: Planner<{
  blocks: readonly WantedBlock[];
  calendarId: string;
  clock: string;
}> = ({ records, now, newId, saying }, { blocks, calendarId, clock }) => {
  const made = blocks.map(({ taskId, start, end }) => {
    const task = taskOf(records, taskId);
    const time = (wall: WallMs): EventTime => ({
      kind: 'zoned',
      local: formatLocal(wall),
      // On days of travel the clock is that of the place.
      zone: zoneOnDay(clock, dayOfWall(wall)),
    });
    return newEvent(
      {
        id: newId(),
        calendarId: task.calendarId ?? calendarId,
        title: task.title,
        categoryIds: task.categoryIds,
        start: time(start),
        end: time(end),
        taskId,
      },
      now,
    );
  });
  const [first] = made;
  if (!first) return null;
  const isLate = ({ taskId, end }: CalendarEvent) =>
    !isInTime(taskOf(records, taskId!), end, clock);
  const late = made.filter(isLate).length;
  const at = wallOf(first.start);
  const when = `${sayDay(dayOfWall(at), saying.wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(at), saying.wording.hourCycle)}`;
  return {
    label:
      made.length === 1
        ? `Gave time to ${quotedTitle(first)}: ${when}${late ? ', after it is due' : ''}`
        : `Gave time to tasks: ${count(made.length, 'block')}${late ? `, ${late} after they are due` : ''}`,
    edits: made.map((event) => eventEdit(null, event)),
    ...(made.length === 1 && { about: first.id }),
  };
};
