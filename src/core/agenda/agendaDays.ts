import { daysOf } from './parts';
import { DAY, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';
import { clearStretches } from './clear';
import type { Occurrence } from './occurrence';

/** A line of a day in the agenda: an event, or clear time between two of them. */
export type AgendaLine =
  { kind: 'event'; occurrence: Occurrence } | { kind: 'clear'; start: number; end: number };

export interface AgendaDay {
  /** Day number */
  day: DayNumber;
  lines: AgendaLine[];
}

/** Clear time that is worth saying, in minutes. */
const LEAST_CLEAR = 30;

function linesOf(
  day: DayNumber,
  occurrences: readonly Occurrence[],
  hours: { from: number; to: number } | null,
): AgendaLine[] {
  const clear = clearStretches(day, occurrences, hours)
    .filter(({ start, end }) => end - start >= LEAST_CLEAR * MINUTE)
    .map((stretch) => ({ kind: 'clear' as const, ...stretch }));
  const events = occurrences.map((occurrence) => ({ kind: 'event' as const, occurrence }));
  const startOf = (line: AgendaLine) =>
    line.kind === 'clear' ? line.start : Math.max(line.occurrence.start, day * DAY);
  const isWhole = (line: AgendaLine) => line.kind === 'event' && line.occurrence.wholeDay;
  return [...events, ...clear].sort(
    (a, b) => Number(isWhole(b)) - Number(isWhole(a)) || startOf(a) - startOf(b),
  );
}

/**
 * The days of [fromDay, toDay) that have events, each with its events and the clear time among its
 * working hours. Occurrences in order of start, wall ms.
 */
export function agendaDays(
  occurrences: readonly Occurrence[],
  fromDay: DayNumber,
  toDay: DayNumber,
  hoursOf: (day: DayNumber) => { from: number; to: number } | null,
): AgendaDay[] {
  const byDay = new Map<number, Occurrence[]>();
  for (const occurrence of occurrences) {
    const { first, past } = daysOf(occurrence);
    for (let day = Math.max(fromDay, first); day < Math.min(toDay, past); day++) {
      const found = byDay.get(day);
      if (found) found.push(occurrence);
      else byDay.set(day, [occurrence]);
    }
  }
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([day, found]) => ({ day, lines: linesOf(day, found, hoursOf(day)) }));
}
