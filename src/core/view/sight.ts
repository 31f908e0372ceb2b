import type { Occurrence } from '../agenda/occurrence';
import type { CalendarEvent } from '../model/event';
import type { Filter, FilterKind } from '../model/view';
import { EMPTY_FILTER } from '../model/view';

/** Which events a sheet lets through. */
export interface Sight {
  /** Calendars by id; null for those that are shown everywhere. */
  calendarIds: readonly string[] | null;
  filter: Filter;
  /** Epoch ms that the filter of the past goes by. */
  now: number;
}

const lower = (text: string) => text.toLocaleLowerCase('en');

function isKind(o: Occurrence, event: CalendarEvent, kind: FilterKind): boolean {
  switch (kind) {
    case 'single':
      return o.dateKey === null;
    case 'series':
      return o.dateKey !== null;
    case 'wholeDay':
      return o.wholeDay;
    case 'others':
      return event.attendees.length > 0;
    case 'reminder':
      return event.reminders.length > 0;
    case 'attachment':
      return event.attachments.length > 0;
  }
}

/** Whether nothing chosen, or some of it holds. */
const some = <T>(chosen: readonly T[], holds: (value: T) => boolean) =>
  chosen.length === 0 || chosen.some(holds);

/** Whether an occurrence of an event passes a filter: each part of it that is set must hold. */
export function passes(
  o: Occurrence,
  event: CalendarEvent,
  { filter, now }: Pick<Sight, 'filter' | 'now'>,
): boolean {
  const words = lower(filter.text).split(/\s+/).filter(Boolean);
  const all = words.length ? lower(`${o.title}\n${o.place}\n${event.notes}`) : '';
  return (
    !(filter.isPastHidden && o.endMs <= now) &&
    some(filter.categoryIds, (id) => o.categoryIds.includes(id)) &&
    some(filter.availability, (availability) => o.availability === availability) &&
    some(filter.kinds, (kind) => isKind(o, event, kind)) &&
    lower(o.place).includes(lower(filter.place.trim())) &&
    words.every((word) => all.includes(word))
  );
}

/** How many parts of a filter are set. */
export function partsSet(filter: Filter): number {
  return [
    filter.categoryIds.length,
    filter.availability.length,
    filter.kinds.length,
    filter.place.trim(),
    filter.text.trim(),
    filter.isPastHidden,
  ].filter(Boolean).length;
}

/** Everything that the calendars shown everywhere have. */
export const ALL_IN_SIGHT: Sight = { calendarIds: null, filter: EMPTY_FILTER, now: 0 };
