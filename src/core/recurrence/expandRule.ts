import { DAY, dayNumber, dayOfWall, HOUR, MINUTE } from '../time/civil';
import type { CommonRule } from './commonRules';
import { commonRule } from './commonRules';
import { passesDayLimits, periodsOf } from './periods';
import type { Rule } from './rule';

/** Wall ms: no series is followed beyond the years that four digits can write. */
export const END_OF_TIME = dayNumber(9999, 12, 31) * DAY + DAY;

/**
 * Periods in a row without a date after which a rule never gives one, so that it ends instead of
 * hanging. The Gregorian calendar repeats after 400 years, whole weeks all: as many steps of any
 * INTERVAL see every case. Rules within days add at most a day's worth of steps to that.
 */
const BARREN_LIMIT = {
  YEARLY: 400,
  MONTHLY: 4800,
  WEEKLY: 20_871,
  DAILY: 146_097,
  HOURLY: 250_000,
  MINUTELY: 250_000,
  SECONDLY: 250_000,
};

interface Sink {
  /** Takes the next start (wall ms, ascending); false stops the expansion. */
  (wall: number): boolean;
}

/** Times of day that a rule sets, in ms after midnight, ascending (RFC 5545 §3.3.10, BYHOUR to BYSECOND). */
function timesOfDay(rule: Rule, start: number): number[] {
  const ofDay = start - dayOfWall(start) * DAY;
  if (!rule.byHour.length && !rule.byMinute.length && !rule.bySecond.length) return [ofDay];
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
  const picked = positions
    .map((position) => set[position > 0 ? position - 1 : set.length + position])
    .filter((entry) => entry !== undefined);
  return [...new Set(picked)].sort((a, b) => a - b);
}

function expandDaysUp(rule: Rule, start: number, from: number, to: number, sink: Sink): void {
  const periods = periodsOf(rule, dayOfWall(start));
  const times = timesOfDay(rule, start);
  const oneTime = times.length === 1 && !rule.bySetPos.length;
  // One period early: SKIP=FORWARD can push a date over the end of its own period.
  const first = Math.max(0, periods.indexOf(dayOfWall(from)) - 1);
  let index = Math.ceil(first / rule.interval) * rule.interval;
  let last = -Infinity;
  for (let barren = 0; barren <= BARREN_LIMIT[rule.frequency]; index += rule.interval) {
    if (periods.startOf(index) * DAY >= to) return;
    const days = periods.daysOf(index);
    const starts = oneTime
      ? days.map((day) => day * DAY + times[0]!)
      : pickPositions(
          days.flatMap((day) => times.map((time) => day * DAY + time)),
          rule.bySetPos,
        );
    barren = starts.length ? 0 : barren + 1;
    for (const wall of starts) {
      if (wall >= to) return;
      if (wall >= from && wall > last && !sink(wall)) return;
      last = Math.max(last, wall);
    }
  }
}

/** One step of an hourly, minutely or secondly rule: the starts in the period that begins at `base`. */
function startsWithin(rule: Rule, base: number, start: number): number[] {
  const hour = Math.floor(base / HOUR) % 24;
  if (rule.byHour.length && !rule.byHour.includes(hour < 0 ? hour + 24 : hour)) return [];
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
  if (rule.byMinute.length && !rule.byMinute.includes(Math.floor(base / MINUTE) % 60)) return [];
  if (rule.frequency === 'MINUTELY') {
    const seconds = rule.bySecond.length ? rule.bySecond : [startSecond];
    const set = seconds.map((s) => base + s * 1000).sort((a, b) => a - b);
    return pickPositions(set, rule.bySetPos);
  }
  if (rule.bySecond.length && !rule.bySecond.includes(Math.floor(base / 1000) % 60)) return [];
  return pickPositions([base], rule.bySetPos);
}

const UNITS = { HOURLY: HOUR, MINUTELY: MINUTE, SECONDLY: 1000 };

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
  for (let barren = 0; barren <= BARREN_LIMIT[rule.frequency] && base < to; barren++) {
    const day = dayOfWall(base);
    if (day !== checkedDay) {
      if (!passesDayLimits(rule, day)) {
        base += Math.ceil(((day + 1) * DAY - base) / step) * step;
        continue;
      }
      checkedDay = day;
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
function generate(rule: Rule, start: number, from: number, to: number, sink: Sink): void {
  const low = Math.max(from, start);
  const high = Math.min(to, END_OF_TIME);
  const unit = UNITS[rule.frequency as keyof typeof UNITS];
  if (unit) expandWithinDays(rule, start, low, high, unit, sink);
  else expandDaysUp(rule, start, low, high, sink);
}

const lastByCount = new WeakMap<Rule, Map<number, number>>();

/**
 * Dates that are counted one by one, at most. What a person's rule counts stays far below; a rule
 * that counts on, second by second, is taken to go on instead of hanging.
 */
const COUNTED = 2_000_000;

/** Ms from one date to the next where a rule has no parts that choose among them; null otherwise. */
function evenStep(rule: Rule): number | null {
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
  const units = { ...UNITS, DAILY: DAY, WEEKLY: 7 * DAY };
  const unit = units[rule.frequency as keyof typeof units];
  return unit === undefined || chooses > 0 ? null : unit * rule.interval;
}

function countUp(rule: Rule, start: number, count: number): number {
  let counted = 0;
  let latest = -Infinity;
  generate(rule, start, start, END_OF_TIME, (wall) => {
    latest = wall;
    return ++counted < Math.min(count, COUNTED);
  });
  return counted === COUNTED && counted < count ? Infinity : latest;
}

/**
 * The last start of a rule that ends after COUNT dates (wall ms), or -Infinity when it never
 * matches. Counted once from DTSTART and kept, so that windows far from it stay cheap.
 */
function lastCounted(rule: Rule, start: number, count: number): number {
  let byStart = lastByCount.get(rule);
  if (!byStart) lastByCount.set(rule, (byStart = new Map()));
  let last = byStart.get(start);
  if (last === undefined) {
    const step = evenStep(rule);
    last = step === null ? countUp(rule, start, count) : start + (count - 1) * step;
    byStart.set(start, last);
  }
  return last;
}

export interface RuleWindow {
  /** Wall ms, included. */
  from: number;
  /** Wall ms, excluded. */
  to: number;
  /** Most starts to give; the rest is cut. */
  limit: number;
}

/**
 * The starts (wall ms, ascending) of a rule in a window. `untilAllows` decides UNTIL where it
 * needs a zone; a COUNT is counted from DTSTART however far away the window is.
 * `cut` tells that the limit was reached.
 */
export function expandRule(
  rule: Rule,
  start: number,
  window: RuleWindow,
  untilAllows: (wall: number) => boolean,
): { starts: number[]; cut: boolean } {
  const last = rule.count === undefined ? Infinity : lastCounted(rule, start, rule.count);
  if (last < window.from) return { starts: [], cut: false };
  const common = commonRule(rule, start);
  return common
    ? fromCommon(common, window, Math.min(window.to, last + 1, END_OF_TIME), rule, untilAllows)
    : fromPeriods(rule, start, window, last, untilAllows);
}

/** Walls this far before UNTIL stand without asking: no clock change moves them past it. */
const NEAR_UNTIL = DAY + 4 * HOUR;

/** The wall time from which on UNTIL has to be asked. */
function askUntilFrom({ until }: Rule): number {
  if (!until) return Infinity;
  if (until.kind === 'date') return until.day * DAY;
  return (until.kind === 'wall' ? until.wall : until.epochMs) - NEAR_UNTIL;
}

function fromCommon(
  common: CommonRule,
  { from, limit }: RuleWindow,
  to: number,
  rule: Rule,
  untilAllows: (wall: number) => boolean,
): { starts: number[]; cut: boolean } {
  const starts: number[] = [];
  const asked = askUntilFrom(rule);
  // What lies well beyond UNTIL needs not be made only to be taken away.
  common(from, Math.min(to, asked + 3 * NEAR_UNTIL), limit + 1, starts);
  while (starts.length && starts[starts.length - 1]! >= asked) {
    if (untilAllows(starts[starts.length - 1]!)) break;
    starts.pop();
  }
  const cut = starts.length > limit;
  if (cut) starts.pop();
  return { starts, cut };
}

function fromPeriods(
  rule: Rule,
  start: number,
  window: RuleWindow,
  last: number,
  untilAllows: (wall: number) => boolean,
): { starts: number[]; cut: boolean } {
  const starts: number[] = [];
  let cut = false;
  generate(rule, start, window.from, window.to, (wall) => {
    if (wall > last || !untilAllows(wall)) return false;
    if (starts.length >= window.limit) {
      cut = true;
      return false;
    }
    starts.push(wall);
    return true;
  });
  return { starts, cut };
}
