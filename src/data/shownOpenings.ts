import type { OpeningRun } from '@/core/people/openings';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import { outsideState } from './outsideState';

/** Openings that the sheet has as bands behind its events, for the person to see and draw in. */
export interface ShownOpenings {
  /** For whom: "Ida and Tomas". */
  names: string;
  /** Whether they are clear for all, or only the least in the way. */
  isClear: boolean;
  /** Stretches of days, in minutes, by day number. */
  bands: ReadonlyMap<DayNumber, readonly { from: number; to: number }[]>;
}

const shown = outsideState<ShownOpenings | null>(null);

export const useShownOpenings = () => shown.use();

export const hideOpenings = () => shown.put(null);

const NONE: readonly { from: number; to: number }[] = [];

/** The bands of a day. */
export const useBandsOn = (day: DayNumber) => shown.use((all) => all?.bands.get(day) ?? NONE);

/**
 * Puts openings on the sheet: those that are clear for all, or where there are none the best. Answers
 * with the first day (day number) that has one; null for none.
 */
export function showOpenings(
  runs: readonly OpeningRun[],
  names: string,
  clock: string,
): DayNumber | null {
  const least = Math.min(...runs.map(({ weight }) => weight));
  const bands = new Map<DayNumber, { from: number; to: number }[]>();
  for (const { day, first, end, weight } of runs) {
    if (weight > least) continue;
    const last = wallFromInstant(end, clock);
    const to = dayOfWall(last) > day ? 24 * 60 : minuteOfDay(last);
    const band = { from: minuteOfDay(wallFromInstant(first, clock)), to };
    bands.set(day, [...(bands.get(day) ?? []), band]);
  }
  shown.put({ names, isClear: least === 0, bands });
  return bands.size ? Math.min(...bands.keys()) : null;
}
