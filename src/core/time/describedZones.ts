import { HOUR, MINUTE } from './civil';
import { MORE_PLACES } from './morePlaces';
import { plainPlace, zoneNamed } from './namedZones';
import { WINDOWS_ZONES } from './windowsZones';
import { isKnownZone, offsetAt } from './zones';

/** A zone described as programs for offices do: its offset, then places or a name of its time. */
const DESCRIBED = /^\((?:utc|gmt)\s*(?:([+-])(\d{1,2}):?(\d{2}))?\)\s*(.+)$/i;
/** A winter's and a summer's day, in either half of the world. */
const SEASONS = [Date.UTC(2026, 0, 15), Date.UTC(2026, 6, 15)];

const namedOrPlace = (name: string): string | null =>
  zoneNamed(name) ??
  Object.entries(MORE_PLACES).find(([, places]) =>
    places.split(', ').some((place) => plainPlace(place) === plainPlace(name)),
  )?.[0] ??
  null;

/**
 * The zone of a description like "(UTC+01:00) Amsterdam, Berlin, Bern": the first of its places that
 * is known and keeps that offset in one of its seasons. Null where none does, or it is no description.
 */
export function zoneDescribed(description: string): string | null {
  const [, sign, hours, minutes, said] = DESCRIBED.exec(description.trim()) ?? [];
  if (said === undefined) return null;
  const offset =
    (sign === '-' ? -1 : 1) * (Number(hours ?? 0) * HOUR + Number(minutes ?? 0) * MINUTE);
  for (const part of said.split(',')) {
    const name = part
      .replace(/\(.*?\)/g, '')
      .replace(/\btime\b/i, '')
      .trim();
    const zone = namedOrPlace(name);
    if (zone && SEASONS.some((at) => offsetAt(at, zone) === offset)) return zone;
  }
  return null;
}

/** The zone of a name as files give it: of the IANA, of Windows, as people say it, or a description. */
export const zoneKnownAs = (name: string): string | null =>
  isKnownZone(name) ? name : (WINDOWS_ZONES[name] ?? zoneNamed(name) ?? zoneDescribed(name));
