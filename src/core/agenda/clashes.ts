import type { Occurrence } from './occurrence';
import { isBooked, takenMs, takenWall } from './occurrence';
import type { EpochMs } from '../time/units';

/** Two occurrences that want the person at the same time; wall ms, the end exclusive. */
export interface Clash {
  first: Occurrence;
  second: Occurrence;
  start: number;
  end: number;
}

/** Whether an occurrence can clash: it has hours and takes them. */
const competes = (o: Occurrence) => !o.wholeDay && isBooked(o) && o.end > o.start;

/** Pairs that are looked for: of a thousand events at one hour there would be half a million. */
export const MOST_CLASHES = 1000;

/**
 * The pairs of booked, timed occurrences that overlap, with the way there and back, in order of the
 * overlap; the first MOST_CLASHES of them. With `concerns`, only pairs of which one is meant.
 */
export function findClashes(
  occurrences: readonly Occurrence[],
  concerns: (o: Occurrence) => boolean = () => true,
): Clash[] {
  const timed = occurrences
    .filter(competes)
    .map((o) => ({ o, ms: takenMs(o), wall: takenWall(o) }))
    .sort((a, b) => a.ms.start - b.ms.start);
  const clashes: Clash[] = [];
  for (const [i, first] of timed.entries()) {
    for (let j = i + 1; j < timed.length && timed[j]!.ms.start < first.ms.end; j++) {
      if (clashes.length === MOST_CLASHES) return clashes;
      const second = timed[j]!;
      if (!concerns(first.o) && !concerns(second.o)) continue;
      clashes.push({
        first: first.o,
        second: second.o,
        start: Math.max(first.wall.start, second.wall.start),
        end: Math.min(first.wall.end, second.wall.end),
      });
    }
  }
  return clashes;
}

/** The booked, timed occurrences that overlap a span (epoch ms), without those of `exceptEventId`. */
export function clashesWith(
  occurrences: readonly Occurrence[],
  span: { startMs: EpochMs; endMs: EpochMs },
  exceptEventId: string | null,
): Occurrence[] {
  return occurrences.filter((o) => {
    if (!competes(o) || o.eventId === exceptEventId) return false;
    const { start, end } = takenMs(o);
    return start < span.endMs && end > span.startMs;
  });
}
