import { HOUR, MINUTE } from './civil';
import { MORE_PLACES } from './morePlaces';
import { WINDOWS_ZONES } from './windowsZones';
import { cityOf, PLACES, zonesToChoose } from './zoneNames';
import { isKnownZone, offsetAt } from './zones';

/** Abbreviations as people type them behind a time, with the zone whose clock they mean. */
const ABBREVIATED: Readonly<Record<string, string>> = {
  utc: 'UTC',
  gmt: 'UTC',
  bst: 'Europe/London',
  wet: 'Europe/Lisbon',
  west: 'Europe/Lisbon',
  cet: 'Europe/Berlin',
  cest: 'Europe/Berlin',
  eet: 'Europe/Helsinki',
  eest: 'Europe/Helsinki',
  msk: 'Europe/Moscow',
  nst: 'America/St_Johns',
  ndt: 'America/St_Johns',
  ast: 'America/Halifax',
  adt: 'America/Halifax',
  est: 'America/New_York',
  edt: 'America/New_York',
  et: 'America/New_York',
  cst: 'America/Chicago',
  cdt: 'America/Chicago',
  ct: 'America/Chicago',
  mst: 'America/Denver',
  mdt: 'America/Denver',
  mt: 'America/Denver',
  pst: 'America/Los_Angeles',
  pdt: 'America/Los_Angeles',
  pt: 'America/Los_Angeles',
  akst: 'America/Anchorage',
  akdt: 'America/Anchorage',
  hst: 'Pacific/Honolulu',
  ist: 'Asia/Kolkata',
  sgt: 'Asia/Singapore',
  hkt: 'Asia/Hong_Kong',
  jst: 'Asia/Tokyo',
  kst: 'Asia/Seoul',
  awst: 'Australia/Perth',
  acst: 'Australia/Adelaide',
  acdt: 'Australia/Adelaide',
  aest: 'Australia/Sydney',
  aedt: 'Australia/Sydney',
  nzst: 'Pacific/Auckland',
  nzdt: 'Pacific/Auckland',
  eastern: 'America/New_York',
  central: 'America/Chicago',
  mountain: 'America/Denver',
  pacific: 'America/Los_Angeles',
  atlantic: 'America/Halifax',
  'central european': 'Europe/Berlin',
  'eastern european': 'Europe/Helsinki',
  'western european': 'Europe/Lisbon',
};

const plain = (name: string) =>
  name.normalize('NFD').replace(/\p{M}/gu, '').replace(/\./g, '').toLowerCase().trim();

let places: Map<string, string> | null = null;

/** Zones by the cities that they are named after, and by other well-known places. */
function zonesByPlace(): Map<string, string> {
  places ??= new Map([
    ...zonesToChoose(Intl.supportedValuesOf('timeZone')).map(
      (zone) => [plain(cityOf(zone)), zone] as const,
    ),
    ...Object.entries(PLACES).map(([place, zone]) => [plain(place), zone] as const),
  ]);
  return places;
}

/** The zone of a fixed offset in whole hours ("utc+2"): its name has the sign the other way round. */
function fixedZone(offset: string): string | null {
  const hours = Number(offset);
  const zone = hours === 0 ? 'UTC' : `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`;
  return isKnownZone(zone) ? zone : null;
}

/** The zone that people mean by "Osaka", "JST" or "UTC+2"; null when it is none. */
export function zoneNamed(name: string): string | null {
  const wanted = plain(name);
  const [, offset] = /^(?:utc|gmt)\s*([+-]\d{1,2})(?::?00)?$/.exec(wanted) ?? [];
  if (offset !== undefined) return fixedZone(offset);
  return ABBREVIATED[wanted] ?? zonesByPlace().get(wanted) ?? null;
}

/** A zone described as programs for offices do: its offset, then places or a name of its time. */
const DESCRIBED = /^\((?:utc|gmt)\s*(?:([+-])(\d{1,2}):?(\d{2}))?\)\s*(.+)$/i;
/** A winter's and a summer's day, in either half of the world. */
const SEASONS = [Date.UTC(2026, 0, 15), Date.UTC(2026, 6, 15)];

const namedOrPlace = (name: string): string | null =>
  zoneNamed(name) ??
  Object.entries(MORE_PLACES).find(([, places]) =>
    places.split(', ').some((place) => plain(place) === plain(name)),
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
