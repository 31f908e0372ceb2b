import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { EventCheck } from '@/core/model/checks';
import type { CalendarEvent } from '@/core/model/event';
import type { EventQuery } from '@/core/query/eventQuery';
import { boundedDays, wholeTest } from '@/core/query/eventQuery';
import type { FoundIds, Whole } from '@/core/query/filterParts';
import { filterTest, partsSet } from '@/core/query/filterParts';
import type { EpochMs } from '@/core/time/units';
import type { Repository } from '../repository';

/** What a window shows, and how many dates a filter holds back. */
export interface Seen {
  occurrences: Occurrence[];
  /** Ids of series with more dates than can be shown. */
  cut: string[];
  hidden: number;
}

/** What a check of Tidy finds as things are at a moment. */
export type FoundBy = (check: EventCheck, now: EpochMs) => FoundIds;

/** Where answers are looked for. */
export interface Asked {
  records: Pick<Repository, 'get' | 'all'>;
  index: EventIndex;
  foundBy: FoundBy;
}

/** Ids of the calendars that a query is about, removed ones left out; facts of days are no events to be shown. */
export function askedCalendars(
  records: Pick<Repository, 'all'>,
  { calendars }: Pick<EventQuery, 'calendars'>,
): Set<string> {
  const chosen = typeof calendars === 'string' ? null : new Set(calendars);
  const asked = records
    .all('calendar')
    .filter(
      ({ id, shown, isFacts, removedAt }) =>
        removedAt === undefined &&
        (chosen ? chosen.has(id) : calendars === 'all' || (shown && !isFacts)),
    );
  return new Set(asked.map(({ id }) => id));
}

/** Makes events whole: with their calendar and categories, and what was found about them. */
export function wholesOf(
  { records, foundBy }: Pick<Asked, 'records' | 'foundBy'>,
  now: EpochMs,
): (event: CalendarEvent) => Whole {
  const categoryOf = (id: string) => records.get('category', id);
  const found = (check: EventCheck) => foundBy(check, now);
  return (event) => ({
    event,
    calendar: records.get('calendar', event.calendarId),
    categoryOf,
    foundBy: found,
  });
}

/** The dates of a window that a query means, in order of start. */
export function askDates(asked: Asked, query: EventQuery, window: Window): Seen {
  const { records, index } = asked;
  const found = index.query(window, askedCalendars(records, query));
  const { eventIds } = query;
  const only = eventIds && new Set(eventIds);
  const meant = only
    ? found.occurrences.filter(({ eventId }) => only.has(eventId))
    : found.occurrences;
  if (partsSet(query.filter) === 0) return { ...found, occurrences: meant, hidden: 0 };
  const passes = filterTest(query.filter, query.now);
  const wholeOf = wholesOf(asked, query.now);
  const occurrences = meant.filter((o) => {
    const event = records.get('event', o.eventId);
    return event !== undefined && passes(o, wholeOf(event));
  });
  return { ...found, occurrences, hidden: meant.length - occurrences.length };
}

/**
 * The events that a query means: those with such a date in a window, or of all time (null); the days
 * that a filter asks for are then those of `zone`.
 */
export function askEvents(
  asked: Asked,
  query: EventQuery,
  window: Window | null,
  zone = 'UTC',
): CalendarEvent[] {
  const days = window ?? boundedDays(query.filter);
  if (days) {
    const { occurrences } = askDates(asked, query, { zone, ...days });
    const ids = new Set(occurrences.map(({ eventId }) => eventId));
    return asked.records.all('event').filter(({ id }) => ids.has(id));
  }
  const { records } = asked;
  const calendarIds = askedCalendars(records, query);
  const only = query.eventIds && new Set(query.eventIds);
  const passes = wholeTest(query);
  const wholeOf = wholesOf(asked, query.now);
  return records
    .all('event')
    .filter(
      (event) =>
        event.removedAt === undefined &&
        calendarIds.has(event.calendarId) &&
        (!only || only.has(event.id)) &&
        passes(wholeOf(event)),
    );
}
