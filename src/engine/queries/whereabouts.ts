import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence } from '@/core/agenda/occurrence';
import { wallOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { dayOfWall, parseLocal } from '@/core/time/civil';
import type { EventQuery } from '@/core/query/eventQuery';
import { filterTest } from '@/core/query/filterParts';
import type { Asked } from './asked';
import { askedCalendars, wholesOf } from './asked';

/** Where an event is, and what of a sheet's query would hold it back. */
export interface Whereabouts {
  occurrence: Occurrence;
  isCalendarShown: boolean;
  passesFilter: boolean;
}

/** Days around a written date in which any zone sees it. */
const REACH = 2;
/** Days after its written start in which the first date of a series is looked for: rules may begin late. */
const FIRST_DATE = 370;

/** The day that the name of a date says; null when it is none. */
function dayOfKey(key: string): number | null {
  try {
    return dayOfWall(parseLocal(key));
  } catch {
    return null; // An address that somebody typed.
  }
}

/** The date of an event that is meant: the named one, or its first; null when there is none (any more). */
export function locate(
  index: EventIndex,
  event: CalendarEvent,
  dateKey: string | null,
  zone: string,
): Occurrence | null {
  const moved = dateKey === null ? undefined : event.changedDates[dateKey]?.start;
  const day =
    dateKey === null || moved ? dayOfWall(wallOf(moved ?? event.start)) : dayOfKey(dateKey);
  if (day === null) return null;
  const ahead = dateKey === null && event.rule !== undefined ? FIRST_DATE : REACH;
  const window = { fromDay: day - REACH, toDay: day + ahead + 1, zone };
  const { occurrences } = index.query(window, new Set([event.calendarId]));
  return (
    occurrences.find(
      (o) => o.eventId === event.id && (dateKey === null || o.dateKey === dateKey),
    ) ?? null
  );
}

/** Whether a sheet that asks by a query shows an occurrence. */
export function seenBy(
  asked: Pick<Asked, 'records' | 'foundBy'>,
  occurrence: Occurrence,
  event: CalendarEvent,
  query: EventQuery,
): Whereabouts {
  return {
    occurrence,
    isCalendarShown: askedCalendars(asked.records, query).has(occurrence.calendarId),
    passesFilter: filterTest(query.filter, query.now)(
      occurrence,
      wholesOf(asked, query.now)(event),
    ),
  };
}
