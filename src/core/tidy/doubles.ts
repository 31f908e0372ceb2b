import { distinct, personOf, together } from '../editing/gathering';
import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { durationOf, isSeries, isWholeDay, revised } from '../model/event';
import type { EpochMs } from '../time/units';
import { instantOf } from '../time/zones';
import { areSame, plain } from './likeness';

/** Several events that are one. */
export type Doubles = CalendarEvent[];

/** An event with what it is compared by, worked out once. */
interface Compared {
  event: CalendarEvent;
  title: string;
  isWhole: boolean;
  /** Epoch ms, and ms. */
  start: number;
  length: number;
}

function compared(event: CalendarEvent): Compared {
  const { start } = event;
  return {
    event,
    title: plain(event.title),
    isWhole: isWholeDay(event),
    start: instantOf(wallOf(start), zoneOf(start), 'UTC'),
    length: durationOf(event),
  };
}

function isTwin(a: Compared, b: Compared): boolean {
  if (a.isWhole !== b.isWhole)
    // A whole day and hours on it, of the very same title: one was made of the other.
    return a.title === b.title && !isSeries(a.event) && !isSeries(b.event);
  if (a.start !== b.start || a.length !== b.length || a.event.rule !== b.event.rule) return false;
  return a.event.calendarId === b.event.calendarId
    ? areSame(a.title, b.title)
    : a.title === b.title;
}

/** Of more events on a day only those of the very same title are compared: nobody has so many at once. */
const MOST_COMPARED = 60;

function groupBy<T, K>(values: readonly T[], keyOf: (value: T) => K): T[][] {
  const groups = new Map<K, T[]>();
  for (const value of values) {
    const key = keyOf(value);
    const group = groups.get(key);
    if (group) group.push(value);
    else groups.set(key, [value]);
  }
  return [...groups.values()];
}

/**
 * Events that are the same, or nearly: by title, time and repeat, and whole days with the hours of
 * the same title. `dayOf` gives the day on which an event begins. Those without a title are left
 * out: nothing says that they mean the same.
 */
export function findDoubles(
  events: readonly CalendarEvent[],
  dayOf: (event: CalendarEvent) => number,
): Doubles[] {
  const titled = events.map(compared).filter(({ title }) => title);
  const groups = groupBy(titled, ({ event }) => dayOf(event)).flatMap((list) =>
    list.length <= MOST_COMPARED
      ? grouped(list)
      : groupBy(list, ({ title }) => title).flatMap(grouped),
  );
  return groups.map((group) => group.map(({ event }) => event));
}

/** Groups of two or more of which each is the double of another. */
function grouped(events: readonly Compared[]): Compared[][] {
  const left = new Set(events);
  const groups: Compared[][] = [];
  for (const first of events) {
    if (!left.delete(first)) continue;
    const group = [first];
    for (const member of group)
      for (const other of left)
        if (isTwin(member, other)) {
          left.delete(other);
          group.push(other);
        }
    if (group.length > 1) groups.push(group);
  }
  return groups;
}

/** The fields in which doubles can differ so that one value has to be chosen. */
export const CHOSEN_FIELDS = [
  'title',
  'place',
  'link',
  'calendarId',
  'start',
  'end',
  'availability',
  'visibility',
  'importance',
] as const;
export type ChosenField = (typeof CHOSEN_FIELDS)[number];

/** Which of the doubles (by id) gives a field. */
export type Choices = Partial<Record<ChosenField, string>>;

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** How much a value of a field says: more is better. */
function worth(event: CalendarEvent, field: ChosenField): number {
  if (field === 'title' || field === 'place' || field === 'link') return event[field].trim().length;
  // Hours say more than a whole day.
  if (field === 'start' || field === 'end') return isWholeDay(event) ? 0 : 1;
  if (field === 'importance') return event.importance === 0 ? 0 : 1;
  return 0;
}

/** The one that a field is proposed to be taken from: what says most, then what was changed last. */
function better(doubles: Doubles, field: ChosenField): CalendarEvent {
  return doubles.reduce((best, other) => {
    const by = worth(other, field) - worth(best, field);
    return by > 0 || (by === 0 && other.updated > best.updated) ? other : best;
  });
}

/** The one that stays, the others becoming part of it: the oldest. */
export function keptOf(doubles: Doubles): CalendarEvent {
  return doubles.reduce((kept, other) => (other.created < kept.created ? other : kept));
}

/** The fields in which doubles differ, each with who is proposed to give it. */
export function differingFields(doubles: Doubles): { field: ChosenField; proposed: string }[] {
  return CHOSEN_FIELDS.filter((field) =>
    doubles.some((one) => !isSame(one[field], doubles[0]![field])),
  ).map((field) => ({ field, proposed: better(doubles, field).id }));
}

/**
 * Doubles as one event: the one that stays, each field from who was chosen for it, lists together.
 * Titles, places and links that were not chosen are put into the notes: nothing that was said is lost.
 */
export function joinDoubles(doubles: Doubles, choices: Choices, now: EpochMs): CalendarEvent {
  const kept = keptOf(doubles);
  const proposed = Object.fromEntries(
    differingFields(doubles).map(({ field, proposed: id }) => [field, id]),
  ) as Choices;
  const chosen: Choices = { ...proposed, ...choices };
  // Start and end say one thing together.
  const times = chosen.start ?? chosen.end;
  const giver = (field: ChosenField) => {
    const id = field === 'start' || field === 'end' ? times : chosen[field];
    return doubles.find((one) => one.id === id) ?? kept;
  };
  const fields = Object.fromEntries(CHOSEN_FIELDS.map((field) => [field, giver(field)[field]]));
  const beside = (['title', 'place', 'link'] as const).flatMap((field) =>
    doubles
      .map((one) => one[field].trim())
      .filter((text) => text && !isSame(plain(text), plain(giver(field)[field]))),
  );
  const reminders = doubles.flatMap((one) => one.reminders ?? []);
  return revised(
    kept,
    {
      ...(fields as Pick<CalendarEvent, ChosenField>),
      notes: together([...doubles.map(({ notes }) => notes), ...beside]),
      categoryIds: distinct(
        doubles.flatMap((one) => one.categoryIds),
        (id) => id,
      ),
      attendees: distinct(
        doubles.flatMap((one) => one.attendees),
        personOf,
      ),
      attachments: distinct(
        doubles.flatMap((one) => one.attachments),
        ({ id }) => id,
      ),
      // A date that one of them shows is shown.
      skippedDates: kept.skippedDates.filter((key) =>
        doubles.every((one) => one.skippedDates.includes(key)),
      ),
      changedDates: Object.assign(
        {},
        ...doubles.map((one) => one.changedDates),
        kept.changedDates,
      ) as CalendarEvent['changedDates'],
      agenda: distinct(
        doubles.flatMap((one) => one.agenda),
        ({ text }) => plain(text),
      ),
      reminders: doubles.every((one) => one.reminders === null)
        ? null
        : distinct(reminders, (one) => JSON.stringify(one)),
    },
    now,
  );
}
