import type { Stretch } from '../agenda/booked';
import { mergeStretches } from '../agenda/booked';
import type { Workweek } from '../model/others';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { BusyStretch } from './busy';

/** Why a time does not suit somebody, from what weighs least to what weighs most. */
export const HINDRANCES = ['elsewhere', 'tentative', 'outside', 'busy', 'away'] as const;
export type Hindrance = (typeof HINDRANCES)[number];

/** How the person is called among participants. */
export const ME = 'me';

/** Somebody who is to be there. */
export interface Participant {
  id: string;
  /** Those who are not required weigh less. */
  isRequired: boolean;
  zone: string;
  /** When they work and where, by the clock of their zone. */
  workweek: Workweek;
  busy: readonly BusyStretch[];
}

/** When each hindrance stands in somebody's way: stretches in order that neither touch nor overlap. */
export type Hindered = Readonly<Record<Hindrance, readonly Stretch[]>>;

/** Working time of each day that touches [from, to), with where it is spent; instants. */
function* workOf(
  { zone, workweek }: Pick<Participant, 'zone' | 'workweek'>,
  from: EpochMs,
  to: EpochMs,
): Generator<Stretch & { workplace: string; day: Stretch }> {
  const last = dayOfWall(wallFromInstant(to, zone));
  for (let day = dayOfWall(wallFromInstant(from, zone)) - 1; day <= last; day++) {
    const { hours, workplace } = workdayOf(day, workweek);
    if (!hours) continue;
    const at = (minutes: number) => instantFromWall(day * DAY + minutes * MINUTE, zone);
    yield {
      start: at(hours.from),
      end: at(hours.to),
      workplace,
      day: { start: at(0), end: at(24 * 60) },
    };
  }
}

/** What is left of [from, to) beside stretches that are in order. */
function beside(stretches: readonly Stretch[], from: EpochMs, to: EpochMs): Stretch[] {
  const left: Stretch[] = [];
  let at = from;
  for (const { start, end } of stretches) {
    if (start > at) left.push({ start: at, end: Math.min(start, to) });
    at = Math.max(at, end);
    if (at >= to) break;
  }
  if (at < to) left.push({ start: at, end: to });
  return left;
}

/**
 * What stands in somebody's way between two instants. `place` is the workplace at which all are to
 * be: who works at another on a day is elsewhere on all of it; empty where it does not matter.
 */
export function hinderedOf(
  participant: Participant,
  { from, to, place }: { from: EpochMs; to: EpochMs; place: string },
): Hindered {
  const work = [...workOf(participant, from, to)];
  const taken = (kind: BusyStretch['taken']) =>
    mergeStretches(participant.busy.filter((one) => one.taken === kind && one.end > one.start));
  return {
    tentative: taken('tentative'),
    busy: taken('busy'),
    away: taken('away'),
    outside: beside(mergeStretches(work.filter(({ start, end }) => end > start)), from, to),
    elsewhere: mergeStretches(
      work
        .filter(({ workplace }) => place !== '' && workplace !== place)
        .map(({ day: { start, end } }) => ({ start, end })),
    ),
  };
}

/** Answers whether a stretch that never goes back meets any of some that are in order; each call goes on from the last. */
export function meets(stretches: readonly Stretch[]): (start: EpochMs, end: EpochMs) => boolean {
  let at = 0;
  return (start, end) => {
    while (at < stretches.length && stretches[at]!.end <= start) at++;
    return at < stretches.length && stretches[at]!.start < end;
  };
}
