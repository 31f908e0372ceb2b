import type { PlacedChange } from '../../agenda/series';
import { compileSeries, extraWall, lengthFrom } from '../../agenda/series';
import { laterChange } from '../../agenda/seriesDates';
import type { EventTime } from '../../model/common';
import { wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import { fieldsOfDate, isWholeDay } from '../../model/event';
import type { Series } from '../../recurrence/expand';
import { nextStarts } from '../../recurrence/walk';
import { formatDate, formatLocal, dayOfWall, parseLocal } from '../../time/civil';
import { instantFromWall, wallFromInstant } from '../../time/zones';
import type { WallMs } from '../../time/units';
import { movedTimes, withLength } from '../times';

/** The series of an event as integers; an event without a rule has one date. */
export function seriesOf(event: CalendarEvent): Series {
  return (
    compileSeries(event) ?? {
      start: wallOf(event.start),
      zone: zoneOf(event.start),
      rule: null,
      extra: [],
      skipped: new Set(),
    }
  );
}

/** The name of a date of an event (see `changedDates`), from its nominal start (wall ms). */
export function keyOfWall(event: Pick<CalendarEvent, 'start'>, wall: WallMs): string {
  return isWholeDay(event) ? formatDate(dayOfWall(wall)) : formatLocal(wall);
}

/** The time at `wall` in the kind and zone of an event's start. */
export function timeAt(start: EventTime, wall: WallMs): EventTime {
  return start.kind === 'date'
    ? { kind: 'date', date: formatDate(dayOfWall(wall)) }
    : { ...start, local: formatLocal(wall) };
}

/** Start and end of the date of an event that begins at `wall` on its own clock. */
export function timesAt(
  event: Pick<CalendarEvent, 'start' | 'end' | 'clockDays'>,
  wall: WallMs,
): Pick<CalendarEvent, 'start' | 'end'> {
  const { start } = movedTimes(event, wall, zoneOf(event.start) ?? 'UTC');
  return withLength({ start, end: event.end }, lengthFrom(event, wall));
}

/** The epoch ms of a wall time on an event's own clock; wall ms where it has no zone. */
export function instantAt(event: Pick<CalendarEvent, 'start'>, wall: WallMs): number {
  const zone = zoneOf(event.start);
  return zone === null ? wall : instantFromWall(wall, zone);
}

/** What a change that reaches later dates makes of a date planned at `wall`: its fields, and its times. */
export function fieldsOfLater(
  event: CalendarEvent,
  later: PlacedChange,
  wall: WallMs,
): ChangedDate {
  const { andLater: _andLater, revision: _revision, start, end, ...fields } = later.change;
  if (!start || !end) return fields;
  const zone = zoneOf(event.start);
  const moved = instantAt(event, wall) + later.shift;
  const onClock = zone === null ? moved : wallFromInstant(moved, zone);
  const times = timesAt({ start, end }, onClock);
  return { ...fields, ...times };
}

/** Changes of an event that reach later dates; worked out once, since each of thousands of dates asks. */
const reaching = new WeakMap<CalendarEvent, readonly PlacedChange[]>();

function reachingChanges(event: CalendarEvent): readonly PlacedChange[] {
  const known = reaching.get(event);
  if (known) return known;
  const isAny = Object.values(event.changedDates).some(({ andLater }) => andLater);
  const changes = isAny
    ? compileSeries(event)?.changes.filter(({ change }) => change.andLater)
    : [];
  reaching.set(event, changes ?? []);
  return changes ?? [];
}

/** The change that reaches a date from an earlier one (RANGE=THISANDFUTURE), if any does. */
export const laterChangeAt = (event: CalendarEvent, wall: WallMs): PlacedChange | undefined =>
  laterChange({ changes: reachingChanges(event) as PlacedChange[] }, wall);

/** One date of an event as an event of its own, with what was changed about it; a single event is its own only date. */
export function dateAsEvent(event: CalendarEvent, key: string | null): CalendarEvent {
  const { rule: _rule, ...single } = event;
  const alone = { ...single, extraDates: [], skippedDates: [], changedDates: {} };
  if (key === null) return alone;
  const wall = parseLocal(key);
  const later = laterChangeAt(event, wall);
  const change =
    event.changedDates[key] ?? (later ? fieldsOfLater(event, later, wall) : undefined) ?? {};
  return { ...alone, ...plannedTimes(event, wall), ...fieldsOfDate(change) };
}

/** The added date (RDATE) of an event that begins at `wall` on its own clock, if one does. */
function extraAt(
  event: Pick<CalendarEvent, 'start' | 'extraDates'>,
  wall: WallMs,
): CalendarEvent['extraDates'][number] | undefined {
  const zone = zoneOf(event.start);
  return event.extraDates.find(({ start }) => extraWall(zone, start) === wall);
}

/** Start and end of the date planned at `wall`, as the rule or an added date with an end of its own has them. */
export function plannedTimes(
  event: Pick<CalendarEvent, 'start' | 'end' | 'extraDates' | 'clockDays'>,
  wall: WallMs,
): Pick<CalendarEvent, 'start' | 'end'> {
  const extra = extraAt(event, wall);
  return extra?.end ? { start: extra.start, end: extra.end } : timesAt(event, wall);
}

/**
 * What a date that becomes a changed one takes along of what its series' file held: an override is a
 * whole entry (RFC 5545 §3.8.4.4), and alarms or attendees would be lost on it otherwise.
 */
export function passthroughOfDate({ passthrough }: CalendarEvent): CalendarEvent['passthrough'] {
  if (!passthrough) return undefined;
  const properties = passthrough.properties.filter(([name]) => name !== 'rrule');
  return { ...passthrough, properties };
}

/** Whether any date of an event is left: one that is planned and not skipped. */
export function hasDates(event: CalendarEvent): boolean {
  return nextStarts(seriesOf(event), -Infinity, 1).length > 0;
}
