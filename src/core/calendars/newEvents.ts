import { dayOf, timeOfInstant, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { instantFromWall } from '../time/zones';

/**
 * A new event in its calendar's zone, at the same instants; one that `repeats` as it is when that
 * would take it to another day, since a repeat goes by the day that was meant.
 */
export function inCalendarZone(
  event: CalendarEvent,
  zone: string | undefined,
  repeats: boolean,
): CalendarEvent {
  const { start, end } = event;
  if (!zone || start.kind !== 'zoned' || end.kind !== 'zoned') return event;
  const there = (time: typeof start) =>
    timeOfInstant(instantFromWall(wallOf(time), time.zone), zone);
  const moved = { start: there(start), end: there(end) };
  const isSameDay = dayOf(moved.start) === dayOf(start) && dayOf(moved.end) === dayOf(end);
  const canRepeat = isSameDay && zoneOf(moved.start) === zone;
  return canRepeat || !repeats ? { ...event, ...moved } : event;
}
