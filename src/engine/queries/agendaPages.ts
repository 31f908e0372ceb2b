import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { DayNumber } from '@/core/time/units';

/** A stretch of the agenda; `occurrences` are in order of start. */
export interface AgendaPage {
  fromDay: DayNumber;
  toDay: DayNumber;
  occurrences: Occurrence[];
  /** Dates that a filter keeps out of it. */
  hidden: number;
}

export interface AgendaRequest {
  /** Day number that the page begins at, or ends before. */
  day: DayNumber;
  direction: 'on' | 'back';
  zone: string;
}

/** The most days that are looked through at once. */
const LONGEST_STEP = 64;
/** Days after which a page ends without events: three years. */
const LONGEST = 1096;
/** Events after which a page is full. */
const FULL = 40;

type Query = (window: Window) => { occurrences: Occurrence[]; hidden: number };

/** An event that reaches over the edge of two windows is in both. */
const onceEach = (occurrences: readonly Occurrence[]) => [
  ...new Map(occurrences.map((o) => [o.id, o])).values(),
];

/** Looks on or back from a day until there are enough events for a page, or three years were empty. */
export function agendaPage({ day, direction, zone }: AgendaRequest, query: Query): AgendaPage {
  const pages: Occurrence[][] = [];
  let found = 0;
  let hidden = 0;
  let edge = day;
  while (Math.abs(edge - day) < LONGEST && found < FULL) {
    // As many days again as were looked through: busy days make short pages, empty ones long steps.
    const step = Math.min(LONGEST_STEP, Math.max(1, Math.abs(edge - day)));
    const next = direction === 'on' ? edge + step : edge - step;
    const window = { fromDay: Math.min(edge, next), toDay: Math.max(edge, next), zone };
    const answer = query(window);
    pages.push(answer.occurrences);
    found += answer.occurrences.length;
    hidden += answer.hidden;
    edge = next;
  }
  if (direction === 'back') pages.reverse();
  return {
    fromDay: Math.min(day, edge),
    toDay: Math.max(day, edge),
    occurrences: onceEach(pages.flat()),
    hidden,
  };
}
