import { applied, readyStep } from '../../bulk/apply';
import { movedTimes, wallOnClock, withLength } from '../../editing/times';
import type { EventTime } from '../../model/common';
import { timeOfInstant, wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { durationOf, isSeries, isWholeDay, revised } from '../../model/event';
import { titleOf } from '../../model/titleOf';
import { daytimeOf, nextWorkday, workdayOf } from '../../model/workweek';
import { DAY, dayOfWall, HOUR, MINUTE, minuteOfDay } from '../../time/civil';
import { sayLength, saySpan } from '../../time/words';
import { cityOf } from '../../time/zoneNames';
import { instantFromWall, wallFromInstant } from '../../time/zones';
import type { Check, World } from './check';
import { keyOf } from './check';
import { partsOfId } from '../../agenda/occurrence';
import { whenOf } from './words';

/** Hours at which hardly anybody has an event. */
const isOdd = (minute: number) => minute < 6 * 60 || minute >= 22 * 60;
const isDaytime = (minute: number) => minute >= 8 * 60 && minute < 18 * 60;
/** An evening's end or a journey is no slip: what lasts longer is left alone. */
const LONGEST = 4 * HOUR;

/** Zones that an event may have been meant in: home, those that are watched, and those of other events. */
export function likelyZones({
  events,
  settings,
  zone,
}: Pick<World, 'events' | 'settings' | 'zone'>): string[] {
  const counts = new Map<string, number>();
  for (const { start } of events) {
    const own = zoneOf(start);
    if (own) counts.set(own, (counts.get(own) ?? 0) + 1);
  }
  const often = [...counts].sort((a, b) => b[1] - a[1]).map(([name]) => name);
  return [...new Set([zone, ...settings.zones.map((watched) => watched.zone), ...often])].slice(
    0,
    8,
  );
}

/** A zone by whose clock the same moment is in the day, where an event's own has it at night. */
export function fittingZone(event: CalendarEvent, zones: readonly string[]): string | null {
  const own = zoneOf(event.start);
  if (own === null || isWholeDay(event) || durationOf(event) > LONGEST) return null;
  if (!isOdd(minuteOfDay(wallOf(event.start)))) return null;
  const instant = instantFromWall(wallOf(event.start), own);
  const fits = (zone: string) =>
    zone !== own && isDaytime(minuteOfDay(wallFromInstant(instant, zone)));
  return zones.find(fits) ?? null;
}

/** The same moments by another zone's clock. `viewZone` is the clock of times that float. */
export function onZone(
  { start, end }: Pick<CalendarEvent, 'start' | 'end'>,
  zone: string,
  viewZone: string,
): Pick<CalendarEvent, 'start' | 'end'> {
  const turned = (time: EventTime) =>
    timeOfInstant(instantFromWall(wallOf(time), zoneOf(time) ?? viewZone), zone);
  return { start: turned(start), end: turned(end) };
}

/** Events at night by their own clock, and by day in another zone that is known. */
export const oddHours: Check = {
  find(world) {
    const zones = likelyZones(world);
    return world.events.flatMap((event) => {
      const zone = fittingZone(event, zones);
      if (zone === null) return [];
      const there = saySpan(
        {
          start: wallOnClock(event.start, zone),
          end: wallOnClock(event.end, zone),
          wholeDay: false,
        },
        world.wording,
      );
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason: `${whenOf(event, { ...world, zone: zoneOf(event.start)! })} in ${cityOf(zoneOf(event.start)!)}; in ${cityOf(zone)} that is ${there}`,
        ways: isSeries(event) ? [] : [{ how: 'zone', label: `Put it on ${cityOf(zone)}’s clock` }],
      };
    });
  },
  mend({ ids }, _how, world, hand) {
    const event = hand.event(ids[0]!);
    const zone = event && fittingZone(event, likelyZones(world));
    if (!event || !zone) return;
    hand.putEvent(revised(event, onZone(event, zone, world.zone), world.now));
  },
};

/** Longer than a working day and its evening; journeys between zones last as long as they do. */
const TOO_LONG = 16 * HOUR;
const TOO_MANY_DAYS = 62 * DAY;

/** Events that last no time, or far too long. */
export const lengths: Check = {
  find: (world) =>
    world.events.flatMap((event) => {
      const ms = durationOf(event);
      const isWhole = isWholeDay(event);
      const isNone = !isWhole && ms === 0;
      const isLong = isWhole ? ms > TOO_MANY_DAYS : ms > TOO_LONG && !hasTwoZones(event);
      if (!isNone && !isLong) return [];
      const usual = sayLength(world.settings.defaultLength);
      return {
        key: keyOf(event.id, String(ms)),
        ids: [event.id],
        title: titleOf(event),
        reason: `${isNone ? 'It lasts no time' : `It lasts ${sayLength(Math.round(ms / MINUTE))}`} · ${whenOf(event, world)}`,
        ways: [
          ...(isLong && !isWhole && !isSeries(event)
            ? [{ how: 'days', label: 'Make it whole days' }]
            : []),
          ...(isWhole ? [] : [{ how: 'usual', label: `Make it ${usual}` }]),
        ],
      };
    }),
  mend({ ids }, how, { now, settings }, hand) {
    const event = hand.event(ids[0]!);
    if (!event) return;
    if (how === 'usual') {
      const times = withLength(event, settings.defaultLength * MINUTE);
      return hand.putEvent(revised(event, times, now));
    }
    const { after } = applied(event, [readyStep({ kind: 'wholeDay' })], {
      viewZone: zoneOf(event.start) ?? 'UTC',
      nth: 0,
      calendar: undefined,
    });
    hand.putEvent(revised(event, after, now));
  },
};

const hasTwoZones = ({ start, end }: CalendarEvent) => zoneOf(start) !== zoneOf(end);

/** Days ahead in which hours outside of work are looked for. */
const AHEAD = 30;

/** Single booked events of the next weeks when nobody works. */
export const outsideHours: Check = {
  find(world) {
    const own = new Set(world.calendars.flatMap((c) => (c.kind === 'own' ? [c.id] : [])));
    const { workweek } = world.settings;
    return world.occurrencesIn(world.today, world.today + AHEAD).flatMap((o) => {
      if (o.wholeDay || o.dateKey !== null || o.availability !== 'busy' || !own.has(o.calendarId))
        return [];
      // What lasts longer than a day of work has no place within one.
      if (o.start < world.today * DAY || o.end - o.start > TOO_LONG / 2) return [];
      const day = dayOfWall(o.start);
      const { hours } = workdayOf(day, workweek);
      const from = minuteOfDay(o.start);
      const to = from + (o.end - o.start) / MINUTE;
      if (hours && from >= hours.from && to <= hours.to) return [];
      return {
        key: keyOf(o.id, String(o.start)),
        ids: [o.id],
        title: titleOf(o),
        reason: `${hours ? 'Outside of working hours' : 'On a day off'}: ${saySpan(o, world.wording)}`,
        ways: [{ how: 'work', label: 'To the next working hours' }],
      };
    });
  },
  mend({ ids }, _how, { now, zone, settings }, hand) {
    const event = hand.event(partsOfId(ids[0]!).eventId);
    if (!event) return;
    const { workweek } = settings;
    const start = wallOnClock(event.start, zone);
    const length = wallOnClock(event.end, zone) - start;
    const day = dayOfWall(start);
    const fits = (other: number, earliest: number) => {
      const { hours } = workdayOf(other, workweek);
      if (!hours) return null;
      const from = Math.max(other * DAY + hours.from * MINUTE, earliest);
      return from + length <= other * DAY + hours.to * MINUTE ? from : null;
    };
    const next = nextWorkday(day, workweek);
    const to =
      fits(day, start) ??
      fits(next, -Infinity) ??
      next * DAY + daytimeOf(next, workweek).from * MINUTE;
    hand.putEvent(revised(event, movedTimes(event, to, zone), now));
  },
};
