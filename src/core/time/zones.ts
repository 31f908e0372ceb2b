import { DAY, dayNumber, dayOfWall } from './civil';
import { isTravelClock, readTravelClock, zoneOnDay } from './sheetClock';
import type { EpochMs, WallMs } from './units';

/**
 * Wall clock ↔ instant, from a table of offset changes that is built a year of a zone at a time,
 * when that year is first asked for. Asking Intl or Temporal each time costs some hundred times more.
 */

/** The offsets of a zone over a year, on both lines: of instants, and of what its clocks show. */
interface YearTable {
  /** The year's ends in ms; a day on either side of it is looked after as well. */
  begin: number;
  end: number;
  /** Epoch ms at which the offset changes. */
  at: number[];
  /** Wall ms from which on the new offset counts. */
  wallAt: number[];
  /** Offsets in ms (local minus UTC): before the first change, then after each. */
  offset: number[];
}

/** A stretch of wall times over which one offset counts: the end is excluded. */
interface Stretch {
  low: number;
  high: number;
  offset: number;
}

interface Zone {
  name: string;
  format: Intl.DateTimeFormat;
  years: Map<number, YearTable>;
  /** The table that was asked last, and where on it the last wall time lay: the next are mostly near. */
  recent: YearTable;
  wall: Stretch;
}

interface OffsetChange {
  /** Epoch ms */
  at: EpochMs;
  before: EpochMs;
  after: EpochMs;
}

/** Two changes within a step could be missed; on record since 1970 the nearest are a week apart (Recife, October 2000). */
const PROBE_STEP = 6 * DAY;
const NO_YEAR: YearTable = { begin: 0, end: 0, at: [], wallAt: [], offset: [0] };
/** The mean year of the calendar, in ms. */
const MEAN_YEAR = 365.2425 * DAY;

const NOWHERE: Stretch = { low: 0, high: 0, offset: 0 };

const zones = new Map<string, Zone>();
/** Zones by a number made of a few letters of their name: finding one there takes a fifth of the time of the map. */
const slots = new Array<Zone | null>(64).fill(null);

/** The zone of a name, made when first asked for. Throws RangeError for a name that Intl doesn't know. */
function zoneNamed(name: string): Zone {
  const { length } = name;
  const slot = (length * 5 + name.charCodeAt(length - 1) * 3 + name.charCodeAt(length >> 1)) & 63;
  const kept = slots[slot];
  if (kept && kept.name === name) return kept;
  let zone = zones.get(name);
  if (!zone) {
    const format = new Intl.DateTimeFormat('en-US', { timeZone: name, timeZoneName: 'longOffset' });
    zone = { name, format, years: new Map(), recent: NO_YEAR, wall: NOWHERE };
    zones.set(name, zone);
  }
  return (slots[slot] = zone);
}

const OFFSET = /GMT(?:([+-])(\d{2}):(\d{2})(?::(\d{2}))?)?$/;

function probeOffset({ format }: Zone, epochMs: EpochMs): number {
  const [, sign, hours = 0, minutes = 0, seconds = 0] = OFFSET.exec(format.format(epochMs))!;
  const size = (Number(hours) * 60 + Number(minutes)) * 60_000 + Number(seconds) * 1000;
  return sign === '-' ? -size : size;
}

/** The first ms in (low, high] at which the offset is no longer `before`, as it is at `low`. */
function findChange(zone: Zone, low: number, high: number, before: number): number {
  let lo = low;
  let hi = high;
  while (hi - lo > 1000) {
    const middle = lo + Math.floor((hi - lo) / 2000) * 1000;
    if (probeOffset(zone, middle) === before) lo = middle;
    else hi = middle;
  }
  return hi;
}

/** Every change of offset in (low, high], and the offset at `low`. */
function probeChanges(
  zone: Zone,
  low: number,
  high: number,
): { first: number; changes: OffsetChange[] } {
  const first = probeOffset(zone, low);
  const changes: OffsetChange[] = [];
  let before = first;
  for (let at = low; at < high; at += PROBE_STEP) {
    const next = Math.min(at + PROBE_STEP, high);
    if (probeOffset(zone, next) === before) continue;
    const change = findChange(zone, at, next, before);
    const after = probeOffset(zone, change);
    changes.push({ at: change, before, after });
    before = after;
  }
  return { first, changes };
}

function buildYear(zone: Zone, year: number): YearTable {
  const begin = dayNumber(year, 1, 1) * DAY;
  const end = dayNumber(year + 1, 1, 1) * DAY;
  const { first, changes } = probeChanges(zone, begin - DAY, end + DAY);
  return {
    begin,
    end,
    at: changes.map(({ at }) => at),
    // The old offset counts up to the later of the two readings of the clock at the change: that
    // moves a gap later by its length, and takes the first of two times in an overlap.
    wallAt: changes.map(({ at, before, after }) => at + Math.max(before, after)),
    offset: [first, ...changes.map(({ after }) => after)],
  };
}

/** The table of the year that holds a number of ms, read as an instant or as a wall time. */
function tableAt(zone: Zone, ms: number): YearTable {
  const { recent } = zone;
  if (ms >= recent.begin && ms < recent.end) return recent;
  let year = 1970 + Math.floor(ms / MEAN_YEAR);
  // Near its ends the mean year may be off by one.
  if (ms < dayNumber(year, 1, 1) * DAY) year--;
  else if (ms >= dayNumber(year + 1, 1, 1) * DAY) year++;
  let table = zone.years.get(year);
  if (!table) zone.years.set(year, (table = buildYear(zone, year)));
  return (zone.recent = table);
}

/** The stretch of wall times of a year's table that holds one. */
function wallStretch({ begin, end, wallAt, offset }: YearTable, wall: WallMs): Stretch {
  let i = wallAt.length;
  while (i > 0 && wallAt[i - 1]! > wall) i--;
  return {
    low: Math.max(begin, wallAt[i - 1] ?? begin),
    high: Math.min(end, wallAt[i] ?? end),
    offset: offset[i]!,
  };
}

/** Offset of a clock that travels: that of the stay whose days hold the instant there, else of home. */
function travellingOffset(epochMs: EpochMs, clock: string): number {
  const { home, stays } = readTravelClock(clock);
  for (const { fromDay, toDay, zone } of stays) {
    const offset = offsetAt(epochMs, zone);
    const day = dayOfWall(epochMs + offset);
    if (day >= fromDay && day <= toDay) return offset;
  }
  return offsetAt(epochMs, home);
}

/** Offset of a zone, or of a clock that travels (see `sheetClock.ts`), at an instant, in ms: local time minus UTC. */
export function offsetAt(epochMs: EpochMs, zone: string): number {
  if (zone === 'UTC') return 0;
  if (isTravelClock(zone)) return travellingOffset(epochMs, zone);
  const { at, offset } = tableAt(zoneNamed(zone), epochMs);
  let i = at.length;
  while (i > 0 && at[i - 1]! > epochMs) i--;
  return offset[i]!;
}

/** Every change of a zone's offset in [fromYear, toYear] (UTC years): when (epoch ms), and the offsets around it (ms). */
export function offsetChanges(zone: string, fromYear: number, toYear: number): OffsetChange[] {
  const changes: OffsetChange[] = [];
  for (let year = fromYear; year <= toYear; year++) {
    const { begin, end, at, offset } = tableAt(zoneNamed(zone), dayNumber(year, 1, 1) * DAY);
    at.forEach((moment, i) => {
      const change = { at: moment, before: offset[i]!, after: offset[i + 1]! };
      if (moment >= begin && moment < end) changes.push(change);
    });
  }
  return changes;
}

/** The wall time (wall ms) that clocks in `zone` show at an instant (epoch ms). */
export function wallFromInstant(epochMs: EpochMs, zone: string): WallMs {
  return epochMs + offsetAt(epochMs, zone);
}

/** What a clock in UTC shows at an instant. */
export const utcWall = (epochMs: EpochMs): WallMs => epochMs as number;

/**
 * The instant (epoch ms) of a wall time (wall ms) in a zone. A time that a clock change leaves out
 * is moved later by the length of the gap; a time that occurs twice means the first of the two
 * (RFC 5545 §3.3.5; "compatible" in Temporal).
 */
export function instantFromWall(wall: WallMs, zone: string): EpochMs {
  if (zone === 'UTC') return wall as number;
  if (isTravelClock(zone)) return instantFromWall(wall, zoneOnDay(zone, dayOfWall(wall)));
  const known = zoneNamed(zone);
  const { low, high, offset } = known.wall;
  if (wall >= low && wall < high) return wall - offset;
  return wall - (known.wall = wallStretch(tableAt(known, wall), wall)).offset;
}

/** The instant of a wall time that floats (no zone of its own) when seen in `viewZone`. */
export function instantOf(wall: WallMs, zone: string | null, viewZone: string): EpochMs {
  return instantFromWall(wall, zone ?? viewZone);
}

const known = new Map<string, boolean>();

/** Whether this machine's time zone data has a zone of that name. */
export function isKnownZone(zone: string): boolean {
  let answer = known.get(zone);
  if (answer === undefined) {
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone });
      // Bare offsets such as "+01:00" are accepted by Intl, but are not names of zones.
      answer = !/^[+-]/.test(zone);
    } catch {
      answer = false;
    }
    known.set(zone, answer);
  }
  return answer;
}

/** Offset as people write it: "UTC", "UTC+1", "UTC−3:30". */
export function describeOffset(offsetMs: number): string {
  if (offsetMs === 0) return 'UTC';
  const minutes = Math.round(Math.abs(offsetMs) / 60_000);
  const rest = minutes % 60;
  return `UTC${offsetMs < 0 ? '−' : '+'}${Math.floor(minutes / 60)}${rest ? `:${String(rest).padStart(2, '0')}` : ''}`;
}
