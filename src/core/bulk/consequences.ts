import type { Clash } from '../agenda/clashes';
import { findClashes } from '../agenda/clashes';
import { EventIndex } from '../agenda/eventIndex';
import { extentOf, extentOfSeries } from '../agenda/extent';
import type { Occurrence, Window } from '../agenda/occurrence';
import { isBooked } from '../agenda/occurrence';
import { compileSeries, placed } from '../agenda/series';
import type { EventEdit } from '../editing/series/edit';
import type { CalendarEvent } from '../model/event';
import type { DayNumber } from '../time/units';

/** What many edits do to how things lie: pairs of events that get in each other's way, and dates on closures. */
export interface BulkConsequences {
  clashesMade: number;
  /** The clashes that are made, in order of time. */
  made: Clash[];
  clashesSolved: number;
  closuresMade: number;
  closuresSolved: number;
}

/** Days that are looked at: those of longer spans are too many to be looked at while somebody waits. */
const MOST_DAYS = 400;

function daysOf(event: CalendarEvent): { from: DayNumber; to: DayNumber } {
  const series = compileSeries(event);
  return series ? extentOfSeries(series) : extentOf(placed(event));
}

/** The days that edits touch, at most so many from `today` on or, where all are over, up to it. */
export function touchedDays(
  edits: readonly EventEdit[],
  today: DayNumber,
): { fromDay: DayNumber; toDay: DayNumber } | null {
  const extents = edits.flatMap(({ before, after }) =>
    [before, after.removedAt === undefined ? after : null].flatMap((event) =>
      event ? daysOf(event) : [],
    ),
  );
  if (!extents.length) return null;
  const from = Math.min(...extents.map((extent) => extent.from));
  const to = Math.max(...extents.map((extent) => extent.to));
  if (to - from <= MOST_DAYS) return { fromDay: from, toDay: to };
  const fromDay = Math.max(from, Math.min(today, to - MOST_DAYS));
  return { fromDay, toDay: Math.min(to, fromDay + MOST_DAYS) };
}

const pairsOf = (occurrences: readonly Occurrence[], edited: ReadonlySet<string>) =>
  new Map(
    findClashes(occurrences, ({ eventId }) => edited.has(eventId)).map((clash) => [
      [clash.first.id, clash.second.id].sort().join(' '),
      clash,
    ]),
  );

/** Dates of edited events that fall on a closure. */
function onClosures(
  occurrences: readonly Occurrence[],
  edited: ReadonlySet<string>,
  closureIds: ReadonlySet<string>,
): Set<string> {
  const closures = occurrences.filter((o) => closureIds.has(o.calendarId) && isBooked(o));
  return new Set(
    occurrences.flatMap((o) =>
      edited.has(o.eventId) &&
      !closureIds.has(o.calendarId) &&
      closures.some((closure) => closure.start < o.end && closure.end > o.start)
        ? [o.id]
        : [],
    ),
  );
}

const minus = (a: Iterable<string>, b: { has(value: string): boolean }) =>
  [...a].filter((value) => !b.has(value)).length;

/**
 * What edits do to clashes and closures within a window. `around` are the occurrences of the window
 * as they are, of the calendars that count.
 */
export function bulkConsequences(
  edits: readonly EventEdit[],
  around: readonly Occurrence[],
  window: Window,
  closureIds: ReadonlySet<string>,
): BulkConsequences {
  const edited = new Set(edits.map(({ after }) => after.id));
  const becoming = new EventIndex();
  for (const { after } of edits) becoming.put(after);
  const next = [
    ...around.filter(({ eventId }) => !edited.has(eventId)),
    ...becoming.query(window, null).occurrences,
  ];
  const [pairsBefore, pairsAfter] = [pairsOf(around, edited), pairsOf(next, edited)];
  const [closedBefore, closedAfter] = [
    onClosures(around, edited, closureIds),
    onClosures(next, edited, closureIds),
  ];
  const made = [...pairsAfter].flatMap(([pair, clash]) => (pairsBefore.has(pair) ? [] : [clash]));
  return {
    clashesMade: made.length,
    made,
    clashesSolved: minus(pairsBefore.keys(), pairsAfter),
    closuresMade: minus(closedAfter, closedBefore),
    closuresSolved: minus(closedBefore, closedAfter),
  };
}
