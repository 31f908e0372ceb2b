import type { EventTime } from '../model/common';
import { dayOf, wallOf, zoneOf } from '../model/common';
import { dayOfWall } from '../time/civil';
import type { DayNumber, WallMs } from '../time/units';
import { instantOf, wallFromInstant } from '../time/zones';

/** The day on which a time is on a clock (an IANA zone); a date is that date everywhere. */
export function dayOn(time: EventTime, clock: string): DayNumber {
  return time.kind === 'zoned' ? dayOfWall(wallOn(time, clock)) : dayOf(time);
}

/** A time on a clock, wall ms; a date means its midnight. */
function wallOn(time: EventTime, clock: string): WallMs {
  const zone = zoneOf(time);
  return zone === null || zone === clock
    ? wallOf(time)
    : wallFromInstant(instantOf(wallOf(time), zone, clock), clock);
}
