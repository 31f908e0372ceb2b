import type { Series } from '../../recurrence/expand';
import { MAX_DATES, ruleStarts } from '../../recurrence/expand';
import type { Rule } from '../../recurrence/rule';
import type { Shifted } from './shift';
import type { WallMs } from '../../time/units';
import { errorOf } from '../../userError';

/** An edit that can't be done; the message says why, in words for the person. */
export class RefusedEdit extends errorOf('refused') {}

/** A series after all of its dates moved: wall ms on the clock that it has then. */
export interface Fitted {
  start: number;
  /** Without COUNT and UNTIL. */
  rule: Rule | null;
  /** Dates that the rule gives from its start to its last, for COUNT; null when it has no last. */
  count: number | null;
  /** The last date that the rule gives, for UNTIL; null when it has none. */
  last: number | null;
  /** Dates that the rule gives and the moved series does not have. */
  surplus: number[];
}

/** Dates of an endless series that are compared: some weekdays of some years. */
const COMPARED = 160;
/** Of these, the last may lack one that a later date would move before them. */
const UNSURE = 16;
/** Dates that a rule may give too many, at the ends of a series; they are skipped. */
const MOST_SURPLUS = 8;

const ascending = (a: number, b: number) => a - b;

/** The dates that a series' rule gives, as far as they are compared; `isWhole` when these are all. */
function datesOf(series: Series): { dates: number[]; isWhole: boolean } {
  const ends = series.rule?.count !== undefined || series.rule?.until !== undefined;
  const limit = ends ? MAX_DATES : COMPARED;
  const { starts, cut } = ruleStarts(series, -Infinity, Infinity, limit);
  return { dates: starts, isWhole: !cut };
}

/**
 * Checks that a rule gives the dates that a shift maps a series' dates to, each once, and says where
 * they begin and end. `turn` is what the move makes of a wall time besides (hours taken or given).
 * Null when the rule does not fit.
 * @throws RefusedEdit when two dates would become one.
 */
export function fitted(
  series: Series,
  { rule, map }: Shifted,
  zone: string | null,
  turn: (wall: WallMs) => number,
): Fitted | null {
  const { dates, isWhole } = datesOf(series);
  const goes = (wall: WallMs) => {
    const moved = map(wall);
    return moved === null ? null : turn(moved);
  };
  const planned = [...new Set([...dates, ...series.extra])];
  const moved = planned.map(goes).filter((wall) => wall !== null);
  if (moved.length < planned.length) return null;
  if (new Set(moved).size < moved.length)
    throw new RefusedEdit(
      'Two of its dates would become one. Move one date alone, or change how it repeats.',
    );
  const wanted = dates.map((wall) => goes(wall)!).sort(ascending);
  const [start] = wanted;
  if (start === undefined || !rule)
    return { start: start ?? goes(series.start)!, rule, count: null, last: null, surplus: [] };
  const sure = isWhole ? wanted : wanted.slice(0, wanted.length - UNSURE);
  const last = sure.at(-1)!;
  const given = ruleStarts({ start, zone, rule }, start, last + 1, MAX_DATES).starts;
  // What is skipped takes an added date at that time away too.
  const has = new Set(moved);
  const gives = new Set(given);
  if (sure.some((wall) => !gives.has(wall))) return null;
  const surplus = given.filter((wall) => !has.has(wall));
  if (surplus.length > MOST_SURPLUS) return null;
  const ends = series.rule!.count !== undefined || series.rule!.until !== undefined;
  return {
    start,
    rule,
    count: isWhole && ends ? given.length : null,
    last: isWhole && ends ? last : null,
    surplus,
  };
}
