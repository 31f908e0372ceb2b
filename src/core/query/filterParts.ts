import type { Occurrence } from '../agenda/occurrence';
import { dateId } from '../agenda/occurrence';
import type { Calendar } from '../model/calendar';
import type { CalendarEvent } from '../model/event';
import type { EventCheck } from '../model/checks';
import type { Filter, FilterKind, FilterPart, TextField } from '../model/filter';
import { EMPTY_FILTER, FILTER_PARTS } from '../model/filter';
import { importanceOf } from '../model/importance';
import type { Category } from '../model/others';
import type { CalendarReminders } from '../reminders/following';
import { calendarReminders } from '../reminders/following';
import { DAY, dayOfWall, MINUTE, minuteOfDay, parseDate, weekdayOf } from '../time/civil';
import type { WallMs } from '../time/units';
import { fold, foldAsTwo } from './fold';
import { wordsOf } from './words';

/** The name of the date of a subject that is a series as a whole. */
export const WHOLE_SERIES = '';

/** What a filter looks at: a date as a window shows it, or an event as a whole. */
export type Subject = Pick<
  Occurrence,
  | 'title'
  | 'place'
  | 'wholeDay'
  | 'availability'
  | 'visibility'
  | 'categoryIds'
  | 'dateKey'
  | 'start'
  | 'end'
  | 'endMs'
  | 'importance'
  | 'reminders'
  | 'zone'
  | 'travelBefore'
  | 'travelAfter'
> & {
  /** When its first dates begin (wall ms), of a series as a whole. */
  starts?: readonly WallMs[];
  /** Between when its dates lie (wall ms), of an event as a whole. */
  reach?: { start: WallMs; end: WallMs };
};

/** What a check of Tidy has found. */
export interface FoundIds {
  /** Ids of events, and of dates (by their occurrences' ids). */
  ids: ReadonlySet<string>;
  /** Ids of the events, of whichever date. */
  eventIds: ReadonlySet<string>;
}

/** An event with what it lies on and is labelled with. */
export interface Whole {
  event: CalendarEvent;
  calendar: (CalendarReminders & Pick<Calendar, 'name'>) | undefined;
  categoryOf(id: string): Pick<Category, 'name'> | undefined;
  foundBy(check: EventCheck): FoundIds;
}

/** The folded texts of events, which never change: records are put, not altered. */
const folded = new WeakMap<CalendarEvent, Partial<Record<TextField, string>>>();

function textIn(field: TextField, { event, calendar, categoryOf }: Whole): string {
  switch (field) {
    case 'title':
    case 'place':
    case 'notes':
    case 'link':
      return event[field];
    case 'people': {
      const people = event.organizer ? [event.organizer, ...event.attendees] : event.attendees;
      return people.map(({ name, address }) => `${name} ${address}`).join('\n');
    }
    case 'file':
      return event.attachments.map(({ name }) => name).join('\n');
    case 'agenda':
      return event.agenda.map(({ text }) => text).join('\n');
    case 'calendar':
      return calendar?.name ?? '';
    case 'category':
      return event.categoryIds.map((id) => categoryOf(id)?.name ?? '').join('\n');
  }
}

/** A text of an event, folded. Names of calendars and categories change without it: these are not kept. */
function foldedIn(field: TextField, whole: Whole): string {
  if (field === 'calendar' || field === 'category') return fold(textIn(field, whole));
  let known = folded.get(whole.event);
  if (!known) folded.set(whole.event, (known = {}));
  return (known[field] ??= flat(fold(textIn(field, whole))));
}

/** A phrase goes on over blanks and line breaks. */
const flat = (text: string) => text.replaceAll(/\s+/g, ' ');

/** Letters that are written for one with two dots over it. */
const TWO_FOR_ONE = /ae|oe|ue|aa/;
const WITH_DOTS = /[äöüøå]/i;

/** Where words are looked for when nothing else is said: labels are asked for by their own parts. */
const USUAL_FIELDS: readonly TextField[] = ['title', 'place', 'notes', 'people', 'file', 'agenda'];

function hasWords(subject: Subject, whole: Whole, { text, textIn: fields }: Filter): boolean {
  const words = wordsOf(text);
  const asTwo = wordsOf(text, foldAsTwo);
  const looked = fields.length ? fields : USUAL_FIELDS;
  const { event } = whole;
  // A date may have a title or a place of its own.
  const isOwn = (field: TextField): field is 'title' | 'place' =>
    (field === 'title' || field === 'place') && subject[field] !== event[field];
  const texts = looked.map((field) =>
    isOwn(field) ? flat(fold(subject[field])) : foldedIn(field, whole),
  );
  // “Soehne” is looked for in what is written “Söhne”, and the other way round.
  const isSpelled = (word: string) =>
    TWO_FOR_ONE.test(word) &&
    looked.some((field) => {
      const raw = isOwn(field) ? subject[field] : textIn(field, whole);
      return WITH_DOTS.test(raw) && flat(foldAsTwo(raw)).includes(word);
    });
  return words.every(
    (word, i) =>
      texts.some((said) => said.includes(word) || said.includes(asTwo[i]!)) || isSpelled(word),
  );
}

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
    case 'notes':
      return event.notes.trim() !== '';
    case 'link':
      return event.link !== '';
    case 'travel':
      return subject.travelBefore > 0 || subject.travelAfter > 0;
    case 'untitled':
      return subject.title.trim() === '';
  }
}

/** Whether a check has found a date, or its event as a whole. */
function isFound({ dateKey }: Subject, { event: { id } }: Whole, found: FoundIds): boolean {
  if (dateKey === WHOLE_SERIES) return found.eventIds.has(id);
  return found.ids.has(id) || (dateKey !== null && found.ids.has(dateId(id, dateKey)));
}

/** Days (wall ms) of a range; without end where it has none. */
function wallsOf({ from, to }: NonNullable<Filter['dates']>): { from: number; to: number } {
  return {
    from: from === null ? -Infinity : parseDate(from) * DAY,
    to: to === null ? Infinity : (parseDate(to) + 1) * DAY,
  };
}

function isWithin(subject: Subject, dates: NonNullable<Filter['dates']>): boolean {
  const { start, end } = subject.reach ?? subject;
  const { from, to } = wallsOf(dates);
  return start < to && (end > from || (end === start && start >= from));
}

const WEEK = 7;

/** Whether it lies on one of some weekdays, with any of its days. */
function isOnWeekday({ start, end, starts = [start] }: Subject, { weekdays }: Filter): boolean {
  const days = Math.min(WEEK, dayOfWall(Math.max(start, end - 1)) - dayOfWall(start) + 1);
  return starts.some((begin) =>
    Array.from({ length: days }, (_, i) => weekdayOf(dayOfWall(begin) + i)).some((day) =>
      weekdays.includes(day),
    ),
  );
}

/** Whether it begins between two times of the day, maybe over midnight; what has no hours never does. */
function beginsWithin({ wholeDay, start, starts = [start] }: Subject, filter: Filter): boolean {
  const { from, to } = filter.timeOfDay!;
  if (wholeDay) return false;
  return starts.some((begin) => {
    const minute = minuteOfDay(begin);
    return from <= to ? minute >= from && minute < to : minute >= from || minute < to;
  });
}

function lastsWithin({ start, end }: Subject, { length }: Filter): boolean {
  const minutes = (end - start) / MINUTE;
  return minutes >= (length!.from ?? 0) && minutes <= (length!.to ?? Infinity);
}

interface Part<Of = Whole> {
  isSet(filter: Filter): boolean;
  holds(subject: Subject, whole: Of, filter: Filter): boolean;
}

const isSaid = (text: string) => text.trim() !== '';

/** What is asked of when a date lies, whatever its event is. */
const TIMES = {
  weekdays: { isSet: ({ weekdays }) => weekdays.length > 0, holds: (s, _, f) => isOnWeekday(s, f) },
  timeOfDay: {
    isSet: ({ timeOfDay }) => timeOfDay !== null,
    holds: (s, _, f) => beginsWithin(s, f),
  },
  length: {
    isSet: ({ length }) => length !== null && (length.from !== null || length.to !== null),
    holds: (s, _, f) => lastsWithin(s, f),
  },
} as const satisfies Partial<Record<FilterPart, Part<unknown>>>;

/** What each part of a filter asks for. */
const PARTS: Readonly<Record<FilterPart, Part>> = {
  words: { isSet: ({ text }) => wordsOf(text).length > 0, holds: hasWords },
  place: {
    isSet: ({ place }) => isSaid(place),
    holds: (subject, _, { place }) => fold(subject.place).includes(fold(place.trim())),
  },
  calendars: {
    isSet: ({ calendarIds }) => calendarIds.length > 0,
    holds: (_, { event }, { calendarIds }) => calendarIds.includes(event.calendarId),
  },
  categories: {
    isSet: ({ categoryIds }) => categoryIds.length > 0,
    holds: (subject, _, { categoryIds }) =>
      categoryIds.some((id) => subject.categoryIds.includes(id)),
  },
  kinds: {
    isSet: ({ kinds }) => kinds.length > 0,
    holds: (subject, whole, { kinds }) => kinds.some((kind) => isKind(subject, whole, kind)),
  },
  availability: {
    isSet: ({ availability }) => availability.length > 0,
    holds: (subject, _, { availability }) => availability.includes(subject.availability),
  },
  importance: {
    isSet: ({ importance }) => importance.length > 0,
    holds: (subject, _, { importance }) => importance.includes(importanceOf(subject.importance)),
  },
  visibility: {
    isSet: ({ visibility }) => visibility.length > 0,
    holds: (subject, _, { visibility }) => visibility.includes(subject.visibility),
  },
  people: {
    isSet: ({ people }) => isSaid(people),
    holds: (_, whole, { people }) => foldedIn('people', whole).includes(fold(people.trim())),
  },
  zones: {
    isSet: ({ zones }) => zones.length > 0,
    holds: (subject, _, { zones }) => subject.zone !== null && zones.includes(subject.zone),
  },
  dates: {
    isSet: ({ dates }) => dates !== null && (dates.from !== null || dates.to !== null),
    holds: (subject, _, { dates }) => isWithin(subject, dates!),
  },
  ...TIMES,
  changed: {
    isSet: ({ changedSince }) => changedSince !== null,
    holds: (_, { event }, { changedSince }) => event.updated >= changedSince!,
  },
  broughtIn: {
    isSet: ({ broughtIn }) => isSaid(broughtIn),
    holds: (_, { event }, { broughtIn }) =>
      fold(event.broughtIn ?? '').includes(fold(broughtIn.trim())),
  },
  checks: {
    isSet: ({ checks }) => checks.length > 0,
    holds: (subject, whole, { checks }) =>
      checks.some((check) => isFound(subject, whole, whole.foundBy(check))),
  },
};

/** The parts of a filter that are set, in their order. */
export const partsSetOf = (filter: Filter): FilterPart[] =>
  FILTER_PARTS.filter((part) => PARTS[part].isSet(filter));

/** How many parts of a filter are set; that the past is hidden is one of them. */
export const partsSet = (filter: Filter): number =>
  filter === EMPTY_FILTER ? 0 : partsSetOf(filter).length + Number(filter.isPastHidden);

const TIME_PARTS = Object.keys(TIMES) as (keyof typeof TIMES)[];

/** Whether the weekday, hour and length of a date are such as a filter asks for. */
export const hasTimes = (date: Subject, filter: Filter): boolean =>
  TIME_PARTS.every((part) => {
    const { isSet, holds } = TIMES[part];
    return !isSet(filter) || holds(date, null, filter) !== filter.not.includes(part);
  });

/** Makes the test of a filter, for as many events as one likes: each part that is set must hold, or must not. */
export function filterTest(
  filter: Filter,
  now: number,
): (subject: Subject, whole: Whole) => boolean {
  const asked = partsSetOf(filter).map((part) => ({
    holds: PARTS[part].holds,
    wanted: !filter.not.includes(part),
  }));
  return (subject, whole) =>
    !(filter.isPastHidden && subject.endMs <= now) &&
    asked.every(({ holds, wanted }) => holds(subject, whole, filter) === wanted);
}
