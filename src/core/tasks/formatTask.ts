import type { EventTime } from '../model/common';
import { wallOf, zoneOf } from '../model/common';
import type { Task } from '../model/task';
import { sayRule } from '../recurrence/sayRule';
import { civilDate, minuteOfDay } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Wording } from '../time/words';
import { DATED_DAY, sayDay, sayLength, sayMinute, SHORT_DAY } from '../time/words';
import { wallOnClock } from '../editing/times';
import { anchorOf } from './asEvent';
import { dayOn } from './due';

/** From where times are said. */
export interface TaskWording extends Wording {
  clock: string;
  today: DayNumber;
}

const NEAR = 180;

/** A day as it is said from today: "today", "tomorrow", "yesterday", "Fri 27 Nov", or with its year. */
export function sayNearDay(day: DayNumber, wording: TaskWording): string {
  const away = day - wording.today;
  if (away === 0) return 'today';
  if (away === 1) return 'tomorrow';
  if (away === -1) return 'yesterday';
  return sayDay(day, wording, Math.abs(away) < NEAR ? SHORT_DAY : DATED_DAY);
}

/** A time of a task: its day, and its hour where it has one. */
export function sayTaskTime(time: EventTime, wording: TaskWording): string {
  const day = sayNearDay(dayOn(time, wording.clock), wording);
  if (time.kind === 'date') return day;
  const wall = wallOnClock(time, wording.clock);
  return `${day}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;
}

/** How a task repeats, in the middle of a sentence: "every Friday"; empty for once. */
function formatRepeat(task: Task, wording: TaskWording): string {
  const anchor = anchorOf(task);
  if (task.rule === undefined || !anchor) return '';
  const said = sayRule(task.rule, {
    start: wallOf(anchor),
    zone: zoneOf(anchor),
    wording,
    thisYear: civilDate(wording.today).year,
    left: null,
  });
  return said.charAt(0).toLowerCase() + said.slice(1);
}

/** What stands under the title of a task: "due Fri 27 Nov · 30 min · 40 % done". */
export function formatTask(task: Task, wording: TaskWording): string {
  const { due, start, estimate, percent, status } = task;
  const parts = [
    due ? `due ${sayTaskTime(due, wording)}` : '',
    start ? `from ${sayTaskTime(start, wording)}` : '',
    formatRepeat(task, wording),
    estimate === null ? '' : sayLength(estimate),
    status === 'started' && percent > 0 ? `${percent} % done` : '',
    status === 'dropped' ? 'dropped' : '',
  ];
  return parts.filter(Boolean).join(' · ');
}
