import { seriesOf } from '../editing/series/dates';
import { wallOf, zoneOf } from '../model/common';
import { uidOf } from '../model/event';
import type { Task } from '../model/task';
import { revisedTask } from '../model/task';
import { parseRule } from '../recurrence/rule';
import { nextStarts } from '../recurrence/walk';
import { writeRule } from '../recurrence/writeRule';
import { DAY, dayOfWall } from '../time/civil';
import type { EpochMs, WallMs } from '../time/units';
import { wallFromInstant } from '../time/zones';
import { anchorOf, taskAsEvent } from './asEvent';
import { shiftedBy } from './shift';

export interface TaskEdit {
  before: Task | null;
  after: Task;
}

export interface TickManner {
  /** Epoch ms */
  now: EpochMs;
  /** The person's clock: a date that is over there is not made again. */
  clock: string;
  /** A name for the one that is done, where the task itself goes on. */
  id: string;
}

/** The most dates of a rule that are counted past. */
const MOST_PASSED = 5000;

/** The next date of a repeating task that is not over yet, and how many of its dates lie before it. */
function nextDate(task: Task, today: WallMs): { wall: WallMs; passed: number } | null {
  const anchor = anchorOf(task);
  if (!anchor || task.rule === undefined) return null;
  const series = seriesOf(taskAsEvent(task, anchor));
  const first = wallOf(anchor);
  const [next] = nextStarts(series, Math.max(first + 1, today), 1);
  if (next === undefined) return null;
  const starts = nextStarts(series, first, MOST_PASSED);
  return { wall: next, passed: starts.filter((wall) => wall < next).length };
}

/** A rule that begins so many of its dates later: COUNT (RFC 5545 §3.3.10) tells how many are left. */
function ruleAfter(text: string, passed: number): string {
  const rule = parseRule(text);
  if (rule.count === undefined) return text;
  return writeRule({ ...rule, count: Math.max(1, rule.count - passed) });
}

const done = (now: EpochMs) => ({ status: 'done' as const, percent: 100, doneAt: now });

/**
 * What ticking a task makes of it. One that repeats goes on to its next date that is not over, and
 * what was done stays as a task of its own.
 */
export function ticked(task: Task, { now, clock, id }: TickManner): TaskEdit[] {
  const anchor = anchorOf(task);
  const zone = anchor ? (zoneOf(anchor) ?? clock) : clock;
  const today = dayOfWall(wallFromInstant(now, zone)) * DAY;
  const next = anchor && nextDate(task, today);
  if (!anchor || !next || task.rule === undefined)
    return [{ before: task, after: revisedTask(task, done(now), now) }];
  const { rule, ...single } = task;
  const goesOn = {
    ...shiftedBy(task, next.wall - wallOf(anchor)),
    rule: ruleAfter(rule, next.passed),
    status: 'open' as const,
    percent: 0,
    doneAt: null,
  };
  return [
    { before: task, after: revisedTask(task, goesOn, now) },
    {
      before: null,
      after: {
        ...single,
        ...done(now),
        id,
        uid: uidOf(id),
        created: now,
        updated: now,
        revision: 0,
      },
    },
  ];
}

/** A task that was done, to be done again. */
export const unticked = (task: Task, now: EpochMs): TaskEdit => ({
  before: task,
  after: revisedTask(task, { status: 'open', percent: 0, doneAt: null }, now),
});
