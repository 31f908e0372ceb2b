import { DAY } from '../time/civil';
import type { CompiledSeries } from './series';
import { reachOf } from './series';

/** Days (day numbers, `to` excluded) that something may touch, whichever zone it is seen in. */
export interface Extent {
  from: number;
  to: number;
}

/** No zone is further from UTC than this: how far a wall time can lie from its instant. */
export const ZONE_REACH = DAY;

/** The days around a stretch (epoch ms or wall ms). */
export function extentOf({ from, to }: { from: number; to: number }): Extent {
  return {
    from: Math.floor((from - ZONE_REACH) / DAY),
    to: Math.floor((to + ZONE_REACH) / DAY) + 1,
  };
}

/** The last start (wall ms) that a rule may give: counts are not worked out, since that can take long. */
function lastStart({ rule, start }: CompiledSeries): number {
  if (!rule) return start;
  const { until } = rule;
  switch (until?.kind) {
    case 'date':
      return (until.day + 1) * DAY;
    case 'wall':
      return until.wall;
    case 'instant':
      return until.epochMs + ZONE_REACH;
    default:
      return Infinity;
  }
}

/** The days from a series' first date to its last; without end unless its rule says until when. */
export function extentOfSeries(series: CompiledSeries): Extent {
  let from = series.start;
  let to = lastStart(series);
  for (const wall of series.extra) {
    from = Math.min(from, wall);
    to = Math.max(to, wall);
  }
  for (const change of series.changes) {
    from = Math.min(from, change.from);
    to = Math.max(to, change.to);
  }
  // These are times of its own clock, which may be as far from UTC as the one that looks, the other way.
  return extentOf({ from: from - ZONE_REACH, to: to + reachOf(series) });
}
