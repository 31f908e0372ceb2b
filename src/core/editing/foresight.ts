import { clashesWith } from '../agenda/clashes';
import type { Occurrence } from '../agenda/occurrence';
import type { Workweek } from '../model/others';
import { count } from '../time/words';
import type { WallMs } from '../time/units';
import type { PlannedSpan } from './consequences';
import { blockingDays, hoursProblem, withTravel } from './consequences';

/** One of the next dates of a series, with what it would meet. */
export interface ForeseenDate {
  /** Wall ms in the zone that looks at it. */
  start: WallMs;
  end: WallMs;
  wholeDay: boolean;
  /** Titles of booked events at the same time. */
  clashes: string[];
  /** Title of the closure that it falls on. */
  closure: string | null;
  /** What is odd about its hours, in words. */
  hours: string | null;
}

/** How many of the next dates are shown. */
export const OUTLOOK_DATES = 5;

/** What a date would meet. `around` are the occurrences of its days, without its own series. */
export function foresightOf(
  span: PlannedSpan,
  around: readonly Occurrence[],
  closureIds: ReadonlySet<string>,
  workweek: Workweek,
): ForeseenDate {
  const others = around.filter((o) => !closureIds.has(o.calendarId));
  const closure = around.find(
    (o) => closureIds.has(o.calendarId) && o.start < span.end && o.end > span.start,
  );
  const clashes =
    span.isBooked && !span.wholeDay ? clashesWith(others, withTravel(span), null) : [];
  // As of a single event: days that something whole takes.
  const blocking = blockingDays(span, others, null);
  return {
    start: span.start,
    end: span.end,
    wholeDay: span.wholeDay,
    clashes: [...clashes, ...blocking].map(({ title }) => title || 'Untitled'),
    closure: closure ? closure.title || 'Untitled' : null,
    hours: hoursProblem(span, workweek),
  };
}

/** What the next dates come to, one short sentence each: "2 of the next 5 clash", "1 falls on a closure". */
export function foresightWords(dates: readonly ForeseenDate[]): string[] {
  const of = (n: number, verb: [string, string]) =>
    n === 0 ? [] : [`${n} of the next ${count(dates.length, 'date')} ${verb[n === 1 ? 0 : 1]}`];
  return [
    ...of(dates.filter(({ clashes }) => clashes.length > 0).length, ['clashes', 'clash']),
    ...of(dates.filter(({ closure }) => closure !== null).length, [
      'falls on a closure',
      'fall on a closure',
    ]),
    ...of(dates.filter(({ hours }) => hours !== null).length, [
      'is outside working hours',
      'are outside working hours',
    ]),
  ];
}
