import type { Occurrence, Window } from '@/core/agenda/occurrence';

/** A stretch of the agenda; `occurrences` are in order of start. */
export interface AgendaPage {
  fromDay: number;
  toDay: number;
  occurrences: Occurrence[];
}

export interface AgendaRequest {
  /** Day number that the page begins at, ends before, or lies around. */
  day: number;
  direction: 'on' | 'back' | 'around';
  zone: string;
}

/** Days that are looked through at once, and how often a page does so before it ends without events. */
const STEP = 28;
const STEPS = 39;
/** Events after which a page is full. */
const FULL = 40;

type Query = (window: Window) => Occurrence[];

/** Looks on, back or both ways from a day until there are enough events for a page, or three years were empty. */
export function agendaPage(request: AgendaRequest, query: Query): AgendaPage {
  const { direction } = request;
  if (direction !== 'around') return pageOneWay({ ...request, direction }, query);
  const back = pageOneWay({ ...request, direction: 'back' }, query);
  const on = pageOneWay({ ...request, direction: 'on' }, query);
  return {
    fromDay: back.fromDay,
    toDay: on.toDay,
    occurrences: onceEach([...back.occurrences, ...on.occurrences]),
  };
}

/** An event that reaches over the edge of two windows is in both. */
const onceEach = (occurrences: readonly Occurrence[]) => [
  ...new Map(occurrences.map((o) => [o.id, o])).values(),
];

function pageOneWay(
  { day, direction, zone }: AgendaRequest & { direction: 'on' | 'back' },
  query: Query,
): AgendaPage {
  const pages: Occurrence[][] = [];
  let found = 0;
  let edge = day;
  for (let step = 0; step < STEPS && found < FULL; step++) {
    const next = direction === 'on' ? edge + STEP : edge - STEP;
    const window = { fromDay: Math.min(edge, next), toDay: Math.max(edge, next), zone };
    const occurrences = query(window);
    pages.push(occurrences);
    found += occurrences.length;
    edge = next;
  }
  if (direction === 'back') pages.reverse();
  return {
    fromDay: Math.min(day, edge),
    toDay: Math.max(day, edge),
    occurrences: onceEach(pages.flat()),
  };
}
