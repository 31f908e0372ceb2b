import type { Stretch } from '../agenda/booked';
import { mergeStretches } from '../agenda/booked';
import type { Occurrence } from '../agenda/occurrence';
import { isBooked, takenMs } from '../agenda/occurrence';
import type { Availability } from '../model/common';
import type { EpochMs } from '../time/units';

/** How time can be taken: all kinds of availability but free (FBTYPE, RFC 5545 §3.2.9). */
export type Taken = Exclude<Availability, 'free'>;

const TAKEN = ['tentative', 'busy', 'away'] as const satisfies readonly Taken[];

/** Somebody's time that is taken; instants, the end excluded. */
export interface BusyStretch {
  start: EpochMs;
  end: EpochMs;
  taken: Taken;
}

/** The stretches that occurrences take of somebody's time, with the way there and back. Those of no length take none. */
export function busyOf(occurrences: readonly Occurrence[]): BusyStretch[] {
  return occurrences.flatMap((o) => {
    if (!isBooked(o)) return [];
    const { start, end } = o.wholeDay ? { start: o.startMs, end: o.endMs } : takenMs(o);
    return end > start ? [{ start, end, taken: o.availability as Taken }] : [];
  });
}

/** The same time with stretches of one kind that touch or overlap as one, each kind by itself, in order of start. */
export const mergedBusy = (stretches: readonly BusyStretch[]): BusyStretch[] =>
  TAKEN.flatMap((taken) =>
    mergeStretches(stretches.filter((one) => one.taken === taken)).map(
      ({ start, end }: Stretch) => ({ start, end, taken }),
    ),
  ).sort((a, b) => a.start - b.start || a.end - b.end);
