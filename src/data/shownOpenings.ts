import type { OpeningRun } from '@/core/people/openings';
import { dayOfWall, MINUTE, minuteOfDay } from '@/core/time/civil';
import type { DayNumber, WallMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import type { Guest } from '@/engine/people/people';
import { outsideState } from './outsideState';

/** Openings that the sheet has as bands behind its events, for the person to see and draw in. */
export interface ShownOpenings {
  /** For whom: "Ida and Tomas". */
  names: string;
  /** Whether they are clear for all, or only the least in the way. */
  isClear: boolean;
  /** Stretches of days, in minutes, by day number. */
  bands: ReadonlyMap<DayNumber, readonly Band[]>;
  guests: readonly Guest[];
  /** How long what is looked for lasts. */
  minutes: number;
  /** Times that were drawn to be offered (starts on the sheet's clock); null while nothing is offered. */
  offered: readonly WallMs[] | null;
}

/** A stretch of a day, in minutes of it. */
interface Band {
  from: number;
  to: number;
  /** Whether it is a time to be offered. */
  isOffered?: boolean;
}

const shown = outsideState<ShownOpenings | null>(null);

export const useShownOpenings = () => shown.useValue();

export const hideOpenings = () => shown.put(null);

const NONE: readonly Band[] = [];

/** The bands of a day, with the times on it that are to be offered. */
export function useBandsOn(day: DayNumber): readonly Band[] {
  const all = shown.useValue();
  const clear = all?.bands.get(day) ?? NONE;
  const offered = all?.offered?.filter((start) => dayOfWall(start) === day) ?? [];
  if (!all || !offered.length) return clear;
  const bands = offered.map((start) => {
    const from = minuteOfDay(start);
    return { from, to: Math.min(24 * 60, from + all.minutes), isOffered: true };
  });
  return [...clear, ...bands];
}

/** Begins to offer times that are drawn on the sheet, or ends it. */
export function offerDrawn(isOffering: boolean): void {
  const all = shown.get();
  if (all) shown.put({ ...all, offered: isOffering ? [] : null });
}

/** Takes a drawn span as a time to offer; all of them last as long as the last. False where nothing is offered. */
export function addOffered({ start, end }: { start: WallMs; end: WallMs }): boolean {
  const all = shown.get();
  if (!all?.offered) return false;
  const offered = [...new Set([...all.offered, start])].sort((a, b) => a - b);
  shown.put({ ...all, offered, minutes: Math.max(5, Math.round((end - start) / MINUTE)) });
  return true;
}

export function dropOffered(start: WallMs): void {
  const all = shown.get();
  if (all?.offered) shown.put({ ...all, offered: all.offered.filter((one) => one !== start) });
}

/**
 * Puts openings on the sheet: those that are clear for all, or where there are none the best. Answers
 * with the first day (day number) that has one; null for none.
 */
export function showOpenings(
  runs: readonly OpeningRun[],
  { names, guests, minutes }: Pick<ShownOpenings, 'names' | 'guests' | 'minutes'>,
  clock: string,
): DayNumber | null {
  const least = Math.min(...runs.map(({ weight }) => weight));
  const bands = new Map<DayNumber, Band[]>();
  for (const { day, first, end, weight } of runs) {
    if (weight > least) continue;
    const last = wallFromInstant(end, clock);
    const to = dayOfWall(last) > day ? 24 * 60 : minuteOfDay(last);
    const band = { from: minuteOfDay(wallFromInstant(first, clock)), to };
    bands.set(day, [...(bands.get(day) ?? []), band]);
  }
  shown.put({ names, guests, minutes, isClear: least === 0, bands, offered: null });
  return bands.size ? Math.min(...bands.keys()) : null;
}
