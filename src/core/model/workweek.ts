import { formatDate, weekdayOf } from '../time/civil';
import type { Workweek } from './others';

/** Hours and workplace of a day (day number): those of its weekday, unless the date has its own. */
export function workdayOf(day: number, workweek: Workweek): Workweek['days'][number] {
  return workweek.exceptions[formatDate(day)] ?? workweek.days[weekdayOf(day)]!;
}
