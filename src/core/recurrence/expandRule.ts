import { DAY, dayNumber, dayOfWall, HOUR, MINUTE } from '../time/civil';
import type { CommonRule } from './commonRules';
import { commonRule } from './commonRules';
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
const BARREN_LIMIT = {
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
  (wall: number): boolean;
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
function firstFrom({ size, at }: Starts, wall: number): number {
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
function periodStarts(rule: Rule, start: number): Periods & { startsOf(index: number): Starts } {
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
function generate(rule: Rule, start: number, from: number, to: number, sink: Sink): void {
  const low = Math.max(from, start);
  const high = Math.min(to, END_OF_TIME);
  const unit = UNITS[rule.frequency as keyof typeof UNITS];
  if (unit) expandWithinDays(rule, start, low, high, unit, sink);
  else expandDaysUp(rule, start, low, high, sink);
}

/** What COUNT of a rule comes to. */
interface Counted {
  /** The last start (wall ms); -Infinity when the rule never matches. */
  last: number;
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

/** Counts period by period, for rules with FREQ of DAILY or longer. */
function countPeriods(rule: Rule, start: number, count: number): Counted {
  const periods = periodStarts(rule, start);
  let left = count;
  let last = -Infinity;
  let barren = 0;
  for (let step = 0; step < MOST_PERIODS; step++) {
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
function lastCounted(rule: Rule, start: number, count: number): Counted {
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
  given: Rule,
  start: number,
  window: RuleWindow,
  untilAllows: (wall: number) => boolean,
): { starts: number[]; cut: boolean } {
  const common = commonRule(given, start);
  const rule = common ? given : inCoarserTerms(given, start);
  const { last, isCut } = rule.count === undefined ? ENDLESS : lastCounted(rule, start, rule.count);
  if (last < window.from) return { starts: [], cut: false };
  const found = common
    ? fromCommon(common, window, Math.min(window.to, last + 1, END_OF_TIME), rule, untilAllows)
    : fromPeriods(rule, start, window, last, untilAllows);
  return { starts: found.starts, cut: found.cut || (isCut && found.starts.length > 0) };
}

const ENDLESS: Counted = { last: Infinity, isCut: false };
/** No window needs more starts than this. */
const MOST_GIVEN = 500_000;

const coarserByStart = new WeakMap<Rule, Map<number, Rule>>();
const upTo = (n: number, from = 0) => Array.from({ length: n - from }, (_, i) => from + i);

/**
 * A rule in the coarsest terms that name the same dates: every hour, minute or second as days with
 * their times written out, and every day of some months as years. Fewer periods are gone through so.
 */
function inCoarserTerms(rule: Rule, start: number): Rule {
  if (rule.interval > 1 || rule.bySetPos.length || evenStep(rule) !== null) return rule;
  if (rule.frequency !== 'DAILY' && !(rule.frequency in UNITS)) return rule;
  const ofHour = start - Math.floor(start / HOUR) * HOUR;
  let byStart = coarserByStart.get(rule);
  if (!byStart) coarserByStart.set(rule, (byStart = new Map()));
  let coarser = byStart.get(ofHour);
  if (!coarser) byStart.set(ofHour, (coarser = byTheYear(byTheDay(rule, ofHour))));
  return coarser;
}

function byTheDay(rule: Rule, ofHour: number): Rule {
  const { frequency } = rule;
  if (frequency === 'DAILY') return rule;
  const or = (given: number[], other: number[]) => (given.length ? given : other);
  const minute = frequency === 'HOURLY' ? [Math.floor(ofHour / MINUTE)] : upTo(60);
  const second = frequency === 'SECONDLY' ? upTo(60) : [Math.floor(ofHour / 1000) % 60];
  return {
    ...rule,
    frequency: 'DAILY',
    byHour: or(rule.byHour, upTo(24)),
    byMinute: or(rule.byMinute, minute),
    bySecond: or(rule.bySecond, second),
  };
}

function byTheYear(rule: Rule): Rule {
  const { byMonth, byMonthDay, byYearDay, byWeekNo, byDay } = rule;
  if (!byMonth.length && !byMonthDay.length && !byYearDay.length && !byWeekNo.length) return rule;
  const picksDays = byMonthDay.length + byYearDay.length + byDay.length > 0;
  return {
    ...rule,
    frequency: 'YEARLY',
    skip: 'OMIT',
    byMonthDay: picksDays ? byMonthDay : upTo(32, 1),
    // A daily rule knows no nth weekday.
    byDay: byDay.map(({ weekday }) => ({ weekday, nth: 0 })),
  };
}

/** Walls this far before UNTIL stand without asking: no clock change moves them past it. */
const NEAR_UNTIL = 2 * DAY;

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
  const near = starts.findIndex((wall) => wall >= asked);
  // Around a day that a zone left out, a later wall time can be an earlier instant.
  if (near >= 0) starts.push(...starts.splice(near).filter(untilAllows));
  const cut = starts.length > limit;
  if (cut) starts.length = limit;
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
  const over = askUntilFrom(rule) + 3 * NEAR_UNTIL;
  const limit = Math.min(window.limit, MOST_GIVEN);
  generate(rule, start, window.from, window.to, (wall) => {
    if (wall > last || wall > over) return false;
    if (!untilAllows(wall)) return true;
    if (starts.length >= limit) {
      cut = true;
      return false;
    }
    starts.push(wall);
    return true;
  });
  return { starts, cut };
}
