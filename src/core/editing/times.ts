import type { EventTime } from '../model/common';
import { dayOf, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf } from '../model/event';
import { DAY, dayOfWall, formatDate, formatLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';

/** The time, in the kind and zone of `like`, at which a clock in `viewZone` shows `wall`. */
function timeLike(like: EventTime, wall: number, viewZone: string): EventTime {
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
  const end = zone === null ? wall + ms : wallFromInstant(instantFromWall(wall, zone) + ms, zone);
  return { ...time, local: formatLocal(end) };
}

/** Start and end of an event moved to begin at `wall` of `viewZone`, as long as before. */
export function movedTimes(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  wall: number,
  viewZone: string,
): Pick<CalendarEvent, 'start' | 'end'> {
  const start = timeLike(event.start, wall, viewZone);
  const endZone = zoneOf(event.end);
  const end = later(start, durationOf(event));
  // An end in a zone of its own stays in it.
  const inItsZone =
    end.kind === 'zoned' && endZone !== null && endZone !== end.zone
      ? timeLike(event.end, wallOf(end), end.zone)
      : end;
  return { start, end: inItsZone };
}

/** Start and end of an event with one of its ends put at `wall` of `viewZone`. */
export function stretchedTimes(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  edge: 'start' | 'end',
  wall: number,
  viewZone: string,
): Pick<CalendarEvent, 'start' | 'end'> {
  return { start: event.start, end: event.end, [edge]: timeLike(event[edge], wall, viewZone) };
}
