import { expandRule } from '../../recurrence/expandRule';
import { parseRule, RuleError } from '../../recurrence/rule';
import { DAY, dayNumber, HOUR } from '../../time/civil';
import { zoneDescribed } from '../../time/describedZones';
import { zoneNamed } from '../../time/namedZones';
import { parseUtcOffset } from '../../time/utcOffset';
import { WINDOWS_ZONES } from '../../time/windowsZones';
import { isKnownZone, offsetAt } from '../../time/zones';
import type { WallMs } from '../../time/units';
import type { RawComponent } from './scan';

/** How a TZID of a file is understood. */
export interface FileZone {
  /** IANA zone; null floats. */
  zone: string | null;
  /** For the person, when the name had to be guessed at. */
  note?: string;
}

interface Observance {
  /** ms, local minus UTC */
  offset: number;
  /** Wall ms at which it begins to hold, ascending. */
  onsets: number[];
}

const SAMPLE_YEAR = 2024;

/** The value of the first line of a raw component with that property name. */
function rawValue(component: RawComponent, name: string): string {
  const pattern = new RegExp(`^${name}(?:;[^:]*)?:(.*)$`, 'i');
  for (const { text } of component.lines) {
    const value = pattern.exec(text)?.[1];
    if (value !== undefined) return value.trim();
  }
  return '';
}

/** `20070311T020000` → wall ms */
function compactWall(text: string): number {
  const m = /^(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})/.exec(text);
  if (!m) return NaN;
  const day = dayNumber(Number(m[1]), Number(m[2]), Number(m[3]));
  return day * DAY + Number(m[4]) * HOUR + Number(m[5]) * 60_000;
}

/** Onsets of an observance near the sample year; a rule that can't be read adds none. */
function onsetsOf(rule: string, first: number): number[] {
  const window = {
    from: dayNumber(SAMPLE_YEAR - 1, 1, 1) * DAY,
    to: dayNumber(SAMPLE_YEAR + 1, 1, 1) * DAY,
    limit: 100,
  };
  try {
    return rule ? expandRule(parseRule(rule), first, window, () => true).starts : [];
  } catch (error) {
    if (error instanceof RuleError) return [];
    throw error;
  }
}

function observances(definition: RawComponent): Observance[] {
  return definition.children.flatMap((child) => {
    const offset = parseUtcOffset(rawValue(child, 'TZOFFSETTO'));
    const first = compactWall(rawValue(child, 'DTSTART'));
    if (Number.isNaN(offset) || Number.isNaN(first)) return [];
    return [{ offset, onsets: [first, ...onsetsOf(rawValue(child, 'RRULE'), first)] }];
  });
}

/** Offset that a VTIMEZONE gives at a wall time: that of the observance that began last. */
function observedOffset(found: Observance[], wall: WallMs): number {
  let best = -Infinity;
  let offset = found[0]?.offset ?? 0;
  for (const observance of found) {
    for (const onset of observance.onsets) {
      if (onset <= wall && onset > best) {
        best = onset;
        offset = observance.offset;
      }
    }
  }
  return offset;
}

/** Zones to try first when several behave alike. */
const COMMON = [
  'UTC',
  'Europe/London',
  'Europe/Lisbon',
  'Europe/Berlin',
  'Europe/Athens',
  'America/New_York',
  'America/Chicago',
  'America/Denver',
  'America/Los_Angeles',
  'America/Halifax',
  'Asia/Tokyo',
  'Asia/Kolkata',
  'Asia/Shanghai',
  'Australia/Sydney',
];

/** The known zone whose clocks stood like the VTIMEZONE's through a recent year, if there is one. */
function zoneThatBehavesLike(found: Observance[]): string | null {
  if (!found.length) return null;
  const samples = Array.from(
    { length: 26 },
    (_, i) => dayNumber(SAMPLE_YEAR, 1, 8) * DAY + i * 14 * DAY + 12 * HOUR,
  );
  const offsets = samples.map((wall) => observedOffset(found, wall));
  const candidates = [...COMMON, ...Intl.supportedValuesOf('timeZone')];
  return (
    candidates.find((zone) =>
      samples.every((wall, i) => offsetAt(wall - offsets[i]!, zone) === offsets[i]),
    ) ?? null
  );
}

/** The IANA name inside a longer TZID, such as `/vendor.example/20070129_1/Europe/London`. */
function nameWithin(tzid: string): string | null {
  const parts = tzid.split('/').filter(Boolean);
  for (const length of [3, 2, 1]) {
    const name = parts.slice(-length).join('/');
    if (parts.length >= length && name && isKnownZone(name)) return name;
  }
  return null;
}

/**
 * Understands a TZID: as an IANA name, one within a longer name, the name that Windows gives a
 * zone, by comparing how the file's VTIMEZONE behaves with every known zone, or as people describe one.
 * What is still unknown floats, and says so.
 */
function resolveZone(tzid: string, definition: RawComponent | undefined): FileZone {
  if (isKnownZone(tzid)) return { zone: tzid };
  const location = definition ? rawValue(definition, 'X-LIC-LOCATION') : '';
  const named =
    nameWithin(tzid) ??
    WINDOWS_ZONES[tzid] ??
    nameWithin(location) ??
    // "America-Chicago"
    nameWithin(tzid.replace('-', '/'));
  if (named && isKnownZone(named)) return { zone: named };
  const alike = definition ? zoneThatBehavesLike(observances(definition)) : null;
  if (alike) {
    return {
      zone: alike,
      note: `The time zone “${tzid}” is read as ${alike}, whose clocks agree.`,
    };
  }
  const described = zoneDescribed(tzid) ?? zoneNamed(tzid);
  if (described) {
    return { zone: described, note: `The time zone “${tzid}” is read as ${described}.` };
  }
  return {
    zone: null,
    note: `The time zone “${tzid}” is not known; its times are kept as they stand, without a zone.`,
  };
}

/** The zones that a file defines, by TZID, resolved when first asked for. */
export class FileZones {
  private readonly resolved = new Map<string, FileZone>();
  private readonly definitions: Map<string, RawComponent>;

  constructor(definitions: readonly RawComponent[]) {
    this.definitions = new Map(definitions.map((d) => [rawValue(d, 'TZID'), d]));
  }

  zoneFor(tzid: string): string | null {
    let answer = this.resolved.get(tzid);
    if (!answer) {
      answer = resolveZone(tzid, this.definitions.get(tzid));
      this.resolved.set(tzid, answer);
    }
    return answer.zone;
  }

  /** What to tell the person of zones that were guessed at. */
  get notes(): string[] {
    return [...this.resolved.values()].flatMap((zone) => zone.note ?? []);
  }
}
