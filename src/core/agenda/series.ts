import type { ChangedDate, CalendarEvent } from '../model/event';
import { durationOf, isSeries, isWholeDay } from '../model/event';
import { wallOf, zoneOf } from '../model/common';
import type { Series } from '../recurrence/expand';
import { parseRule } from '../recurrence/rule';
import { DAY, dayOfWall, formatDate, formatLocal, parseLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { WallMs } from '../time/units';

/** A date of an event where it lies: on the line of instants, or on whatever wall clock looks at it. */
export type Basis = 'instant' | 'wall';

/** A changed date, ready to be placed. */
export interface PlacedChange {
  key: string;
  change: ChangedDate;
  basis: Basis;
  /** Epoch ms or wall ms, as `basis` says. */
  from: number;
  to: number;
  /** For `andLater`: how much later than planned it lies, and how long it lasts, in ms. */
  shift: number;
  duration: number;
  nominal: WallMs;
}

/** A series of an event, ready to be expanded. */
export interface CompiledSeries extends Series {
  basis: Basis;
  /** Ms */
  duration: number;
  wholeDay: boolean;
  changes: PlacedChange[];
  changedKeys: ReadonlySet<string>;
  /** Extra dates that brought an end of their own (RDATE periods): nominal start → length in ms. */
  ownDurations: ReadonlyMap<number, number>;
  /** Ms that the date planned at a wall time lasts: more or less over a clock change where its days follow the clock. */
  lengthAt(wall: WallMs): number;
}

/** The name of a date in its series, from its nominal start (wall ms). */
export function dateKeyOf(wall: WallMs, wholeDay: boolean): string {
  return wholeDay ? formatDate(dayOfWall(wall)) : formatLocal(wall);
}

/** Where an event or a changed date lies. */
export function placed(event: Pick<CalendarEvent, 'start' | 'end'>): {
  basis: Basis;
  from: number;
  to: number;
} {
  const zone = zoneOf(event.start);
  const wall = wallOf(event.start);
  if (zone === null) return { basis: 'wall', from: wall, to: wall + durationOf(event) };
  const from = instantFromWall(wall, zone);
  return { basis: 'instant', from, to: from + durationOf(event) };
}

function placeChange(
  event: CalendarEvent,
  key: string,
  change: ChangedDate,
  duration: number,
): PlacedChange {
  const zone = zoneOf(event.start);
  const nominal = parseLocal(key);
  const planned = zone === null ? nominal : instantFromWall(nominal, zone);
  if (change.start && change.end) {
    const place = placed({ start: change.start, end: change.end });
    return {
      ...place,
      key,
      change,
      nominal,
      shift: place.from - planned,
      duration: place.to - place.from,
    };
  }
  return {
    key,
    change,
    nominal,
    basis: zone === null ? 'wall' : 'instant',
    from: planned,
    to: planned + duration,
    shift: 0,
    duration,
  };
}

/** An added date's start (RDATE) as wall ms in the series' zone. */
export function extraWall(zone: string | null, time: CalendarEvent['start']): number {
  const own = zoneOf(time);
  const wall = wallOf(time);
  return own === null || zone === null || own === zone
    ? wall
    : wallFromInstant(instantFromWall(wall, own), zone);
}

/**
 * How long a date of an event lasts (ms) that begins at `wall` on its own clock. Days of `clockDays`
 * follow the clock, the rest passes exactly.
 */
export function lengthFrom(
  event: Pick<CalendarEvent, 'start' | 'end' | 'clockDays'>,
  wall: WallMs,
): number {
  const length = durationOf(event);
  const zone = zoneOf(event.start);
  const days = (event.clockDays ?? 0) * DAY;
  if (zone === null || days === 0) return length;
  const over = (from: number) => instantFromWall(from + days, zone) - instantFromWall(from, zone);
  return length - over(wallOf(event.start)) + over(wall);
}

/** Makes the series of an event ready; null when the event has a single date. */
export function compileSeries(event: CalendarEvent): CompiledSeries | null {
  if (!isSeries(event)) return null;
  const zone = zoneOf(event.start);
  const duration = durationOf(event);
  const extras = event.extraDates.map((extra) => ({
    wall: extraWall(zone, extra.start),
    length: extra.end ? durationOf({ start: extra.start, end: extra.end }) : null,
  }));
  const ownDurations = new Map(
    extras.flatMap((extra) => (extra.length === null ? [] : [[extra.wall, extra.length]])),
  );
  const changes = Object.entries(event.changedDates).map(([key, change]) =>
    placeChange(
      event,
      key,
      change,
      ownDurations.get(parseLocal(key)) ?? lengthFrom(event, parseLocal(key)),
    ),
  );
  const start = wallOf(event.start);
  const rule = event.rule === undefined ? null : parseRule(event.rule);
  return {
    start,
    zone,
    rule,
    extra: extras.map((extra) => extra.wall),
    skipped: new Set(event.skippedDates.map(parseLocal)),
    basis: zone === null ? 'wall' : 'instant',
    duration,
    wholeDay: isWholeDay(event),
    changes: changes.sort((a, b) => a.nominal - b.nominal),
    changedKeys: new Set(Object.keys(event.changedDates)),
    ownDurations,
    lengthAt: (wall) => ownDurations.get(wall) ?? lengthFrom(event, wall),
  };
}

/** Longest that any date of a series lasts or lies away from its plan, in ms: how far outside a window to look. */
export function reachOf(series: CompiledSeries): number {
  let reach = series.duration;
  for (const length of series.ownDurations.values()) reach = Math.max(reach, length);
  for (const change of series.changes) {
    if (change.change.andLater) reach = Math.max(reach, Math.abs(change.shift) + change.duration);
  }
  return reach + DAY;
}
