import { formatDate, parseDate } from './civil';
import type { DayNumber } from './units';

/** A time spent elsewhere: plain dates, both included, and the zone whose clock counts on them. */
export interface Travel {
  from: string;
  to: string;
  zone: string;
}

/** A stay with its days as day numbers, the last included. */
export interface Stay {
  fromDay: DayNumber;
  toDay: DayNumber;
  zone: string;
}

interface TravelClock {
  home: string;
  stays: Stay[];
}

/** Begins the name of a clock that travels, and parts it; no zone's name has it. */
const MARK = '⇄';
const MARK_CODE = MARK.charCodeAt(0);
const PART = /^(\d{4}-\d{2}-\d{2})\/(\d{4}-\d{2}-\d{2})=(.+)$/;

const clocks = new Map<string, TravelClock>();

/**
 * The clock that a sheet goes by: the home zone's, and during travel that of the place. It is named
 * by a text that the functions of `zones.ts` take like a zone's name. Where it goes over from one
 * zone to the other it jumps, as any zone does when its offset changes. Where stays overlap, the
 * first given counts.
 */
export function sheetClock(home: string, travels: readonly Travel[]): string {
  const elsewhere = travels.filter(({ zone }) => zone !== home);
  if (!elsewhere.length) return home;
  return ['', home, ...elsewhere.map(({ from, to, zone }) => `${from}/${to}=${zone}`)].join(MARK);
}

/** Whether a name is that of a clock that travels. */
export const isTravelClock = (name: string) => name.charCodeAt(0) === MARK_CODE;

/** Home and stays of a clock that travels, read out of its name. */
export function readTravelClock(name: string): TravelClock {
  let clock = clocks.get(name);
  if (!clock) {
    const [, home = 'UTC', ...parts] = name.split(MARK);
    const stays = parts.map((part): Stay => {
      const [, from, to, zone] = PART.exec(part)!;
      return { fromDay: parseDate(from!), toDay: parseDate(to!), zone: zone! };
    });
    clocks.set(name, (clock = { home, stays }));
  }
  return clock;
}

/** The real zone whose clock counts on a day (day number). */
export function zoneOnDay(clock: string, day: DayNumber): string {
  if (!isTravelClock(clock)) return clock;
  const { home, stays } = readTravelClock(clock);
  return stays.find(({ fromDay, toDay }) => day >= fromDay && day <= toDay)?.zone ?? home;
}

/** What is wrong with a stay, in words; null when nothing is. */
export function travelProblem({ from, to }: Pick<Travel, 'from' | 'to'>): string | null {
  return parseDate(to) < parseDate(from) ? 'The last day is before the first.' : null;
}

/** A stay between days (day numbers, the last included). */
export function travelBetween(fromDay: DayNumber, toDay: DayNumber, zone: string): Travel {
  return { from: formatDate(fromDay), to: formatDate(toDay), zone };
}
