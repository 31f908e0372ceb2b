import type { ZoneEntry } from './zoneEntries';
import { spaced } from './zoneNames';

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
function rank(entry: ZoneEntry, wanted: string): number {
  const city = plain(entry.city);
  if (city === wanted || plain(entry.abbreviation) === wanted) return 5;
  if (entry.places.some((place) => plain(place).startsWith(wanted))) return 4;
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
      const place = entry.places.find((name) => plain(name).startsWith(wanted));
      return { entry, place: place ?? entry.city, rank: rank(entry, wanted) };
    })
    .filter((found) => found.rank > 0)
    .sort((a, b) => b.rank - a.rank || byDistance(a.entry, b.entry))
    .slice(0, limit)
    .map(({ entry, place }) => ({ entry, place }));
}
