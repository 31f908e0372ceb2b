import { cityOf, PLACES, zonesToChoose } from './zoneNames';
import { isKnownZone } from './zones';

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

export const plainPlace = (name: string) =>
  name.normalize('NFD').replace(/\p{M}/gu, '').replace(/\./g, '').toLowerCase().trim();

let places: Map<string, string> | null = null;

/** Zones by the cities that they are named after, and by other well-known places. */
function zonesByPlace(): Map<string, string> {
  places ??= new Map([
    ...zonesToChoose(Intl.supportedValuesOf('timeZone')).map(
      (zone) => [plainPlace(cityOf(zone)), zone] as const,
    ),
    ...Object.entries(PLACES).map(([place, zone]) => [plainPlace(place), zone] as const),
  ]);
  return places;
}

/** The zone of a fixed offset in whole hours ("utc+2"): its name has the sign the other way round. */
function fixedZone(offset: string): string | null {
  const hours = Number(offset);
  const zone = hours === 0 ? 'UTC' : `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`;
  return isKnownZone(zone) ? zone : null;
}

/** The zone of an abbreviation, or of an offset in whole hours: "JST", "UTC+2". */
export function zoneAbbreviated(name: string): string | null {
  const wanted = plainPlace(name);
  const [, offset] = /^(?:utc|gmt)\s*([+-]\d{1,2})(?::?00)?$/.exec(wanted) ?? [];
  return offset === undefined ? (ABBREVIATED[wanted] ?? null) : fixedZone(offset);
}

/** The zone that people mean by "Osaka", "JST" or "UTC+2"; null when it is none. */
export const zoneNamed = (name: string): string | null =>
  zoneAbbreviated(name) ?? zonesByPlace().get(plainPlace(name)) ?? null;
