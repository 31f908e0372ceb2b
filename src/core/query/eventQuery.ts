import { extentOf, extentOfSeries } from '../agenda/extent';
import type { Occurrence } from '../agenda/occurrence';
import { compileSeries, placed } from '../agenda/series';
import type { CalendarEvent } from '../model/event';
import { isSeries, isWholeDay } from '../model/event';
import { importanceOf } from '../model/importance';
import type { Filter, FilterKind } from '../model/view';
import { EMPTY_FILTER } from '../model/view';
import type { CalendarReminders } from '../reminders/following';
import { calendarReminders } from '../reminders/following';
import { DAY } from '../time/civil';
import type { EpochMs } from '../time/units';

/** The calendars that a question is about: those shown everywhere, all that there are, or these. */
export type AskedCalendars = 'shown' | 'all' | readonly string[];

/**
 * Which events are meant. The sheet, its table, finding, exports and sweeps all ask by one of these,
 * so that what can be asked in one place can be asked in all.
 */
export interface EventQuery {
  calendars: AskedCalendars;
  /** Only these events; null for any. */
  eventIds: readonly string[] | null;
  filter: Filter;
  /** Epoch ms that the filter of the past goes by. */
  now: EpochMs;
}

/** Everything that the calendars shown everywhere have. */
export const ALL_SHOWN: EventQuery = {
  calendars: 'shown',
  eventIds: null,
  filter: EMPTY_FILTER,
  now: 0,
};

/** Everything that there is. */
export const EVERYTHING: EventQuery = { ...ALL_SHOWN, calendars: 'all' };

/** Everything that has all words of a text in its title, place or notes. */
export const havingWords = (text: string): EventQuery => ({
  ...EVERYTHING,
  filter: { ...EMPTY_FILTER, text },
});

/** What a filter looks at: a date as a window shows it, or an event as a whole. */
type Subject = Pick<
  Occurrence,
  | 'title'
  | 'place'
  | 'wholeDay'
  | 'availability'
  | 'categoryIds'
  | 'dateKey'
  | 'endMs'
  | 'importance'
  | 'reminders'
>;

/** An event with the calendar that it lies on, whose reminders it may have. */
export interface Whole {
  event: CalendarEvent;
  calendar: CalendarReminders | undefined;
}

const lower = (text: string) => text.toLocaleLowerCase('en');

function isKind(subject: Subject, { event, calendar }: Whole, kind: FilterKind): boolean {
  switch (kind) {
    case 'single':
      return subject.dateKey === null;
    case 'series':
      return subject.dateKey !== null;
    case 'wholeDay':
      return subject.wholeDay;
    case 'others':
      return event.attendees.length > 0;
    case 'reminder':
      return (subject.reminders ?? calendarReminders(calendar, subject)).length > 0;
    case 'attachment':
      return event.attachments.length > 0;
  }
}

/** Whether nothing chosen, or some of it holds. */
const some = <T>(chosen: readonly T[], holds: (value: T) => boolean) =>
  chosen.length === 0 || chosen.some(holds);

/** Whether a date of an event passes a query's filter: each part of it that is set must hold. */
export function passes(
  subject: Subject,
  whole: Whole,
  { filter, now }: Pick<EventQuery, 'filter' | 'now'>,
): boolean {
  const words = lower(filter.text).split(/\s+/).filter(Boolean);
  const all = words.length ? lower(`${subject.title}\n${subject.place}\n${whole.event.notes}`) : '';
  return (
    !(filter.isPastHidden && subject.endMs <= now) &&
    some(filter.categoryIds, (id) => subject.categoryIds.includes(id)) &&
    some(filter.availability, (availability) => subject.availability === availability) &&
    some(filter.importance, (importance) => importanceOf(subject.importance) === importance) &&
    some(filter.kinds, (kind) => isKind(subject, whole, kind)) &&
    lower(subject.place).includes(lower(filter.place.trim())) &&
    words.every((word) => all.includes(word))
  );
}

/** When the last date of an event is over in every zone, epoch ms; Infinity where nobody can say. */
function lastEnd(event: CalendarEvent): number {
  const series = compileSeries(event);
  return (series ? extentOfSeries(series) : extentOf(placed(event))).to * DAY;
}

/** Whether an event as a whole, in whichever of its dates, passes a query's filter. */
export function passesWhole(whole: Whole, query: Pick<EventQuery, 'filter' | 'now'>): boolean {
  const { event } = whole;
  const subject: Subject = {
    title: event.title,
    place: event.place,
    wholeDay: isWholeDay(event),
    availability: event.availability,
    categoryIds: event.categoryIds,
    importance: event.importance,
    reminders: event.reminders,
    dateKey: isSeries(event) ? '' : null,
    endMs: query.filter.isPastHidden ? lastEnd(event) : Infinity,
  };
  return passes(subject, whole, query);
}

/** How many parts of a filter are set. */
export function partsSet(filter: Filter): number {
  return [
    filter.categoryIds.length,
    filter.availability.length,
    filter.kinds.length,
    filter.importance.length,
    filter.place.trim(),
    filter.text.trim(),
    filter.isPastHidden,
  ].filter(Boolean).length;
}
