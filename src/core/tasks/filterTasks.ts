import type { Calendar } from '../model/calendar';
import type { Task } from '../model/task';
import type { EventQuery } from '../query/eventQuery';
import { wholeTest } from '../query/eventQuery';
import type { Whole } from '../query/filterParts';
import { parseDate } from '../time/civil';
import { anchorOf, taskAsEvent } from './asEvent';
import { dayOn } from './due';

/** Where a task lies that has no day: nowhere that a question could ask for. */
const NOWHERE = { kind: 'date', date: '9999-12-30' } as const;

/** Whether the day of a task is among those that a question asks for. */
function isOnDays(task: Task, { filter }: Pick<EventQuery, 'filter'>, clock: string): boolean {
  if (!filter.dates) return true;
  const anchor = anchorOf(task);
  const { from, to } = filter.dates;
  const day = anchor && dayOn(anchor, clock);
  const isWithin =
    day !== null &&
    (from === null || day >= parseDate(from)) &&
    (to === null || day <= parseDate(to));
  return isWithin !== filter.not.includes('dates');
}

/** What is known of what a task lies on and is labelled with, and what is found about it. */
export interface TaskSurroundings extends Pick<Whole, 'categoryOf' | 'foundBy'> {
  calendarOf(id: string): Calendar | undefined;
}

/**
 * Makes the test whether a task passes a filter: the same that events pass, by what a task has.
 * `clock` is that by which days are meant.
 */
export function taskTest(
  query: Pick<EventQuery, 'filter' | 'now'>,
  clock: string,
  { calendarOf, ...others }: TaskSurroundings,
): (task: Task) => boolean {
  // Days are of one date, whatever its rule; and what is over may still be to do.
  const passes = wholeTest({
    ...query,
    filter: { ...query.filter, dates: null, isPastHidden: false },
  });
  return (task) => {
    const anchor = anchorOf(task) ?? NOWHERE;
    const event = taskAsEvent(task, anchor);
    const calendar = task.calendarId === undefined ? undefined : calendarOf(task.calendarId);
    return isOnDays(task, query, clock) && passes({ event, calendar, ...others });
  };
}
