import { DAY } from './civil';
import { MORE_PLACES } from './morePlaces';
import type { EpochMs } from './units';
import { cityOf, FORMER, PLACES, spaced } from './zoneNames';
import { describeOffset, offsetAt } from './zones';

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
  /** Places that it is known by besides its own city. */
  places: string[];
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

/** Places that a zone is known by besides its own city. */
const placesIn = (zone: string): string[] => [
  ...Object.entries(PLACES).flatMap(([place, own]) => (own === zone ? [place] : [])),
  ...(FORMER.has(zone) ? [cityOf(FORMER.get(zone)!)] : []),
  ...(MORE_PLACES[zone]?.split(', ') ?? []),
];

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
    places: placesIn(zone),
  };
}
