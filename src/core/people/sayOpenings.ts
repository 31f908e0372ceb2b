import type { Workweek } from '../model/others';
import type { Person } from '../model/person';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, minuteOfDay } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { Wording } from '../time/words';
import { joinWords, sayDay, sayMinute } from '../time/words';
import { cityOf } from '../time/zoneNames';
import { wallFromInstant } from '../time/zones';
import type { Hindrance } from './hindrances';
import type { InTheWay, OpeningRun } from './openings';

/** Whom openings are told of. */
export interface OpeningWording {
  clock: string;
  wording: Wording;
  /** The person's own hours, and how they are called among participants. */
  workweek: Workweek;
  me: string;
  personOf(id: string): Person | undefined;
}

/** How somebody is called in short: people by their first name, rooms and things in full. */
export const shortName = ({ name, kind }: Pick<Person, 'name' | 'kind'>): string =>
  kind === 'person' ? (name.split(/\s+/)[0] ?? name) : name;

/** Where somebody works on the day of a moment. */
const workplaceAt = (zone: string, workweek: Workweek, at: EpochMs) =>
  workdayOf(dayOfWall(wallFromInstant(at, zone)), workweek).workplace;

const WHY: Readonly<Record<Exclude<Hindrance, 'elsewhere'>, readonly [you: string, they: string]>> =
  {
    tentative: ['you may be booked', 'may be booked'],
    outside: ['you are not at work', 'is not at work'],
    busy: ['you are booked', 'is booked'],
    away: ['you are away', 'is away'],
  };

/** The same where who it is stands beside it: "is booked". */
export const sayWhy = (why: Hindrance): string =>
  why === 'elsewhere' ? 'works elsewhere' : WHY[why][1];

/** Why a time does not suit somebody: "Oskar would have to come from home". */
function sayInTheWay(
  { id, why }: InTheWay,
  at: EpochMs,
  { clock, workweek, me, personOf }: OpeningWording,
): string {
  const person = id === me ? null : personOf(id);
  const isMe = id === me;
  if (why === 'elsewhere') {
    const place = isMe
      ? workplaceAt(clock, workweek, at)
      : person
        ? workplaceAt(person.zone, person.workweek, at)
        : '';
    return `${isMe ? 'you' : person ? shortName(person) : 'somebody'} would have to come from ${place || 'elsewhere'}`;
  }
  const [you, they] = WHY[why];
  return isMe ? you : `${person ? shortName(person) : 'Somebody'} ${they}`;
}

/** Times on other clocks than the one that looks: "07:00 in Halifax". Each zone once. */
function timesElsewhere(
  at: EpochMs,
  people: readonly Person[],
  { clock, wording }: OpeningWording,
): string[] {
  const here = wallFromInstant(at, clock);
  const zones = [
    ...new Set(people.filter(({ kind }) => kind === 'person').map(({ zone }) => zone)),
  ];
  return zones.flatMap((zone) => {
    const wall = wallFromInstant(at, zone);
    if (wall === here) return [];
    const off = dayOfWall(wall) - dayOfWall(here);
    const day = off === 0 ? '' : off > 0 ? ' the day after' : ' the day before';
    return [`${sayMinute(minuteOfDay(wall), wording.hourCycle)}${day} in ${cityOf(zone)}`];
  });
}

/** What speaks for and against a time, in one line: "All clear, 10:00 in Lisbon". */
export function sayOpening(
  { first, inTheWay }: Pick<OpeningRun, 'first' | 'inTheWay'>,
  people: readonly Person[],
  around: OpeningWording,
): string {
  const reasons = inTheWay.map((one) => sayInTheWay(one, first, around));
  const said = reasons.length ? joinWords(reasons) : 'all clear';
  const line = [said, ...timesElsewhere(first, people, around)].join(', ');
  return line[0]!.toUpperCase() + line.slice(1);
}

/** When it could be: "Tue 1 Dec, 10:00", or for several starts "Tue 1 Dec, from 10:00 to 11:30". */
export function sayRun(
  { first, last, end }: Pick<OpeningRun, 'first' | 'last' | 'end'>,
  { clock, wording }: Pick<OpeningWording, 'clock' | 'wording'>,
): string {
  const [start, to] = [wallFromInstant(first, clock), wallFromInstant(end, clock)];
  const at = (wall: number) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const day = sayDay(dayOfWall(start), wording, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  });
  const until = to % DAY === 0 ? sayMinute(24 * 60, wording.hourCycle) : at(to);
  return first === last
    ? `${day}, ${at(start)} – ${until}`
    : `${day}, anywhere in ${at(start)} – ${until}`;
}
