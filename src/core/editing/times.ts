import type { EventTime } from '../model/common';
import { dayOf, timeOfInstant, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf } from '../model/event';
import { DAY, dayOfWall, formatDate, formatLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { WallMs } from '../time/units';

/** The wall time at which a clock shows a time; floating times and dates are the same everywhere. */
export function wallOnClock(time: EventTime, clock: string): number {
  const zone = zoneOf(time);
  return zone === null ? wallOf(time) : wallFromInstant(instantFromWall(wallOf(time), zone), clock);
}

/** The time, in the kind and zone of `like`, at which a clock in `viewZone` shows `wall`. */
function timeLike(like: EventTime, wall: WallMs, viewZone: string): EventTime {
  if (like.kind === 'date') return { kind: 'date', date: formatDate(dayOfWall(wall)) };
  const zone = zoneOf(like);
  if (zone === null) return { kind: 'floating', local: formatLocal(wall) };
  const own = zone === viewZone ? wall : wallFromInstant(instantFromWall(wall, viewZone), zone);
  return { kind: 'zoned', local: formatLocal(own), zone };
}

/** The time a number of ms later that really pass; whole days for dates, by the clock when it floats. */
function later(time: EventTime, ms: number): EventTime {
  if (time.kind === 'date')
    return { kind: 'date', date: formatDate(dayOf(time) + Math.round(ms / DAY)) };
  const zone = zoneOf(time);
  const wall = wallOf(time);
  if (zone === null) return { ...time, local: formatLocal(wall + ms) };
  return timeOfInstant(instantFromWall(wall, zone) + ms, zone);
}

/** The same start, lasting a number of ms (see `durationOf`). An end in a zone of its own stays in it. */
export function withLength(
  { start, end }: Pick<CalendarEvent, 'start' | 'end'>,
  ms: number,
): Pick<CalendarEvent, 'start' | 'end'> {
  const moved = later(start, ms);
  const endZone = zoneOf(end);
  // An end in UTC is one that had no clear wall time on its start's clock (see `timeOfInstant`).
  const isOnStartsClock = endZone === null || endZone === 'UTC' || endZone === zoneOf(start);
  if (moved.kind !== 'zoned' || isOnStartsClock) return { start, end: moved };
  return { start, end: timeOfInstant(instantFromWall(wallOf(moved), moved.zone), endZone) };
}

/** Start and end of an event moved to begin at `wall` of `viewZone`, as long as before. */
export function movedTimes(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  wall: WallMs,
  viewZone: string,
): Pick<CalendarEvent, 'start' | 'end'> {
  const start = timeLike(event.start, wall, viewZone);
  return withLength({ start, end: event.end }, durationOf(event));
}

/** Start and end of an event with one of its ends put at `wall` of `viewZone`. */
export function stretchedTimes(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  edge: 'start' | 'end',
  wall: WallMs,
  viewZone: string,
): Pick<CalendarEvent, 'start' | 'end'> {
  return { start: event.start, end: event.end, [edge]: timeLike(event[edge], wall, viewZone) };
}
