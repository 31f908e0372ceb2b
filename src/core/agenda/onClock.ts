import type { CalendarEvent } from '../model/event';
import { isWholeDay } from '../model/event';
import type { EpochMs, WallMs } from '../time/units';
import { wallFromInstant } from '../time/zones';
import { placed } from './series';

/**
 * What a zone's clock shows at an end (wall ms). Where the clock was put back in between, so that it
 * shows less than at the start, the end lies as far from the start as time really passed.
 */
export function wallOfEnd({ from, to }: { from: EpochMs; to: EpochMs }, zone: string): WallMs {
  const start = wallFromInstant(from, zone);
  const end = wallFromInstant(to, zone);
  return end > start || to === from ? end : start + (to - from);
}

/** Where an event lies on a clock, in wall ms; whole days and floating times are the same on all. */
export function spanOnClock(event: Pick<CalendarEvent, 'start' | 'end'>, clock: string) {
  const { basis, ...place } = placed(event);
  const wholeDay = isWholeDay(event);
  return basis === 'wall'
    ? { start: place.from, end: place.to, wholeDay }
    : { start: wallFromInstant(place.from, clock), end: wallOfEnd(place, clock), wholeDay };
}
