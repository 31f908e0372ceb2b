import { applied, readyStep } from '../bulk/apply';
import type { EventTime } from '../model/common';
import { dayOf } from '../model/common';
import type { BulkStep, StepKind } from '../model/bulkSteps';
import type { Task } from '../model/task';
import { DAY, formatDate } from '../time/civil';
import { anchorOf, taskAsEvent } from './asEvent';
import { shiftedBy } from './shift';

/** Steps that can be done to tasks: what they have no field for is left out. */
export const FOR_TASKS: ReadonlySet<StepKind> = new Set<StepKind>([
  'shiftDays',
  'calendar',
  'categories',
  'importance',
  'reminders',
  'text',
  'replace',
  'prefix',
  'suffix',
  'trim',
  'number',
]);

const isForTasks = ({ kind }: BulkStep): boolean => FOR_TASKS.has(kind);

/**
 * A task after several steps, the same that events are changed by; `nth` is its place among all, from 0.
 * @throws RangeError, in words for the person, for a pattern that can't be used.
 */
export function taskAfter(
  task: Task,
  steps: readonly BulkStep[],
  { nth, clock, today }: { nth: number; clock: string; today: EventTime },
): Partial<Task> {
  const anchor = anchorOf(task);
  const before = taskAsEvent(task, today);
  const context = { viewZone: clock, nth, calendar: undefined };
  const { after } = applied(before, steps.filter(isForTasks).map(readyStep), context);
  const days = dayOf(after.start) - dayOf(before.start);
  return {
    title: after.title,
    notes: after.notes,
    link: after.link,
    importance: after.importance,
    categoryIds: after.categoryIds,
    reminders: after.reminders ?? [],
    ...(after.calendarId && { calendarId: after.calendarId }),
    ...(days !== 0 &&
      (anchor
        ? shiftedBy(task, days * DAY)
        : { due: { kind: 'date' as const, date: formatDate(dayOf(today) + days) } })),
  };
}
