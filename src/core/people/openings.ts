import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { DayNumber, EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { Hindrance, Participant } from './hindrances';
import { hinderedOf, HINDRANCES, meets } from './hindrances';
import { UserError } from '../userError';

/** What is looked for. */
export interface OpeningWishes {
  /** It lies between these instants. */
  from: EpochMs;
  to: EpochMs;
  /** How long it lasts. */
  minutes: number;
  /** It begins at full slots of so many minutes, by the clock of whoever asks. */
  slot: number;
  clock: string;
  /** Minutes that those need before and after who are elsewhere that day. */
  travel: number;
  /** The workplace where all are to be; empty for anywhere. */
  place: string;
}

/** Somebody whom a time does not suit, and the weightiest reason. */
export interface InTheWay {
  id: string;
  why: Hindrance;
}

/** A time at which it could be, with whom that does not suit. */
export interface Opening {
  start: EpochMs;
  end: EpochMs;
  /** In the order of those who were asked for; empty when it is clear for all. */
  inTheWay: readonly InTheWay[];
  /** How much is in the way; 0 when it is clear for all. */
  weight: number;
}

/** What a hindrance of one who is required weighs. */
const WEIGHTS: Readonly<Record<Hindrance, number>> = {
  elsewhere: 4,
  tentative: 8,
  outside: 16,
  busy: 32,
  away: 40,
};
/** What is left of that for one who is not. */
const OPTIONAL_SHARE = 0.25;

const weightOf = (why: Hindrance, { isRequired }: Participant) =>
  WEIGHTS[why] * (isRequired ? 1 : OPTIONAL_SHARE);

/** Time looked at around what is asked for, so that ways to it count. */
const AROUND = DAY;

/** Tells the weightiest hindrance of one participant at times that come in order; null for none. */
function judge(
  participant: Participant,
  { from, to, travel, place }: Pick<OpeningWishes, 'from' | 'to' | 'travel' | 'place'>,
): (start: EpochMs, end: EpochMs) => Hindrance | null {
  const hindered = hinderedOf(participant, { from: from - AROUND, to: to + AROUND, place });
  const near = Object.fromEntries(HINDRANCES.map((why) => [why, meets(hindered[why])])) as Record<
    Hindrance,
    ReturnType<typeof meets>
  >;
  // From elsewhere the way counts too: it needs time that nothing takes.
  const far = {
    away: meets(hindered.away),
    busy: meets(hindered.busy),
    tentative: meets(hindered.tentative),
  };
  const way = travel * MINUTE;
  const isTaken = (why: keyof typeof far, start: EpochMs, end: EpochMs, isFar: boolean) =>
    isFar ? far[why](start - way, end + way) : near[why](start, end);
  return (start, end) => {
    const isElsewhere = near.elsewhere(start, end);
    const isFar = isElsewhere && way > 0;
    if (isTaken('away', start, end, isFar)) return 'away';
    if (isTaken('busy', start, end, isFar)) return 'busy';
    if (near.outside(start, end)) return 'outside';
    if (isTaken('tentative', start, end, isFar)) return 'tentative';
    return isElsewhere ? 'elsewhere' : null;
  };
}

/** The weightiest hindrance of somebody at one time (instants); null where it suits them. */
export const hindranceAt = (
  participant: Participant,
  { start, end }: { start: EpochMs; end: EpochMs },
): Hindrance | null =>
  judge(participant, { from: start, to: end, travel: 0, place: '' })(start, end);

/** Starts at full slots of a clock, each once: an hour that a clock leaves out has none of its own. */
function* startsOf({ from, to, minutes, slot, clock }: OpeningWishes): Generator<EpochMs> {
  const step = slot * MINUTE;
  const first = Math.floor(wallFromInstant(from, clock) / step) * step;
  let last = -Infinity;
  for (let wall = first; ; wall += step) {
    const start = instantFromWall(wall, clock);
    if (start + minutes * MINUTE > to) return;
    if (start < from || start <= last) continue;
    last = start;
    yield start;
  }
}

/**
 * Every time at which it could be, in order, each with whom it does not suit and why. Neighbours that
 * stand in the same people's way share one list of them.
 * @throws UserError for a length or a slot that is none.
 */
export function openings(participants: readonly Participant[], wishes: OpeningWishes): Opening[] {
  if (!(wishes.minutes > 0) || !(wishes.slot > 0))
    throw new UserError('refused', 'It has to last, and to begin at some slot.');
  const judges = participants.map((one) => judge(one, wishes));
  const whys: (Hindrance | null)[] = participants.map(() => null);
  const found: Opening[] = [];
  let inTheWay: readonly InTheWay[] = [];
  let weight = 0;
  for (const start of startsOf(wishes)) {
    const end = start + wishes.minutes * MINUTE;
    let isOther = false;
    for (let i = 0; i < judges.length; i++) {
      const why = judges[i]!(start, end);
      if (why !== whys[i]) isOther = true;
      whys[i] = why;
    }
    if (isOther) {
      inTheWay = participants.flatMap(({ id }, i) => (whys[i] ? [{ id, why: whys[i] }] : []));
      weight = participants.reduce(
        (sum, one, i) => sum + (whys[i] ? weightOf(whys[i], one) : 0),
        0,
      );
    }
    found.push({ start, end, inTheWay, weight });
  }
  return found;
}

/** Times that follow each other slot by slot on one day and suit the same people. */
export interface OpeningRun {
  /** Day number on the clock of whoever asks. */
  day: DayNumber;
  /** The first and the last start, and when the last ends. */
  first: EpochMs;
  last: EpochMs;
  end: EpochMs;
  inTheWay: readonly InTheWay[];
  weight: number;
}

/** Openings, as they were found, with those beside each other as one. */
export function runsOf(
  found: readonly Opening[],
  { slot, clock }: Pick<OpeningWishes, 'slot' | 'clock'>,
): OpeningRun[] {
  const runs: OpeningRun[] = [];
  for (const { start, end, inTheWay, weight } of found) {
    const day = dayOfWall(wallFromInstant(start, clock));
    const run = runs.at(-1);
    const goesOn =
      run?.day === day && start - run.last <= slot * MINUTE && run.inTheWay === inTheWay;
    if (run && goesOn) {
      run.last = start;
      run.end = end;
    } else runs.push({ day, first: start, last: start, end, inTheWay, weight });
  }
  return runs;
}

/** The best first: by what is in the way, then the earliest. */
export const bestFirst = (runs: readonly OpeningRun[]): OpeningRun[] =>
  runs.toSorted((a, b) => a.weight - b.weight || a.first - b.first);

/** How a day stands for those who are asked. */
export type DayStanding = 'all' | 'some' | 'none';

/**
 * How each day stands on which it could be: for *all* when there is a time that is clear for all, for
 * *some* when there is one that suits more than half of them, else for *none*.
 */
export function dayStandings(
  runs: readonly OpeningRun[],
  participants: number,
): Map<DayNumber, DayStanding> {
  const days = new Map<DayNumber, DayStanding>();
  for (const { day, inTheWay } of runs) {
    const hindered = inTheWay.length;
    if (hindered === 0) days.set(day, 'all');
    else if (days.get(day) !== 'all' && hindered * 2 < participants) days.set(day, 'some');
    else if (!days.has(day)) days.set(day, 'none');
  }
  return days;
}
