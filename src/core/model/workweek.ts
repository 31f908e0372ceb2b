import type { Weekday } from '../time/civil';
import { formatDate, weekdayOf } from '../time/civil';
import type { Workweek } from './others';

/** Hours and workplace of a day (day number): those of its weekday, unless the date has its own. */
export function workdayOf(day: number, workweek: Workweek): Workweek['days'][number] {
  return workweek.exceptions[formatDate(day)] ?? workweek.days[weekdayOf(day)]!;
}

/** The first day after one that has working hours; the very next when none of the next year's has. */
export function nextWorkday(day: number, workweek: Workweek): number {
  for (let next = day + 1; next <= day + 366; next++) {
    if (workdayOf(next, workweek).hours) return next;
  }
  return day + 1;
}

/** The weekdays that have working hours. */
export function workdaysOf({ days }: Workweek): Weekday[] {
  return days.flatMap(({ hours }, weekday) => (hours ? [weekday as Weekday] : []));
}
