import { zoneNamed } from '../time/namedZones';
import type { CalendarEvent } from '../model/event';
import { DAY, formatLocal } from '../time/civil';
import type { WallMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';

/** Whose clocks a journey's departure and arrival are on. */
export interface JourneyZones {
  /** Null where it leaves from a place that is not known to have a clock of its own. */
  from: string | null;
  to: string;
  /** Whether only the way it goes says so: "flight to Halifax, dep 9:10, arr 12:05". */
  isGuess: boolean;
}

const CITY = "\\p{Lu}[\\p{L}'’.-]+(?:\\s\\p{Lu}[\\p{L}'’-]+)?";
const TIME = '\\d{1,2}[:.h]?\\d{0,2}(?:\\s*[ap]m)?';
const IN = '(?:in|at|from|to|,|\\()?\\s*';
const DEPARTS = new RegExp(
  `\\b(?:[Dd]ep(?:art(?:s|ing|ure)?)?|[Ll]eav(?:e|es|ing))\\.?:?\\s+(?:${IN}(${CITY})[\\s,]+(?:at\\s+)?)?${TIME}(?:\\s+${IN}(${CITY}))?`,
  'u',
);
const ARRIVES = new RegExp(
  `\\b[Aa]rr(?:iv(?:e|es|ing|al))?\\.?:?\\s+(?:${IN}(${CITY})[\\s,]+(?:at\\s+)?)?(?:at\\s+)?${TIME}(?:\\s+${IN}(${CITY}))?`,
  'u',
);
const GOES_TO = new RegExp(`\\b(?:from\\s+(${CITY})\\s+)?to\\s+(${CITY})`, 'u');

/** The zone of a city, or of its first word: "Halifax Stanfield". */
function zoneOf(city: string | undefined): string | null {
  if (!city) return null;
  return zoneNamed(city.toLowerCase()) ?? zoneNamed(city.split(' ')[0]!.toLowerCase());
}

/** Reads on whose clocks a journey leaves and arrives; null where a sentence names no arrival by another clock. */
export function journeyZones(sentence: string): JourneyZones | null {
  const [departs, arrives] = [DEPARTS.exec(sentence), ARRIVES.exec(sentence)];
  if (!arrives) return null;
  const [, start, goal] = GOES_TO.exec(sentence) ?? [];
  const from = zoneOf(departs?.[1] ?? departs?.[2]) ?? zoneOf(start);
  const said = zoneOf(arrives[1] ?? arrives[2]);
  const to = said ?? zoneOf(goal);
  return to === null ? null : { from, to, isGuess: said === null };
}

/**
 * When a journey ends (wall ms on the clock of its start), whose arrival (wall ms) is by the clock of where it
 * goes: the first such time after it left.
 */
export function arrivalOn(
  start: { wall: WallMs; zone: string },
  arrival: { wall: WallMs; zone: string },
): WallMs {
  const left = instantFromWall(start.wall, start.zone);
  let wall = arrival.wall;
  while (instantFromWall(wall, arrival.zone) <= left) wall += DAY;
  while (instantFromWall(wall - DAY, arrival.zone) > left) wall -= DAY;
  return wallFromInstant(instantFromWall(wall, arrival.zone), start.zone);
}

/** What a journey says of its end: wall ms on the clock of `zone` (null for `clock`), and whose clock it ends by. */
interface Arrival {
  end: WallMs;
  wholeDay: boolean;
  zone: string | null;
  endZone?: string | undefined;
}

/** Returns an event with the end of a journey by the clock of where it goes; as it is, where that is its own. */
export function withArrival(
  event: CalendarEvent,
  { end, wholeDay, zone, endZone }: Arrival,
  clock: string,
): CalendarEvent {
  if (endZone === undefined || wholeDay) return event;
  const arrival = wallFromInstant(instantFromWall(end, zone ?? clock), endZone);
  return { ...event, end: { kind: 'zoned', local: formatLocal(arrival), zone: endZone } };
}
