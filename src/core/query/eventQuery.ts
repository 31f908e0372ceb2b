import { extentOf, extentOfSeries } from '../agenda/extent';
import { compileSeries, placed } from '../agenda/series';
import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf, isSeries, isWholeDay } from '../model/event';
import type { Filter } from '../model/filter';
import { EMPTY_FILTER } from '../model/filter';
import { nextStarts } from '../recurrence/walk';
import { DAY, parseDate } from '../time/civil';
import type { DayNumber, EpochMs } from '../time/units';
import type { Subject, Whole } from './filterParts';
import { filterTest, WHOLE_SERIES } from './filterParts';

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

/** When the last date of an event is over in every zone, epoch ms; Infinity where nobody can say. */
function lastEnd(event: CalendarEvent): number {
  const series = compileSeries(event);
  return (series ? extentOfSeries(series) : extentOf(placed(event))).to * DAY;
}

/** Wall ms of the first date of an event. */
function firstDate(event: CalendarEvent): { start: number; end: number } {
  const start = wallOf(event.start);
  return { start, end: start + durationOf(event) };
}

/** Days (wall ms) that any date of an event may touch, on whichever clock. */
function reach(event: CalendarEvent): { start: number; end: number } {
  const series = compileSeries(event);
  if (!series) return firstDate(event);
  const { from, to } = extentOfSeries(series);
  return { start: from * DAY, end: to * DAY };
}

/** So many dates of a series tell on which weekdays and at which times it is. */
const DATES_SEEN = 31;

/** When the first dates of an event begin, wall ms. */
function firstStarts(event: CalendarEvent): number[] {
  const series = compileSeries(event);
  return series ? nextStarts(series, series.start, DATES_SEEN) : [wallOf(event.start)];
}

/**
 * Makes the test whether an event as a whole, in whichever of its dates, passes a filter. Of days
 * that are asked for, a series touches those from its first date to its last.
 */
export function wholeTest({ filter, now }: Pick<EventQuery, 'filter' | 'now'>) {
  const passes = filterTest(filter, now);
  const asksDays = filter.dates !== null;
  const asksTimes = filter.weekdays.length > 0 || filter.timeOfDay !== null;
  return (whole: Whole): boolean => {
    const { event } = whole;
    const isWhole = isWholeDay(event);
    const subject: Subject = {
      title: event.title,
      place: event.place,
      wholeDay: isWhole,
      availability: event.availability,
      visibility: event.visibility,
      categoryIds: event.categoryIds,
      importance: event.importance,
      reminders: event.reminders,
      zone: zoneOf(event.start),
      travelBefore: isWhole ? 0 : event.travelBefore,
      travelAfter: isWhole ? 0 : event.travelAfter,
      dateKey: isSeries(event) ? WHOLE_SERIES : null,
      ...firstDate(event),
      ...(asksDays && { reach: reach(event) }),
      ...(asksTimes && { starts: firstStarts(event) }),
      endMs: filter.isPastHidden ? lastEnd(event) : Infinity,
    };
    return passes(subject, whole);
  };
}

/** Days of which each date is looked at; of more, a series counts from its first date to its last. */
const MOST_DAYS = 800;

/** The days that a filter asks for, where they have both ends and are not turned round; else null. */
export function boundedDays({
  dates,
  not,
}: Pick<Filter, 'dates' | 'not'>): { fromDay: DayNumber; toDay: DayNumber } | null {
  if (!dates || dates.from === null || dates.to === null || not.includes('dates')) return null;
  const [fromDay, toDay] = [parseDate(dates.from), parseDate(dates.to) + 1];
  return toDay - fromDay > MOST_DAYS ? null : { fromDay, toDay };
}
