import { DAY } from '../time/civil';
import type { WallMs } from '../time/units';
import { BARREN_LIMIT, END_OF_TIME, firstFrom, generate, periodStarts, UNITS } from './generate';
import type { Rule } from './rule';

/** What COUNT of a rule comes to. */
export interface Counted {
  /** The last start (wall ms); -Infinity when the rule never matches. */
  last: WallMs;
  /** Whether counting was given up, so that the rule is taken to go on. */
  isCut: boolean;
}

const lastByCount = new WeakMap<Rule, Map<number, Counted>>();

/**
 * Dates that are counted one by one, and periods that are gone through for it, at most. What a
 * person's rule counts stays far below; a rule that counts on is taken to go on instead of hanging.
 */
const MOST_COUNTED = 100_000;
const MOST_PERIODS = 36_525;

const EVEN_UNITS: Partial<Record<Rule['frequency'], number>> = {
  ...UNITS,
  DAILY: DAY,
  WEEKLY: 7 * DAY,
};

/** Ms from one date to the next where a rule has no parts that choose among them; null otherwise. */
export function evenStep(rule: Rule): number | null {
  const chooses =
    rule.byDay.length +
    rule.byMonthDay.length +
    rule.byYearDay.length +
    rule.byWeekNo.length +
    rule.byMonth.length +
    rule.byHour.length +
    rule.byMinute.length +
    rule.bySecond.length +
    rule.bySetPos.length;
  const unit = EVEN_UNITS[rule.frequency];
  return unit === undefined || chooses > 0 ? null : unit * rule.interval;
}

/** Counts date by date. */
function countUp(rule: Rule, start: number, count: number): Counted {
  let counted = 0;
  let last = -Infinity;
  generate(rule, start, start, END_OF_TIME, (wall) => {
    last = wall;
    return ++counted < Math.min(count, MOST_COUNTED);
  });
  const isCut = counted === MOST_COUNTED && counted < count;
  return { last: isCut ? Infinity : last, isCut };
}

/** The greatest common divisor of two whole numbers. */
const divisorOf = (a: number, b: number): number => (b === 0 ? a : divisorOf(b, a % b));

/** Steps of a rule after which its days come again: the Gregorian calendar repeats after 400 years. */
const stepsOfCycle = ({ frequency, interval }: Rule): number =>
  BARREN_LIMIT[frequency] / divisorOf(BARREN_LIMIT[frequency], interval);

/** Counts period by period, for rules with FREQ of DAILY or longer; whole cycles of 400 years at once. */
function countPeriods(rule: Rule, start: number, count: number): Counted {
  const periods = periodStarts(rule, start);
  const cycle = stepsOfCycle(rule);
  let left = count;
  let last = -Infinity;
  let barren = 0;
  // The first cycle is short of what lies before DTSTART: the second one tells how many a cycle has.
  let leftBefore = count;
  let step = 0;
  for (let gone = 0; gone < MOST_PERIODS; gone++, step++) {
    if (gone === cycle) leftBefore = left;
    if (gone === 2 * cycle && leftBefore > left) {
      const day = periods.startOf(step * rule.interval);
      const length = periods.startOf((step + cycle) * rule.interval) - day;
      const skipped = Math.min(
        Math.floor((left - 1) / (leftBefore - left)),
        Math.max(0, Math.floor((END_OF_TIME / DAY - day) / length) - 1),
      );
      left -= skipped * (leftBefore - left);
      step += skipped * cycle;
    }
    const index = step * rule.interval;
    if (barren > BARREN_LIMIT[rule.frequency] || periods.startOf(index) * DAY >= END_OF_TIME)
      return { last, isCut: false };
    const starts = periods.startsOf(index);
    // SKIP=FORWARD may give the last of one period and the first of the next as the same.
    const first = firstFrom(starts, Math.max(start, last + 1));
    const given = starts.size - first;
    if (given >= left) return { last: starts.at(first + left - 1), isCut: false };
    barren = given > 0 ? 0 : barren + 1;
    left -= given;
    if (given > 0) last = starts.at(starts.size - 1);
  }
  return { last: Infinity, isCut: true };
}

/** Counts the dates of a rule that ends after COUNT. Counted once from DTSTART and kept, so that windows far from it stay cheap. */
export function lastCounted(rule: Rule, start: number, count: number): Counted {
  let byStart = lastByCount.get(rule);
  if (!byStart) lastByCount.set(rule, (byStart = new Map()));
  let counted = byStart.get(start);
  if (!counted) {
    const step = evenStep(rule);
    const isWithinDays = rule.frequency in UNITS;
    counted =
      step !== null
        ? { last: start + (count - 1) * step, isCut: false }
        : (isWithinDays ? countUp : countPeriods)(rule, start, count);
    byStart.set(start, counted);
  }
  return counted;
}
