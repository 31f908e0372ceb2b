import { civilDate, dayOfWall } from '../time/civil';
import type { Jot } from './jot';

/**
 * Whether a line says a day and a month in figures that have two orders, so that its two readings differ in
 * nothing but that: "3/12".
 */
export function isOrderOpen(read: Pick<Jot, 'start'>, other: Pick<Jot, 'start'> | null): boolean {
  if (!other || read.start === other.start) return false;
  const [a, b] = [read, other].map(({ start }) => civilDate(dayOfWall(start)));
  return a!.day === b!.month && a!.month === b!.day;
}
