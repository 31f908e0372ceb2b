import type { Occurrence } from '../agenda/occurrence';
import type { EventTime } from '../model/common';
import type { CalendarEvent } from '../model/event';
import type { Span } from '../layout/drag';
import { lastsForward, newEvent, uidOf } from '../model/event';
import { DAY, dayOfWall, formatDate, formatLocal } from '../time/civil';
import type { DayNumber, EpochMs, WallMs } from '../time/units';
import { dateAsEvent } from './series/dates';
import { movedTimes, withLength } from './times';

/** A copy of one date of an event, at the same time of another day, on a calendar. */
export function copyTo(
  event: CalendarEvent,
  occurrence: Pick<Occurrence, 'dateKey' | 'start'>,
  to: { day: DayNumber; calendarId: string; id: string; viewZone: string; now: EpochMs },
): CalendarEvent {
  const alone = dateAsEvent(event, occurrence.dateKey);
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

/**
 * Start and end of a span of wall ms in a zone. What would end before it starts, since its start is
 * in an hour that the clock leaves out, lasts as long as it was to.
 */
export function timesOver(span: Span, zone: string): Pick<CalendarEvent, 'start' | 'end'> {
  const time = (wall: WallMs): EventTime =>
    span.wholeDay
      ? { kind: 'date', date: formatDate(dayOfWall(wall)) }
      : { kind: 'zoned', local: formatLocal(wall), zone };
  const times = { start: time(span.start), end: time(span.end) };
  const isAsSaid = span.wholeDay || (!span.lasts && lastsForward(times.start, times.end));
  return isAsSaid ? times : withLength(times, span.end - span.start);
}

/** A new event over a span of wall ms in a zone; see `timesOver`. */
export const eventOver = (
  span: Span,
  fields: Pick<CalendarEvent, 'id' | 'calendarId'> & Partial<CalendarEvent>,
  zone: string,
  now: EpochMs,
): CalendarEvent => newEvent({ ...fields, ...timesOver(span, zone) }, now);
