import { civilDate, dayOfWall, minuteOfDay } from '../time/civil';
import type { Jot } from './jot';

/** What a choice between two readings of a line says of the lines to come. */

const NOON = 12 * 60;
type Start = Pick<Jot, 'start'>;

/**
 * Whether a line says a day and a month in figures that have two orders, so that its two readings differ in
 * nothing but that: "3/12".
 */
export function isOrderOpen(read: Start, other: Start | null): boolean {
  if (!other || read.start === other.start) return false;
  const [a, b] = [read, other].map(({ start }) => civilDate(dayOfWall(start)));
  return a!.day === b!.month && a!.month === b!.day;
}

/** Which half of the day a reading has a bare hour in, where the other has the other half; else null. */
export function halfOf(
  read: Start & Pick<Jot, 'wholeDay'>,
  other: (Start & Pick<Jot, 'wholeDay'>) | null,
): { minute: number; half: 'am' | 'pm' } | null {
  if (!other || read.wholeDay || other.wholeDay) return null;
  const [minute, another] = [read, other].map(({ start }) => minuteOfDay(start));
  if (Math.abs(minute! - another!) !== NOON) return null;
  return { minute: minute! % NOON, half: minute! < NOON ? 'am' : 'pm' };
}

/** What tells two readings of one line apart. */
export const readingKey = ({ title, zone, start, end, calendarId, repeat }: Jot): string =>
  JSON.stringify([title, zone, start, end, calendarId, repeat.pattern]);
