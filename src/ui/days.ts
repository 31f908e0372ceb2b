import { civilDate, dayNumber } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';

/** The Date that a date picker wants for a day number: its midnight on the browser's clock. */
export function dateOfDay(day: DayNumber): Date {
  const { year, month, day: date } = civilDate(day);
  return new Date(year, month - 1, date);
}

/** The day number that a date picker's Date means. */
export function dayOfDate(date: Date): number {
  return dayNumber(date.getFullYear(), date.getMonth() + 1, date.getDate());
}
