import type { Occurrence } from '../agenda/occurrence';
import { isBooked } from '../agenda/occurrence';
import type { Person } from '../model/person';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, MINUTE, minuteOfDay } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { Wording } from '../time/words';
import { sayDay, sayMinute } from '../time/words';
import { cityOf } from '../time/zoneNames';
import { instantFromWall, wallFromInstant } from '../time/zones';

/** How it stands with somebody at a moment, and until when; null for longer than is looked. */
export interface PersonStanding {
  is: 'clear' | 'taken' | 'off';
  until: EpochMs | null;
  /** What takes their time; null where nothing does. */
  by: Occurrence | null;
}

/** Days that are looked ahead for the next day of work. */
const AHEAD = 10;

/** The working time that holds a moment, or the next one; instants. */
function workAround(
  { zone, workweek }: Person,
  at: EpochMs,
): { start: EpochMs; end: EpochMs } | null {
  const today = dayOfWall(wallFromInstant(at, zone));
  for (let day = today; day < today + AHEAD; day++) {
    const { hours } = workdayOf(day, workweek);
    if (!hours) continue;
    const [start, end] = [hours.from, hours.to].map((minute) =>
      instantFromWall(day * DAY + minute * MINUTE, zone),
    ) as [number, number];
    if (end > at) return { start, end };
  }
  return null;
}

/** How it stands with somebody at a moment, by what is known of their time around it. */
export function standingOf(
  person: Person,
  occurrences: readonly Occurrence[],
  now: EpochMs,
): PersonStanding {
  const booked = occurrences.filter((o) => isBooked(o) && o.endMs > o.startMs);
  const by = booked.find((o) => o.startMs <= now && o.endMs > now) ?? null;
  if (by) {
    let until = by.endMs;
    // What follows at once goes on taking it.
    for (const o of booked) if (o.startMs <= until && o.endMs > until) until = o.endMs;
    return { is: 'taken', until, by };
  }
  const work = workAround(person, now);
  if (!work) return { is: 'off', until: null, by: null };
  if (work.start > now) return { is: 'off', until: work.start, by: null };
  const next = booked.find(({ startMs }) => startMs > now)?.startMs ?? Infinity;
  return { is: 'clear', until: Math.min(next, work.end), by: null };
}

/** Where and when somebody is: "06:25 in Halifax"; empty where their clock is the one that looks. */
export function sayTheirTime(
  { zone }: Pick<Person, 'zone'>,
  now: EpochMs,
  clock: string,
  { hourCycle }: Pick<Wording, 'hourCycle'>,
): string {
  const wall = wallFromInstant(now, zone);
  if (wall === wallFromInstant(now, clock)) return '';
  return `${sayMinute(minuteOfDay(wall), hourCycle)} in ${cityOf(zone)}`;
}

/** A moment from another: "11:00", or with its day where that is another one. */
export function sayMoment(at: EpochMs, now: EpochMs, clock: string, wording: Wording): string {
  const wall = wallFromInstant(at, clock);
  const time = sayMinute(minuteOfDay(wall), wording.hourCycle);
  const day = dayOfWall(wall);
  return day === dayOfWall(wallFromInstant(now, clock))
    ? time
    : `${sayDay(day, wording, { weekday: 'short', day: 'numeric', month: 'short' })}, ${time}`;
}

/** "clear until 11:00", "booked until 12:30: Ledger", "not at work until Thu 26 Nov, 09:00". */
export function sayStanding(
  { is, until, by }: PersonStanding,
  now: EpochMs,
  clock: string,
  wording: Wording,
): string {
  const end = until === null ? '' : ` until ${sayMoment(until, now, clock, wording)}`;
  if (is === 'off') return `not at work${end}`;
  if (is === 'clear') return `clear${end}`;
  const how =
    by?.availability === 'away'
      ? 'away'
      : by?.availability === 'tentative'
        ? 'maybe booked'
        : 'booked';
  const known = by && !['Booked', 'Maybe', 'Away'].includes(by.title) ? `: ${by.title}` : '';
  return `${how}${end}${known}`;
}
