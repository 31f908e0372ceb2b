import type { Occurrence } from '../agenda/occurrence';
import { dayOfWall } from '../time/civil';
import type { DayNumber } from '../time/units';

/** Bars that begin on one day and are drawn: nobody can tell more of them apart, and a page can't draw any number. */
export const DRAWN_A_DAY = 300;

/**
 * What can be drawn of a sheet that begins at `fromDay` (day number): of each day the first that begin
 * on it, those that began earlier counted to the first day. `tooMany` is how many are left out.
 */
export function drawable(
  occurrences: Occurrence[],
  fromDay: DayNumber,
): { drawn: Occurrence[]; tooMany: number } {
  if (occurrences.length <= DRAWN_A_DAY) return { drawn: occurrences, tooMany: 0 };
  const counts = new Map<number, number>();
  const drawn = occurrences.filter((o) => {
    const day = Math.max(fromDay, dayOfWall(o.start));
    const nth = (counts.get(day) ?? 0) + 1;
    counts.set(day, nth);
    return nth <= DRAWN_A_DAY;
  });
  const tooMany = occurrences.length - drawn.length;
  return { drawn: tooMany ? drawn : occurrences, tooMany };
}
