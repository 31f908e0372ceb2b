import type { EventTime, JcalComponent, JcalProperty } from '../../model/common';
import { dayOf, timeOfInstant, wallOf, zoneOf } from '../../model/common';
import { lastsForward } from '../../model/event';
import { DAY, dayOfWall, formatDate, formatLocal, parseLocal } from '../../time/civil';
import { parseDuration } from '../../time/durations';
import { instantFromWall, wallFromInstant } from '../../time/zones';
import { dateKeyOf } from '../../agenda/series';
import { property } from './jcal';
import type { FileZones } from './zoneOfFile';
import { UserError } from '../../userError';

/** A jCal date or date-time with its TZID as a time of the model. */
function timeFrom(value: string, tzid: string | undefined, zones: FileZones): EventTime {
  // A date where a date-time was announced leaves the parser with an empty time.
  if (!value.includes('T') || value.endsWith('T::'))
    return { kind: 'date', date: value.slice(0, 10) };
  const local = value.replace(/Z$/, '').slice(0, 19);
  // Reading it once settles odd but readable times, such as a 60th second.
  const normal = formatLocal(parseLocal(local));
  if (value.endsWith('Z')) return { kind: 'zoned', local: normal, zone: 'UTC' };
  const zone = tzid === undefined ? null : zones.zoneFor(tzid);
  return zone === null
    ? { kind: 'floating', local: normal }
    : { kind: 'zoned', local: normal, zone };
}

/** A time that exists; null where the words of a file are none. */
function timeIfAny(value: string, tzid: string | undefined, zones: FileZones): EventTime | null {
  try {
    const time = timeFrom(value, tzid, zones);
    wallOf(time);
    return time;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const NO_END = 'it comes in without its end, which is no date or time';

function tzidOf(prop: JcalProperty): string | undefined {
  const tzid = prop[1]['tzid'];
  return typeof tzid === 'string' ? tzid : undefined;
}

/** A duration; one that can't be read has no length. */
const readDuration = (text: string) => parseDuration(text) ?? { days: 0, ms: 0 };

/** The longest that an event lasts, in ms. */
const LONGEST = 50 * 366 * DAY;

/** @throws UserError for a length (ms) that no calendar could show. */
export function assertLength(length: number): void {
  if (length > LONGEST) throw new UserError('unreadable', 'it lasts longer than 50 years');
}

/**
 * The time a duration after another.
 * @throws UserError where it is too long.
 */
export function addDuration(start: EventTime, text: string): EventTime {
  const { days, ms } = readDuration(text);
  assertLength(days * DAY + ms);
  if (start.kind === 'date') {
    const whole = days + Math.ceil(ms / DAY);
    return { kind: 'date', date: formatDate(dayOf(start) + Math.max(1, whole)) };
  }
  const wall = wallOf(start) + days * DAY;
  const zone = zoneOf(start);
  if (zone === null) return { ...start, local: formatLocal(wall + ms) };
  return timeOfInstant(instantFromWall(wall, zone) + ms, zone);
}

/**
 * Start and end of a component: DTEND, else DURATION, else the day for a date and nothing for a
 * time (RFC 5545 §3.6.1). `note` tells of an end that had to be set right.
 * @throws UserError when there is no start, or one that does not exist.
 */
export function readSpan(
  component: JcalComponent,
  zones: FileZones,
): { start: EventTime; end: EventTime; clockDays?: number; note?: string } {
  const dtstart = property(component, 'dtstart');
  if (!dtstart || typeof dtstart[3] !== 'string')
    throw new UserError('unreadable', 'it has no start');
  const start = timeFrom(dtstart[3], tzidOf(dtstart), zones);
  wallOf(start);
  const dtend = property(component, 'dtend');
  const duration = property(component, 'duration')?.[3];
  let end: EventTime;
  if (typeof dtend?.[3] === 'string') {
    const given = timeIfAny(dtend[3], tzidOf(dtend), zones);
    if (!given) return { start, end: addDuration(start, 'PT0S'), note: NO_END };
    end = matchKind(start, given);
  } else {
    const length = typeof duration === 'string' ? duration : 'PT0S';
    end = addDuration(start, length);
    const { days } = readDuration(length);
    if (days > 0 && start.kind !== 'date') return { start, end, clockDays: days };
  }
  if (lastsForward(start, end)) return { start, end };
  const sameDay = start.kind === 'date' && dayOf(end) === dayOf(start);
  const corrected = addDuration(start, 'PT0S');
  return sameDay
    ? { start, end: corrected }
    : { start, end: corrected, note: 'it comes in without its end, which lies before its start' };
}

/** An end of the start's kind: files mix dates and times now and then. */
function matchKind(start: EventTime, end: EventTime): EventTime {
  if (start.kind === 'date' && end.kind !== 'date')
    return { kind: 'date', date: end.local.slice(0, 10) };
  if (start.kind !== 'date' && end.kind === 'date')
    return { ...start, local: `${end.date}T00:00:00` };
  return end;
}

/** Name, in a series that begins at `start`, of the date that EXDATE or RECURRENCE-ID means. */
export function dateKeyFor(start: EventTime, named: EventTime): string {
  const wholeDay = start.kind === 'date';
  if (wholeDay) return formatDate(dayOf(named));
  if (named.kind === 'date') {
    // A date alone, in a timed series, means that day's date of the series.
    return formatLocal(dayOf(named) * DAY + (wallOf(start) - dayOfWall(wallOf(start)) * DAY));
  }
  const from = zoneOf(named);
  const to = zoneOf(start);
  const wall = wallOf(named);
  if (from === null || to === null || from === to) return dateKeyOf(wall, false);
  return dateKeyOf(wallFromInstant(instantFromWall(wall, from), to), false);
}

/** Every value of every property of a name, as times; periods give their end too. */
export function readTimes(
  component: JcalComponent,
  name: string,
  zones: FileZones,
): { start: EventTime; end?: EventTime }[] {
  return component[1]
    .filter((prop) => prop[0] === name)
    .flatMap((prop) =>
      prop.slice(3).map((value) => {
        const period = Array.isArray(value) ? value : String(value).split('/');
        const start = timeFrom(String(period[0]), tzidOf(prop), zones);
        if (period[1] === undefined) return { start };
        const second = String(period[1]);
        const end = /^[+-]?P/.test(second)
          ? addDuration(start, second)
          : timeFrom(second, tzidOf(prop), zones);
        return { start, end };
      }),
    );
}
