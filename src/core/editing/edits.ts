import type { EventTime } from '../model/common';
import { dayOf, wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf, newEvent, uidOf } from '../model/event';
import type { Occurrence } from '../agenda/occurrence';
import { DAY, dayOfWall, formatDate, formatLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';

/** An event that was edited: its revision and its time stamp go on (SEQUENCE, RFC 5545 §3.8.7.4). */
export function revised(
  event: CalendarEvent,
  fields: Partial<CalendarEvent>,
  now: number,
): CalendarEvent {
  return { ...event, ...fields, updated: now, revision: event.revision + 1 };
}

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

/** The date that an occurrence stands for, as an event of its own: what a copy is made of. */
function dateAlone(
  event: CalendarEvent,
  occurrence: Pick<Occurrence, 'dateKey' | 'start'>,
  viewZone: string,
): CalendarEvent {
  const change = occurrence.dateKey === null ? undefined : event.changedDates[occurrence.dateKey];
  const { andLater: _andLater, revision: _revision, passthrough, ...fields } = change ?? {};
  const alone = { ...event, ...fields, passthrough: passthrough ?? event.passthrough };
  const { rule: _rule, ...single } = alone;
  return {
    ...single,
    ...movedTimes(single, occurrence.start, viewZone),
    extraDates: [],
    skippedDates: [],
    changedDates: {},
  };
}

/** A copy of one date of an event, at the same time of another day, on a calendar. */
export function copyTo(
  event: CalendarEvent,
  occurrence: Pick<Occurrence, 'dateKey' | 'start'>,
  to: { day: number; calendarId: string; id: string; viewZone: string; now: number },
): CalendarEvent {
  const alone = dateAlone(event, occurrence, to.viewZone);
  const wall = occurrence.start - dayOfWall(occurrence.start) * DAY + to.day * DAY;
  // A link to the file that it came from is the original's own.
  const properties = alone.passthrough?.properties.filter(([name]) => name !== 'recurrence-id');
  const passthrough =
    alone.passthrough && properties ? { ...alone.passthrough, properties } : undefined;
  const { removedAt: _removedAt, ...kept } = alone;
  return {
    ...kept,
    ...movedTimes(alone, wall, to.viewZone),
    ...(passthrough ? { passthrough } : {}),
    id: to.id,
    uid: uidOf(to.id),
    calendarId: to.calendarId,
    created: to.now,
    updated: to.now,
    revision: 0,
  };
}

/** A new event over a span of wall ms in a zone. */
export function eventOver(
  span: { start: number; end: number; wholeDay: boolean },
  fields: Pick<CalendarEvent, 'id' | 'calendarId'> & Partial<CalendarEvent>,
  zone: string,
  now: number,
): CalendarEvent {
  const time = (wall: number): EventTime =>
    span.wholeDay
      ? { kind: 'date', date: formatDate(dayOfWall(wall)) }
      : { kind: 'zoned', local: formatLocal(wall), zone };
  return newEvent({ ...fields, start: time(span.start), end: time(span.end) }, now);
}
