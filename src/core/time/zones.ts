import { Temporal } from 'temporal-polyfill';
import { civilDate, DAY, dayNumber, dayOfWall } from './civil';

/**
 * Wall clock ↔ instant, from a table of offset changes that is built a year of a zone at a time,
 * when that year is first asked for. Asking Temporal each time costs some hundred times more.
 */

interface OffsetYear {
  /** Epoch ms at which each offset begins; the first is the year's own beginning (UTC). */
  from: number[];
  /** Offset in ms (local minus UTC) from the moment of the same position on. */
  offset: number[];
}

/** Changes of offset closer together than this could be missed; none on record are. */
const PROBE_STEP = 7 * DAY;

const tables = new Map<string, Map<number, OffsetYear>>();

function probeOffset(zone: string, epochMs: number): number {
  const zoned = Temporal.Instant.fromEpochMilliseconds(epochMs).toZonedDateTimeISO(zone);
  return Math.round(zoned.offsetNanoseconds / 1e6);
}

/** The first ms in (low, high] at which the offset differs from that at `low`. */
function findChange(zone: string, low: number, high: number): number {
  const before = probeOffset(zone, low);
  let lo = low;
  let hi = high;
  while (hi - lo > 1000) {
    const middle = lo + Math.floor((hi - lo) / 2000) * 1000;
    if (probeOffset(zone, middle) === before) lo = middle;
    else hi = middle;
  }
  return hi;
}

function buildYear(zone: string, year: number): OffsetYear {
  const begin = dayNumber(year, 1, 1) * DAY;
  const end = dayNumber(year + 1, 1, 1) * DAY;
  const table: OffsetYear = { from: [begin], offset: [probeOffset(zone, begin)] };
  for (let at = begin; at < end; at += PROBE_STEP) {
    const next = Math.min(at + PROBE_STEP, end);
    const last = table.offset[table.offset.length - 1]!;
    if (probeOffset(zone, next) !== last) {
      const change = findChange(zone, at, next);
      if (change < end) {
        table.from.push(change);
        table.offset.push(probeOffset(zone, change));
      }
    }
  }
  return table;
}

function offsetYear(zone: string, year: number): OffsetYear {
  let years = tables.get(zone);
  if (!years) tables.set(zone, (years = new Map()));
  let table = years.get(year);
  if (!table) years.set(year, (table = buildYear(zone, year)));
  return table;
}

/** Offset of a zone at an instant, in ms: local time minus UTC. */
export function offsetAt(epochMs: number, zone: string): number {
  if (zone === 'UTC') return 0;
  const { from, offset } = offsetYear(zone, civilDate(dayOfWall(epochMs)).year);
  let i = from.length - 1;
  while (i > 0 && from[i]! > epochMs) i--;
  return offset[i]!;
}

/** Every change of a zone's offset in [fromYear, toYear] (UTC years): when (epoch ms), and the offsets around it (ms). */
export function offsetChanges(
  zone: string,
  fromYear: number,
  toYear: number,
): { at: number; before: number; after: number }[] {
  const changes: { at: number; before: number; after: number }[] = [];
  let before = offsetAt(dayNumber(fromYear, 1, 1) * DAY - 1, zone);
  for (let year = fromYear; year <= toYear; year++) {
    const { from, offset } = offsetYear(zone, year);
    from.forEach((at, i) => {
      const after = offset[i]!;
      if (after !== before) changes.push({ at, before, after });
      before = after;
    });
  }
  return changes;
}

/** The wall time (wall ms) that clocks in `zone` show at an instant (epoch ms). */
export function wallFromInstant(epochMs: number, zone: string): number {
  return epochMs + offsetAt(epochMs, zone);
}

/**
 * The instant (epoch ms) of a wall time (wall ms) in a zone. A time that a clock change leaves out
 * is moved later by the length of the gap; a time that occurs twice means the first of the two
 * (RFC 5545 §3.3.5; "compatible" in Temporal).
 */
export function instantFromWall(wall: number, zone: string): number {
  if (zone === 'UTC') return wall;
  const before = offsetAt(wall - DAY, zone);
  const after = offsetAt(wall + DAY, zone);
  if (before === after) return wall - before;
  const early = wall - before;
  if (offsetAt(early, zone) === before) return early;
  const late = wall - after;
  return offsetAt(late, zone) === after ? late : early;
}

/** The instant of a wall time that floats (no zone of its own) when seen in `viewZone`. */
export function instantOf(wall: number, zone: string | null, viewZone: string): number {
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
