import { DAY, formatLocal, formatDate, dayOfWall, HOUR, parseLocal } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { WallMs } from '../time/units';
import { expandRule } from './expandRule';
import type { Rule } from './rule';
import { parseRule } from './rule';

/** A window that asks for more dates than this is cut, and says so. */
export const MAX_DATES = 10_000;

/** A series as integers: what the expansion needs to know of an event. */
export interface Series {
  /** Start of the first date, wall ms in `zone`. */
  start: WallMs;
  /** IANA zone; null when the series floats or lasts whole days. */
  zone: string | null;
  rule: Rule | null;
  /** RDATE: further starts, wall ms in `zone`, ascending. */
  extra: readonly number[];
  /** EXDATE: starts that are left out, wall ms in `zone`. */
  skipped: ReadonlySet<number>;
}

const always = () => true;

/** How far a change of clocks can move a time: a day that a zone left out, and an hour. */
const FURTHEST_CHANGE = DAY + 4 * HOUR;

/**
 * Whether UNTIL lets a start (wall ms) stand. A date includes its whole day; an instant is compared
 * with the start's own instant (RFC 5545 §3.3.10).
 */
function untilTest(rule: Rule, zone: string | null): (wall: WallMs) => boolean {
  const { until } = rule;
  if (!until) return always;
  if (until.kind === 'date') return (wall) => wall < (until.day + 1) * DAY;
  if (until.kind === 'wall') return (wall) => wall <= until.wall;
  if (zone === null) return (wall) => wall <= until.epochMs;
  const limit = wallFromInstant(until.epochMs, zone);
  // Away from a clock change wall times order like instants; only near it the instant is asked.
  return (wall) =>
    Math.abs(wall - limit) > FURTHEST_CHANGE
      ? wall < limit
      : instantFromWall(wall, zone) <= until.epochMs;
}

/**
 * The starts (wall ms, ascending) that the rule alone gives in [from, to), up to `limit`: extra
 * dates don't count, and skipped ones do, as COUNT counts them. Without a rule it is the first date.
 */
export function ruleStarts(
  series: Pick<Series, 'start' | 'zone' | 'rule'>,
  from: number,
  to: number,
  limit = MAX_DATES,
): { starts: number[]; cut: boolean } {
  const { start, zone, rule } = series;
  if (!rule) return { starts: start >= from && start < to ? [start] : [], cut: false };
  return expandRule(rule, start, { from, to, limit }, untilTest(rule, zone));
}

/**
 * The nominal starts (wall ms in the series' zone, ascending) in [from, to): what the rule and the
 * extra dates give, less the skipped ones. `cut` tells that the rule gives more than `limit`.
 */
export function expandSeries(
  series: Series,
  from: number,
  to: number,
  limit = MAX_DATES,
): { starts: number[]; cut: boolean } {
  const ruled = ruleStarts(series, from, to, limit);
  const { cut } = ruled;
  let { starts } = ruled;
  const extra = series.extra.length
    ? series.extra.filter((wall) => wall >= from && wall < to)
    : series.extra;
  if (extra.length) starts = [...new Set([...starts, ...extra])].sort((a, b) => a - b);
  if (series.skipped.size) starts = starts.filter((wall) => !isSkipped(series, wall));
  return { starts, cut };
}

/** EXDATE is matched by instant where there is a zone: two wall times around a gap can be one instant. */
function isSkipped(series: Series, wall: WallMs): boolean {
  if (series.skipped.has(wall)) return true;
  const { zone } = series;
  if (zone === null || zone === 'UTC') return false;
  const shown = wallFromInstant(instantFromWall(wall, zone), zone);
  return shown !== wall && series.skipped.has(shown);
}

/** A series and a window as the texts of an iCalendar file hold them. */
export interface RecurrenceQuery {
  /** Local ISO date-time, or a date for a whole-day series. */
  dtstart: string;
  /** IANA zone; null floats. */
  tzid: string | null;
  /** RRULE value; empty for none. */
  rrule: string;
  /** Local ISO in `tzid`; UTC when it ends in Z; `local[Zone]` for another zone; a date alone for whole days. */
  rdate: readonly string[];
  exdate: readonly string[];
  /** Local ISO in `tzid`, included. */
  windowStart: string;
  /** Local ISO in `tzid`, excluded. */
  windowEnd: string;
}

/** The wall time in `zone` of an RDATE or EXDATE value, which may name another zone or be UTC. */
function wallIn(zone: string | null, value: string): number {
  const other = /^(.+)\[(.+)\]$/.exec(value);
  const [local, from] = other
    ? [other[1]!, other[2]!]
    : value.endsWith('Z')
      ? [value.slice(0, -1), 'UTC']
      : [value, zone];
  const wall = parseLocal(local);
  if (from === zone || from === null || zone === null) return wall;
  return wallFromInstant(instantFromWall(wall, from), zone);
}

/**
 * The dates of a series in a window: `locals`, the nominal starts as RECURRENCE-ID would name them
 * (date-times, or dates for a whole-day series), and `instants`, their epoch ms (null when the
 * series has no zone). `cut` tells that the window held more than MAX_DATES.
 * @throws RuleError for a rule, RangeError for a date that can't be read.
 */
export function expandRecurrence(query: RecurrenceQuery): {
  locals: string[];
  instants: number[] | null;
  cut: boolean;
} {
  const { tzid } = query;
  const wholeDay = !query.dtstart.includes('T');
  const { starts, cut } = expandSeries(
    {
      start: parseLocal(query.dtstart),
      zone: tzid,
      rule: query.rrule ? parseRule(query.rrule) : null,
      extra: query.rdate.map((value) => wallIn(tzid, value)),
      skipped: new Set(query.exdate.map((value) => wallIn(tzid, value))),
    },
    parseLocal(query.windowStart),
    parseLocal(query.windowEnd),
  );
  return {
    locals: starts.map((wall) => (wholeDay ? formatDate(dayOfWall(wall)) : formatLocal(wall))),
    instants: tzid === null ? null : starts.map((wall) => instantFromWall(wall, tzid)),
    cut,
  };
}
