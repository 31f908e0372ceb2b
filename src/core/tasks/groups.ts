import { importanceOf } from '../model/importance';
import type { Task } from '../model/task';
import type { Weekday } from '../time/civil';
import { DAYS_A_WEEK, startOfWeek } from '../time/civil';
import type { DayNumber, EpochMs } from '../time/units';
import { wallOnClock } from '../editing/times';
import { dayOn, dueBy, isOverdue } from './due';

/** By what tasks are put together, and by what they follow each other within. */
export const TASK_GROUPINGS = [
  'due',
  'start',
  'calendar',
  'category',
  'event',
  'importance',
] as const;
export type TaskGrouping = (typeof TASK_GROUPINGS)[number];

export const TASK_ORDERS = ['due', 'start', 'importance', 'estimate', 'title'] as const;
export type TaskOrder = (typeof TASK_ORDERS)[number];

/** From where tasks are looked at, and what things are called. */
export interface GroupContext {
  /** Epoch ms */
  now: EpochMs;
  today: DayNumber;
  /** The person's clock. */
  clock: string;
  firstWeekday: Weekday;
  calendarName(id: string | undefined): string;
  categoryName(id: string): string;
  eventTitle(id: string): string;
}

export interface TaskGroup {
  name: string;
  tasks: Task[];
}

/** A group's place among the others, and its name. */
type Place = readonly [order: number | string, name: string];

/** Where a day lies as seen from today. */
function dayPlace(day: DayNumber, { today, firstWeekday }: GroupContext): Place {
  const nextWeek = startOfWeek(today, firstWeekday) + DAYS_A_WEEK;
  if (day < today) return [1, 'Before today'];
  if (day === today) return [2, 'Today'];
  if (day === today + 1) return [3, 'Tomorrow'];
  if (day < nextWeek) return [4, 'Later this week'];
  return day < nextWeek + DAYS_A_WEEK ? [5, 'Next week'] : [6, 'After that'];
}

const IMPORTANCE_PLACES = {
  high: [0, 'High importance'],
  usual: [1, 'Usual importance'],
  low: [2, 'Low importance'],
} as const satisfies Record<string, Place>;

function placesOf(task: Task, grouping: TaskGrouping, context: GroupContext): readonly Place[] {
  const { clock } = context;
  switch (grouping) {
    case 'due':
      if (isOverdue(task, context.now, clock)) return [[0, 'Overdue']];
      return [task.due ? dayPlace(dayOn(task.due, clock), context) : [7, 'Without a day']];
    case 'start':
      return [task.start ? dayPlace(dayOn(task.start, clock), context) : [7, 'Without a start']];
    case 'calendar': {
      const name = context.calendarName(task.calendarId);
      return [[name, name]];
    }
    case 'category': {
      const names = task.categoryIds.map((id) => context.categoryName(id));
      return names.length
        ? names.map((name) => [name, name] as const)
        : [['\uffff', 'Without a category']];
    }
    case 'event': {
      if (task.eventId === undefined) return [['\uffff', 'Of no event']];
      const title = context.eventTitle(task.eventId);
      return [[title, title]];
    }
    case 'importance':
      return [IMPORTANCE_PLACES[importanceOf(task.importance)]];
  }
}

const RANKS = { high: 0, usual: 1, low: 2 } as const;

/** What tasks are ordered by; of what is the same, the earlier due, then the title. */
function keysOf(task: Task, order: TaskOrder, clock: string): (number | string)[] {
  const due = dueBy(task, clock) ?? Infinity;
  const rank = RANKS[importanceOf(task.importance)];
  const title = task.title.toLocaleLowerCase('en');
  switch (order) {
    case 'due':
      return [due, rank, title];
    case 'start':
      return [task.start ? wallOnClock(task.start, clock) : Infinity, due, rank, title];
    case 'importance':
      return [rank, due, title];
    case 'estimate':
      return [task.estimate ?? Infinity, due, title];
    case 'title':
      return [title, due];
  }
}

function compare(a: readonly (number | string)[], b: readonly (number | string)[]): number {
  for (let i = 0; i < a.length; i++) {
    const [x, y] = [a[i]!, b[i]!];
    if (x !== y) return x < y ? -1 : 1;
  }
  return 0;
}

/** Tasks in an order; those that are equal in it stay as they are. */
export function inTaskOrder(tasks: readonly Task[], order: TaskOrder, clock: string): Task[] {
  return tasks
    .map((task) => ({ task, keys: keysOf(task, order, clock) }))
    .sort((a, b) => compare(a.keys, b.keys))
    .map(({ task }) => task);
}

/** Tasks put together, groups and tasks in their order. One of several categories is in each of them. */
export function groupTasks(
  tasks: readonly Task[],
  grouping: TaskGrouping,
  order: TaskOrder,
  context: GroupContext,
): TaskGroup[] {
  const groups = new Map<string, { place: Place; tasks: Task[] }>();
  for (const task of inTaskOrder(tasks, order, context.clock))
    for (const place of placesOf(task, grouping, context)) {
      const group = groups.get(place[1]);
      if (group) group.tasks.push(task);
      else groups.set(place[1], { place, tasks: [task] });
    }
  return [...groups.values()]
    .sort((a, b) => compare([a.place[0]], [b.place[0]]))
    .map(({ place, tasks: inside }) => ({ name: place[1], tasks: inside }));
}
