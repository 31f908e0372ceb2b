import { DAY } from './civil';
import { MORE_PLACES } from './morePlaces';
import { describeOffset, isKnownZone, offsetAt } from './zones';
import type { EpochMs } from './units';

/** A zone as people look for it. */
export interface ZoneEntry {
  zone: string;
  /** "Osaka", "St Johns": the last part of the zone's name. */
  city: string;
  /** "Asia", "America / Argentina" */
  region: string;
  /** "BST", "EST", or "" where no abbreviation is in use. */
  abbreviation: string;
  /** Those of the other times of its year: "GMT" in summer. */
  otherAbbreviations: string[];
  /** "British Summer Time" */
  longName: string;
  /** "UTC+1" */
  offset: string;
  offsetMs: number;
}

/** Locales whose people abbreviate the zones around them; the first that has letters is taken. */
const ABBREVIATING = ['en-US', 'en-GB', 'en-AU', 'en-CA', 'en-NZ', 'en-ZA', 'en-IN'];

/** Abbreviations in general use that no locale's data has. */
const ABBREVIATIONS: Record<string, string> = {
  'Japan Standard Time': 'JST',
  'Korean Standard Time': 'KST',
  'Hong Kong Standard Time': 'HKT',
  'Singapore Standard Time': 'SGT',
  'China Standard Time': 'CST',
  'Philippine Standard Time': 'PHT',
  'Western European Standard Time': 'WET',
  'Western European Summer Time': 'WEST',
  'Moscow Standard Time': 'MSK',
  'Gulf Standard Time': 'GST',
  'East Africa Time': 'EAT',
  'West Africa Standard Time': 'WAT',
  'Brasilia Standard Time': 'BRT',
  'Argentina Standard Time': 'ART',
};

/** Well-known places that are not the name of a zone, with the zone whose clock they go by. */
export const PLACES: Readonly<Record<string, string>> = {
  Osaka: 'Asia/Tokyo',
  Kyoto: 'Asia/Tokyo',
  Beijing: 'Asia/Shanghai',
  Mumbai: 'Asia/Kolkata',
  Delhi: 'Asia/Kolkata',
  Bengaluru: 'Asia/Kolkata',
  Edinburgh: 'Europe/London',
  Manchester: 'Europe/London',
  Porto: 'Europe/Lisbon',
  Barcelona: 'Europe/Madrid',
  Milan: 'Europe/Rome',
  Munich: 'Europe/Berlin',
  Hamburg: 'Europe/Berlin',
  Frankfurt: 'Europe/Berlin',
  Geneva: 'Europe/Zurich',
  Rotterdam: 'Europe/Amsterdam',
  Boston: 'America/New_York',
  Washington: 'America/New_York',
  Miami: 'America/New_York',
  'San Francisco': 'America/Los_Angeles',
  Seattle: 'America/Los_Angeles',
  Houston: 'America/Chicago',
  Dallas: 'America/Chicago',
  Montreal: 'America/Toronto',
  Ottawa: 'America/Toronto',
  'Cape Town': 'Africa/Johannesburg',
  Canberra: 'Australia/Sydney',
  Wellington: 'Pacific/Auckland',
  'Rio de Janeiro': 'America/Sao_Paulo',
  'Tel Aviv': 'Asia/Jerusalem',
  Haifa: 'Asia/Jerusalem',
  Chennai: 'Asia/Kolkata',
  Hyderabad: 'Asia/Kolkata',
  Pune: 'Asia/Kolkata',
  Hanoi: 'Asia/Bangkok',
  'Abu Dhabi': 'Asia/Dubai',
  Doha: 'Asia/Qatar',
  Bern: 'Europe/Zurich',
  Basel: 'Europe/Zurich',
  Cologne: 'Europe/Berlin',
  Naples: 'Europe/Rome',
  Lyon: 'Europe/Paris',
  'The Hague': 'Europe/Amsterdam',
  Gothenburg: 'Europe/Stockholm',
  Bergen: 'Europe/Oslo',
  Krakow: 'Europe/Warsaw',
  Philadelphia: 'America/New_York',
  Atlanta: 'America/New_York',
  'San Diego': 'America/Los_Angeles',
  Calgary: 'America/Edmonton',
  Brasilia: 'America/Sao_Paulo',
};

/** Zones under the names that they have now; browsers still list some by their former ones. */
const RENAMED: Record<string, string> = {
  'Asia/Calcutta': 'Asia/Kolkata',
  'Asia/Katmandu': 'Asia/Kathmandu',
  'Asia/Rangoon': 'Asia/Yangon',
  'Asia/Saigon': 'Asia/Ho_Chi_Minh',
  'Asia/Dacca': 'Asia/Dhaka',
  'Asia/Thimbu': 'Asia/Thimphu',
  'Atlantic/Faeroe': 'Atlantic/Faroe',
  'America/Godthab': 'America/Nuuk',
  'America/Buenos_Aires': 'America/Argentina/Buenos_Aires',
  'America/Indianapolis': 'America/Indiana/Indianapolis',
  'America/Louisville': 'America/Kentucky/Louisville',
  'Europe/Kiev': 'Europe/Kyiv',
  'Pacific/Enderbury': 'Pacific/Kanton',
  'Pacific/Ponape': 'Pacific/Pohnpei',
  'Pacific/Truk': 'Pacific/Chuuk',
};

/** A zone's former city, where it had another name. */
const FORMER = new Map(Object.entries(RENAMED).map(([old, now]) => [now, old]));

/** The zones to choose from, of those that this machine lists: by their names of now, and UTC. */
export function zonesToChoose(listed: readonly string[]): string[] {
  const now = listed.map((zone) => {
    const renamed = RENAMED[zone];
    return renamed && isKnownZone(renamed) ? renamed : zone;
  });
  return [...new Set([...now, 'UTC'])];
}

const spaced = (text: string) => text.replaceAll('_', ' ');

/** The place that a zone is named after: "Asia/Tokyo" → "Tokyo". */
export const cityOf = (zone: string) => spaced(zone.split('/').at(-1)!);

function named(zone: string, locale: string, style: 'short' | 'long', epochMs: EpochMs): string {
  const format = new Intl.DateTimeFormat(locale, { timeZone: zone, timeZoneName: style });
  return format.formatToParts(epochMs).find(({ type }) => type === 'timeZoneName')?.value ?? '';
}

/** The abbreviation of a zone's time at an instant (epoch ms), or "". */
function abbreviationOf(zone: string, longName: string, epochMs: EpochMs): string {
  for (const locale of ABBREVIATING) {
    const short = named(zone, locale, 'short', epochMs);
    if (/^[A-Z]{2,5}$/.test(short)) return short;
  }
  return ABBREVIATIONS[longName] ?? '';
}

/** The abbreviations of a zone's other offsets in the year after an instant. */
function abbreviationsOfYear(zone: string, epochMs: EpochMs): string[] {
  const now = offsetAt(epochMs, zone);
  const others = [3, 6, 9]
    .map((months) => epochMs + months * 30 * DAY)
    .filter((at) => offsetAt(at, zone) !== now)
    .map((at) => abbreviationOf(zone, named(zone, 'en-GB', 'long', at), at));
  return [...new Set(others)].filter(Boolean);
}

/** What people call a zone at an instant (epoch ms). */
export function describeZone(zone: string, epochMs: EpochMs): ZoneEntry {
  const longName = named(zone, 'en-GB', 'long', epochMs);
  const offsetMs = offsetAt(epochMs, zone);
  return {
    zone,
    city: cityOf(zone),
    region: spaced(zone.split('/').slice(0, -1).join(' / ')),
    abbreviation: zone === 'UTC' ? 'UTC' : abbreviationOf(zone, longName, epochMs),
    otherAbbreviations: zone === 'UTC' ? ['GMT', 'Z'] : abbreviationsOfYear(zone, epochMs),
    longName,
    offset: describeOffset(offsetMs),
    offsetMs,
  };
}

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replaceAll(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/** "+9", "utc+5:30", "gmt-3" as ms; null for anything else. */
function offsetWanted(query: string): number | null {
  const m = /^(?:utc|gmt)?\s*([+\-−])\s*(\d{1,2})(?::?(\d{2}))?$/.exec(query);
  if (!m) return null;
  const ms = (Number(m[2]) * 60 + Number(m[3] ?? 0)) * 60_000;
  return m[1] === '+' ? ms : -ms;
}

/** How well an entry fits what was typed; 0 does not. */
function rank(entry: ZoneEntry, wanted: string, places: readonly string[]): number {
  const city = plain(entry.city);
  if (city === wanted || plain(entry.abbreviation) === wanted) return 5;
  if (places.some((place) => plain(place).startsWith(wanted))) return 4;
  if (city.startsWith(wanted)) return 3;
  if (entry.otherAbbreviations.some((name) => plain(name) === wanted)) return 4;
  const startsOther = [entry.abbreviation, entry.region].some((name) =>
    plain(name).startsWith(wanted),
  );
  if (city.includes(wanted) || startsOther) return 2;
  return plain(`${entry.longName} ${spaced(entry.zone)}`).includes(wanted) ? 1 : 0;
}

const byDistance = (a: ZoneEntry, b: ZoneEntry) =>
  a.offsetMs - b.offsetMs || (a.city < b.city ? -1 : 1);

/** Places that a zone is known by besides its own city. */
const placesIn = (zone: string): string[] => [
  ...Object.entries(PLACES).flatMap(([place, own]) => (own === zone ? [place] : [])),
  ...(FORMER.has(zone) ? [cityOf(FORMER.get(zone)!)] : []),
  ...(MORE_PLACES[zone]?.split(', ') ?? []),
];

/**
 * Zones by what was typed: a city by its name of now or before, another well-known place, part of a
 * region or name, an abbreviation in use in some part of the year, or an offset ("+9"). `entries` come from `describeZone`. The best first.
 */
export function searchZones(
  entries: readonly ZoneEntry[],
  query: string,
  limit: number,
): { entry: ZoneEntry; place: string }[] {
  const wanted = plain(query.trim());
  if (!wanted) return [];
  const offset = offsetWanted(wanted);
  if (offset !== null)
    return entries
      .filter(({ offsetMs }) => offsetMs === offset)
      .sort(byDistance)
      .slice(0, limit)
      .map((entry) => ({ entry, place: entry.city }));
  return entries
    .map((entry) => {
      const places = placesIn(entry.zone);
      const place = places.find((name) => plain(name).startsWith(wanted));
      return { entry, place: place ?? entry.city, rank: rank(entry, wanted, places) };
    })
    .filter((found) => found.rank > 0)
    .sort((a, b) => b.rank - a.rank || byDistance(a.entry, b.entry))
    .slice(0, limit)
    .map(({ entry, place }) => ({ entry, place }));
}
