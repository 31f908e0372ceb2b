import { DAY, dayNumber, dayOfWall, HOUR, MINUTE } from '../time/civil';
import type { WallMs } from '../time/units';
import type { Periods } from './periods';
import { passesDayLimits, periodsOf } from './periods';
import type { Rule } from './rule';

/** Wall ms: no series is followed beyond the years that four digits can write. */
export const END_OF_TIME = dayNumber(9999, 12, 31) * DAY + DAY;

/**
 * Periods in a row without a date after which a rule never gives one, so that it ends instead of
 * hanging. The Gregorian calendar repeats after 400 years, whole weeks all: as many steps of any
 * INTERVAL see every case. Rules within days add at most a day's worth of steps to that.
 */
export const BARREN_LIMIT = {
  YEARLY: 400,
  MONTHLY: 4800,
  WEEKLY: 20_871,
  DAILY: 146_097,
  HOURLY: 100_000,
  MINUTELY: 100_000,
  SECONDLY: 100_000,
};

interface Sink {
  /** Takes the next start (wall ms, ascending); false stops the expansion. */
  (wall: WallMs): boolean;
}

/** Times of day that a rule sets, in ms after midnight, ascending (RFC 5545 §3.3.10, BYHOUR to BYSECOND). */
function timesOfDay(rule: Rule, start: number): number[] {
  const ofDay = start - dayOfWall(start) * DAY;
  if (!rule.byHour.length && !rule.byMinute.length && !rule.bySecond.length) return [ofDay];
  let byStart = timesByStart.get(rule);
  if (!byStart) timesByStart.set(rule, (byStart = new Map()));
  let times = byStart.get(ofDay);
  if (!times) byStart.set(ofDay, (times = makeTimesOfDay(rule, ofDay)));
  return times;
}

const timesByStart = new WeakMap<Rule, Map<number, number[]>>();

function makeTimesOfDay(rule: Rule, ofDay: number): number[] {
  const hours = rule.byHour.length ? rule.byHour : [Math.floor(ofDay / HOUR)];
  const minutes = rule.byMinute.length ? rule.byMinute : [Math.floor(ofDay / MINUTE) % 60];
  const seconds = rule.bySecond.length ? rule.bySecond : [Math.floor(ofDay / 1000) % 60];
  const times = hours.flatMap((h) =>
    minutes.flatMap((m) => seconds.map((s) => h * HOUR + m * MINUTE + s * 1000)),
  );
  return [...new Set(times)].sort((a, b) => a - b);
}

/** The entries of a sorted set that BYSETPOS names, counted from either end, ascending. */
function pickPositions(set: number[], positions: number[]): number[] {
  if (!positions.length) return set;
  return positionsIn(set.length, positions).map((i) => set[i]!);
}

/** Where in a set of some size the entries lie that BYSETPOS names, ascending. */
function positionsIn(size: number, positions: readonly number[]): number[] {
  const places = positions
    .map((position) => (position > 0 ? position - 1 : size + position))
    .filter((place) => place >= 0 && place < size);
  return [...new Set(places)].sort((a, b) => a - b);
}

/** The starts of one period, ascending, worked out only where they are looked at: there may be millions. */
interface Starts {
  size: number;
  at(i: number): number;
}

const NO_STARTS: Starts = { size: 0, at: () => NaN };

/** Days with times of day, as the starts of a period; BYSETPOS picks among them. */
function startsOn(days: number[], times: number[], positions: readonly number[]): Starts {
  if (!days.length) return NO_STARTS;
  const width = times.length;
  const start = (i: number) => days[Math.floor(i / width)]! * DAY + times[i % width]!;
  if (!positions.length) return { size: days.length * width, at: start };
  const picked = positionsIn(days.length * width, positions);
  return { size: picked.length, at: (i) => start(picked[i]!) };
}

/** The first of ascending starts that is not before a wall time. */
export function firstFrom({ size, at }: Starts, wall: WallMs): number {
  let low = 0;
  let high = size;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (at(middle) < wall) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The periods of a rule with FREQ of DAILY or longer, each with its starts. */
export function periodStarts(
  rule: Rule,
  start: number,
): Periods & { startsOf(index: number): Starts } {
  const periods = periodsOf(rule, dayOfWall(start));
  const times = timesOfDay(rule, start);
  return {
    ...periods,
    startsOf: (index) => startsOn(periods.daysOf(index), times, rule.bySetPos),
  };
}

function expandDaysUp(rule: Rule, start: number, from: number, to: number, sink: Sink): void {
  const periods = periodStarts(rule, start);
  // One period early: SKIP=FORWARD can push a date over the end of its own period.
  const first = Math.max(0, periods.indexOf(dayOfWall(from)) - 1);
  let index = Math.ceil(first / rule.interval) * rule.interval;
  let last = -Infinity;
  for (let barren = 0; barren <= BARREN_LIMIT[rule.frequency]; index += rule.interval) {
    if (periods.startOf(index) * DAY >= to) return;
    const starts = periods.startsOf(index);
    barren = starts.size ? 0 : barren + 1;
    if (!starts.size) continue;
    for (let i = firstFrom(starts, Math.max(from, last + 1)); i < starts.size; i++) {
      const wall = starts.at(i);
      if (wall >= to || !sink(wall)) return;
      last = wall;
    }
  }
}

/** One step of an hourly, minutely or secondly rule: the starts in the period that begins at `base`. */
function startsWithin(rule: Rule, base: number, start: number): number[] {
  const startMinute = Math.floor(start / MINUTE) % 60;
  const startSecond = Math.floor(start / 1000) % 60;
  if (rule.frequency === 'HOURLY') {
    const minutes = rule.byMinute.length ? rule.byMinute : [startMinute];
    const seconds = rule.bySecond.length ? rule.bySecond : [startSecond];
    const set = minutes.flatMap((m) => seconds.map((s) => base + m * MINUTE + s * 1000));
    return pickPositions(
      set.sort((a, b) => a - b),
      rule.bySetPos,
    );
  }
  if (rule.frequency === 'MINUTELY') {
    const seconds = rule.bySecond.length ? rule.bySecond : [startSecond];
    const set = seconds.map((s) => base + s * 1000).sort((a, b) => a - b);
    return pickPositions(set, rule.bySetPos);
  }
  if (rule.bySecond.length && !rule.bySecond.includes(Math.floor(base / 1000) % 60)) return [];
  return pickPositions([base], rule.bySetPos);
}

/** Ms of the units that rules within days count in. */
export const UNITS = { HOURLY: HOUR, MINUTELY: MINUTE, SECONDLY: 1000 };

function expandWithinDays(
  rule: Rule,
  start: number,
  from: number,
  to: number,
  unit: number,
  sink: Sink,
): void {
  const step = unit * rule.interval;
  const zero = Math.floor(start / unit) * unit;
  let base = zero + Math.max(0, Math.floor((from - zero) / step)) * step;
  let checkedDay = NaN;
  /** On to the first step at or after the end of the day, hour or minute that holds `base`. */
  const leave = (length: number) => {
    base += Math.ceil(((Math.floor(base / length) + 1) * length - base) / step) * step;
  };
  for (let barren = 0; barren <= BARREN_LIMIT[rule.frequency] && base < to; barren++) {
    const day = dayOfWall(base);
    if (day !== checkedDay) {
      if (!passesDayLimits(rule, day)) {
        leave(DAY);
        continue;
      }
      checkedDay = day;
    }
    const ofDay = base - day * DAY;
    if (rule.byHour.length && !rule.byHour.includes(Math.floor(ofDay / HOUR))) {
      leave(HOUR);
      continue;
    }
    if (
      unit < HOUR &&
      rule.byMinute.length &&
      !rule.byMinute.includes(Math.floor(ofDay / MINUTE) % 60)
    ) {
      leave(MINUTE);
      continue;
    }
    for (const wall of startsWithin(rule, base, start)) {
      barren = 0;
      if (wall >= to) return;
      if (wall >= from && !sink(wall)) return;
    }
    base += step;
  }
}

/**
 * Gives the starts (wall ms, ascending) that a rule generates in [from, to), without UNTIL and
 * COUNT, which `expandRule` applies. Begins at `from`, not at DTSTART.
 */
export function generate(rule: Rule, start: number, from: number, to: number, sink: Sink): void {
  const low = Math.max(from, start);
  const high = Math.min(to, END_OF_TIME);
  const unit = UNITS[rule.frequency as keyof typeof UNITS];
  if (unit) expandWithinDays(rule, start, low, high, unit, sink);
  else expandDaysUp(rule, start, low, high, sink);
}
