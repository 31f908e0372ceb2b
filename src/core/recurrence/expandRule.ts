import { DAY } from '../time/civil';
import type { WallMs } from '../time/units';
import { inCoarserTerms } from './coarser';
import type { CommonRule } from './commonRules';
import { commonRule } from './commonRules';
import type { Counted } from './counting';
import { lastCounted } from './counting';
import { END_OF_TIME, generate } from './generate';
import type { Rule } from './rule';

export interface RuleWindow {
  /** Wall ms, included. */
  from: WallMs;
  /** Wall ms, excluded. */
  to: WallMs;
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
  untilAllows: (wall: WallMs) => boolean,
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
  untilAllows: (wall: WallMs) => boolean,
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
  untilAllows: (wall: WallMs) => boolean,
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
