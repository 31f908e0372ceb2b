import type { Weekday } from './civil';
import { DAY, dayOfWall, minuteOfDay, weekdayOf } from './civil';
import { wallFromInstant } from './zones';
import type { DayNumber, EpochMs, WallMs } from './units';

/** Usual office hours anywhere, in minutes of the day: what people elsewhere are taken to keep. */
const OFFICE = { from: 9 * 60, to: 17 * 60 };

/** How it is somewhere at an instant. */
export interface ClockElsewhere {
  zone: string;
  /** Wall ms there. */
  wall: WallMs;
  /** Days that its date is ahead (1) or behind (-1) of the clock it is compared with. */
  dayShift: number;
  /** Minutes that its clock is ahead. */
  ahead: number;
  isOfficeTime: boolean;
}

/** What a clock in `zone` shows at an instant (epoch ms), compared with one in `home`. */
export function clockElsewhere(
  epochMs: EpochMs,
  zone: string,
  home: string,
  offDays: readonly Weekday[] = [5, 6],
): ClockElsewhere {
  const wall = wallFromInstant(epochMs, zone);
  const homeWall = wallFromInstant(epochMs, home);
  const minute = minuteOfDay(wall);
  return {
    zone,
    wall,
    dayShift: dayOfWall(wall) - dayOfWall(homeWall),
    ahead: (wall - homeWall) / 60_000,
    isOfficeTime:
      !offDays.includes(weekdayOf(dayOfWall(wall))) && minute >= OFFICE.from && minute < OFFICE.to,
  };
}

/** How a zone's clock stands to the sheet's, with the days on which it does. */
export interface AxisHours {
  zone: string;
  /** Minutes that the zone's clock is ahead of the sheet's. */
  ahead: number;
  /** Day numbers. */
  days: number[];
}

/**
 * How a zone's clock stands to the sheet's over the days in [fromDay, toDay): once, or once more
 * for every way in which it stands after one of them changed. Each day counts as it stands at
 * `atMinute` of the day, when people work. `instantOf` gives the epoch ms of a wall time on the sheet.
 */
export function axisHours(
  zone: string,
  fromDay: DayNumber,
  toDay: DayNumber,
  instantOf: (wall: WallMs) => number,
  atMinute = 12 * 60,
): AxisHours[] {
  const found = new Map<number, AxisHours>();
  for (let day = fromDay; day < toDay; day++) {
    const wall = day * DAY + atMinute * 60_000;
    const ahead = (wallFromInstant(instantOf(wall), zone) - wall) / 60_000;
    const hours = found.get(ahead);
    if (hours) hours.days.push(day);
    else found.set(ahead, { zone, ahead, days: [day] });
  }
  return [...found.values()];
}

/** Days in a row as their first and last: Mon, Fri, Sat, Sun → Mon; Fri–Sun. */
export function runsOf(days: readonly number[]): [number, number][] {
  const runs: [number, number][] = [];
  for (const day of days) {
    const last = runs.at(-1);
    if (last?.[1] === day - 1) last[1] = day;
    else runs.push([day, day]);
  }
  return runs;
}
