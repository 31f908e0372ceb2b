import { wallOnClock } from '../editing/times';
import { dayOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { civilDate, dayOfWall } from '../time/civil';
import type { DayNumber, EpochMs } from '../time/units';
import type { World } from './checks/check';
import { fittingZone, likelyZones, onZone } from './checks/times';
import { findDoubles, joinDoubles } from './doubles';

/** What is odd about events that are about to come in: each by its place in their list. */
export interface Oddities {
  /** Those that are there already, with the event that is. */
  doubles: ReadonlyMap<number, CalendarEvent>;
  /** Those at night that fit another zone. */
  oddZones: ReadonlyMap<number, string>;
  /** Those in years that are far away. */
  farYears: ReadonlySet<number>;
}

/** Years before and after this one in which events are no surprise. */
const NEAR_YEARS = 8;

const yearOf = (day: DayNumber) => civilDate(day).year;

/** What is odd about events that come in, beside what is there. */
export function odditiesOf(
  incoming: readonly CalendarEvent[],
  world: Pick<World, 'events' | 'settings' | 'zone' | 'today'>,
): Oddities {
  const at = new Map(incoming.map((event, i) => [event.id, i]));
  const doubles = new Map<number, CalendarEvent>();
  const day = ({ start }: CalendarEvent) => dayOfWall(wallOnClock(start, world.zone));
  const days = new Set(incoming.map(day));
  // Only what lies on the same days can be the same.
  const near = world.events.filter((event) => days.has(day(event)));
  for (const group of findDoubles([...near, ...incoming], day)) {
    const known = group.find(({ id }) => !at.has(id));
    if (!known) continue;
    for (const { id } of group) {
      const place = at.get(id);
      if (place !== undefined) doubles.set(place, known);
    }
  }
  const zones = likelyZones(world);
  const oddZones = new Map(
    incoming.flatMap((event, i) => {
      const zone = event.rule === undefined ? fittingZone(event, zones) : null;
      return zone === null ? [] : [[i, zone] as const];
    }),
  );
  const year = yearOf(world.today);
  const farYears = new Set(
    incoming.flatMap((event, i) =>
      Math.abs(yearOf(dayOf(event.start)) - year) > NEAR_YEARS ? [i] : [],
    ),
  );
  return { doubles, oddZones, farYears };
}

/** Events that come in, put right: those at night on the clock that they fit; doubles become part of what is there. */
export function tidied(
  incoming: readonly CalendarEvent[],
  { doubles, oddZones }: Oddities,
  zone: string,
  now: EpochMs,
): { incoming: CalendarEvent[]; joined: { before: CalendarEvent; after: CalendarEvent }[] } {
  const joined = new Map<string, { before: CalendarEvent; after: CalendarEvent }>();
  const left: CalendarEvent[] = [];
  for (const [i, event] of incoming.entries()) {
    const known = doubles.get(i);
    if (known) {
      const { before, after } = joined.get(known.id) ?? { before: known, after: known };
      // What is there stays where the person has it; what comes in adds what it says besides.
      const choices = {
        title: known.id,
        calendarId: known.id,
        start: known.id,
        availability: known.id,
        visibility: known.id,
      };
      const both = [after, { ...event, created: Infinity }];
      joined.set(known.id, { before, after: joinDoubles(both, choices, now) });
      continue;
    }
    const better = oddZones.get(i);
    left.push(better === undefined ? event : { ...event, ...onZone(event, better, zone) });
  }
  return { incoming: left, joined: [...joined.values()] };
}
