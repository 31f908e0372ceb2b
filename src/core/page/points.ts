import type { AgendaPoint } from '../model/eventFields';
import { MINUTE } from '../time/civil';
import { count, sayLength } from '../time/words';
import type { WallMs } from '../time/units';

/** Minutes that a point is given at the end of its line: "Crate sizes, 10 min", "Freight (1 h)". */
const GIVEN = /[\s,;(–-]+(\d{1,3})\s*(m|min|mins|minutes?|h|hrs?|hours?|')\s*\)?\s*$/i;
const MOST_MINUTES = 24 * 60;

/** What a typed line says of a point: its text, and the minutes that it is given (0 where none are said). */
export function readPoint(line: string): Pick<AgendaPoint, 'text' | 'minutes'> {
  const text = line.trim();
  const given = GIVEN.exec(text);
  if (!given || given.index === 0) return { text, minutes: 0 };
  const minutes = Number(given[1]) * (/^h/i.test(given[2]!) ? 60 : 1);
  if (minutes > MOST_MINUTES) return { text, minutes: 0 };
  return { text: text.slice(0, given.index).trim(), minutes };
}

/** Minutes that points are given, altogether. */
const minutesOfPoints = (points: readonly AgendaPoint[]): number =>
  points.reduce((sum, { minutes }) => sum + minutes, 0);

/** What is left open, in its order. */
export const openPoints = (points: readonly AgendaPoint[]): AgendaPoint[] =>
  points.filter(({ done }) => !done);

/** The sum of points against the length of their event: "3 points, 45 min of 1 h" or "… 15 min too long". `length` is in minutes. */
export function sayPoints(points: readonly AgendaPoint[], length: number): string {
  const sum = minutesOfPoints(points);
  const said = count(points.length, 'point');
  if (!sum) return said;
  if (!length) return `${said}, ${sayLength(sum)}`;
  return sum > length
    ? `${said}, ${sayLength(sum)}: ${sayLength(sum - length)} too long`
    : `${said}, ${sayLength(sum)} of ${sayLength(length)}`;
}

/** When each point begins if each takes what it is given, wall ms; null from the first on that is given nothing. */
export function beginnings(points: readonly AgendaPoint[], start: WallMs): (WallMs | null)[] {
  let at: WallMs | null = minutesOfPoints(points) > 0 ? start : null;
  return points.map(({ minutes }) => {
    const begins = at;
    if (at !== null) at = minutes > 0 ? at + minutes * MINUTE : null;
    return begins;
  });
}

/**
 * Points with what another time left open, after those that are there; what stands there already by
 * the same words is not put there twice. `newId` names each.
 */
export function carriedOn(
  from: readonly AgendaPoint[],
  into: readonly AgendaPoint[],
  newId: () => string,
): AgendaPoint[] {
  const words = ({ text }: AgendaPoint) => text.trim().toLowerCase();
  const there = new Set(into.map(words));
  const carried = openPoints(from).filter((point) => !there.has(words(point)));
  return [...into, ...carried.map((point) => ({ ...point, id: newId(), done: false }))];
}

/** Points in another order: the one at `from` goes to `to`; places outside of the list change nothing. */
export function movedPoint(
  points: readonly AgendaPoint[],
  from: number,
  to: number,
): readonly AgendaPoint[] {
  const moved = points[from];
  if (!moved || to < 0 || to >= points.length) return points;
  return points.toSpliced(from, 1).toSpliced(to, 0, moved);
}
