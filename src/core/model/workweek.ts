import type { Weekday } from '../time/civil';
import { formatDate, weekdayOf } from '../time/civil';
import type { HourCycle } from '../time/words';
import { sayMinute } from '../time/words';
import type { DayNumber } from '../time/units';
import type { Workweek } from './others';

/** Hours and workplace of a day (day number): those of its weekday, unless the date has its own. */
export function workdayOf(day: DayNumber, workweek: Workweek): Workweek['days'][number] {
  return workweek.exceptions[formatDate(day)] ?? workweek.days[weekdayOf(day)]!;
}

/** "08:30 – 17:00, workshop", or "off". */
export function sayWorkday(
  { hours, workplace }: Workweek['days'][number],
  hourCycle: HourCycle,
): string {
  if (!hours) return 'off';
  const at = (minute: number) => sayMinute(minute, hourCycle);
  return [`${at(hours.from)} – ${at(hours.to)}`, workplace].filter(Boolean).join(', ');
}

const USUAL_HOURS = { from: 9 * 60, to: 17 * 60 };

/** Hours that words such as "morning" go by on a day: those of work, or the usual ones where nobody works by day. */
export function daytimeOf(day: DayNumber, workweek: Workweek): { from: number; to: number } {
  const { hours } = workdayOf(day, workweek);
  return hours !== null && hours.from < hours.to && hours.to <= 24 * 60 ? hours : USUAL_HOURS;
}

/** The first day after one that has working hours; the very next when none of the next year's has. */
export function nextWorkday(day: DayNumber, workweek: Workweek): number {
  for (let next = day + 1; next <= day + 366; next++) {
    if (workdayOf(next, workweek).hours) return next;
  }
  return day + 1;
}

/** The weekdays that have working hours. */
export function workdaysOf({ days }: Workweek): Weekday[] {
  return days.flatMap(({ hours }, weekday) => (hours ? [weekday as Weekday] : []));
}
