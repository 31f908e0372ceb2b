import { spanOnClock } from '../agenda/onClock';
import type { EventTime } from '../model/common';
import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf } from '../model/event';
import { MINUTE, minuteOfDay, dayOfWall } from '../time/civil';
import { zoneOnDay } from '../time/sheetClock';
import type { Wording } from '../time/words';
import { sayDay, sayLength, sayMinute, saySpanFrom, SHORT_DAY } from '../time/words';
import { cityOf } from '../time/zoneNames';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { WallMs } from '../time/units';

/** The times of an event by its own clocks, where those differ from the one that shows it; null where they don't. */
export function ownTimes(
  event: { start: EventTime; end: EventTime },
  clock: string,
  wording: Wording,
): string | null {
  const [startZone, endZone] = [zoneOf(event.start), zoneOf(event.end)];
  if (startZone === null || endZone === null) return null;
  const [start, end] = [wallOf(event.start), wallOf(event.end)];
  const shownStart = wallFromInstant(instantFromWall(start, startZone), clock);
  const shownZone = zoneOnDay(clock, dayOfWall(shownStart));
  if (startZone === shownZone && endZone === shownZone) return null;
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const on = (wall: WallMs) =>
    dayOfWall(wall) === dayOfWall(shownStart)
      ? ''
      : `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, `;
  if (startZone === endZone)
    return `${on(start)}${at(start)} – ${dayOfWall(end) === dayOfWall(start) ? '' : on(end)}${at(end)} in ${cityOf(startZone)}`;
  return `${on(start)}${at(start)} in ${cityOf(startZone)} – ${on(end)}${at(end)} in ${cityOf(endZone)}`;
}

/** What an hour is at home, for someone who looks from elsewhere or edits by another clock: "07:00 – 08:00 in London". */
export function homeTimes(
  span: { start: number; end: number; wholeDay: boolean },
  clock: string,
  home: string,
  wording: Wording,
): string | null {
  if (span.wholeDay || zoneOnDay(clock, dayOfWall(span.start)) === home) return null;
  const there = (wall: WallMs) => wallFromInstant(instantFromWall(wall, clock), home);
  const [start, end] = [there(span.start), there(span.end)];
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const day =
    dayOfWall(start) === dayOfWall(span.start)
      ? ''
      : `${sayDay(dayOfWall(start), wording, SHORT_DAY)}, `;
  return `${day}${at(start)} – ${at(end)} in ${cityOf(home)}`;
}

/** A time of day that its zone's clock leaves out on its day, as it was said; null for any other. */
function leftOut(time: EventTime, { hourCycle }: Wording): string | null {
  const zone = zoneOf(time);
  const wall = wallOf(time);
  if (zone === null || wallFromInstant(instantFromWall(wall, zone), zone) === wall) return null;
  return sayMinute(minuteOfDay(wall), hourCycle);
}

/**
 * When a new event lies on a clock, seen from now (wall ms), and how long it lasts: "Tue 24 Nov,
 * 14:00 – 15:30 · 1 h 30 min". Where its start is left out by the clock, it says so.
 */
export function sayTimes(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  now: WallMs,
  clock: string,
  wording: Wording,
): string {
  const span = spanOnClock(event, clock);
  const missing = leftOut(event.start, wording);
  return [
    saySpanFrom(now, span, wording),
    ...(span.wholeDay ? [] : [sayLength(durationOf(event) / MINUTE)]),
    ...(missing === null ? [] : [`clocks leave ${missing} out that day`]),
  ].join(' · ');
}
