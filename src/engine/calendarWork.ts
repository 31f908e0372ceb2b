import { nanoid } from 'nanoid';
import { nextInkAndMark } from '@/core/model/inks';
import { freeInk } from '@/core/calendars/inks';
import type { MergeChoice } from '@/core/calendars/merge';
import { mergedEvents, planMerge } from '@/core/calendars/merge';
import { revised, isSeries } from '@/core/model/event';
import type { Calendar } from '@/core/model/calendar';
import type { EventTime } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { count } from '@/core/time/words';
import {
  contentsOf,
  copyContent,
  removedWith,
  reviseContent,
  sayContents,
} from './calendarContents';
import type { ChangeRequest, Edit } from './change';
import type { Repository } from './repository';

type Records = Pick<Repository, 'get' | 'all'>;

/** What merging two calendars would do, for a look before it does. */
export interface MergePreview {
  events: number;
  series: number;
  /** Events that are on both calendars. */
  twins: { title: string; start: EventTime }[];
}

/** A calendar that waits to be brought back, with the number of events that were removed with it. */
export interface RemovedCalendar {
  calendar: Calendar;
  events: number;
}

const eventEdit = (before: CalendarEvent, after: CalendarEvent): Edit => ({
  type: 'event',
  before,
  after,
});

function calendarOf(records: Records, id: string): Calendar {
  const calendar = records.get('calendar', id);
  if (!calendar) throw new RangeError('This calendar is gone.');
  return calendar;
}

const eventsOf = (records: Records, calendarId: string) =>
  records
    .all('event')
    .filter((event) => event.calendarId === calendarId && event.removedAt === undefined);

/** Removes a calendar with all that lies on it. Times are epoch ms, here and below. */
function removeCalendar(records: Records, id: string, now: number): ChangeRequest {
  const before = calendarOf(records, id);
  const contents = contentsOf(records, id);
  return {
    label: `Removed ${before.name} with ${sayContents(contents)}`,
    at: now,
    edits: [
      { type: 'calendar', before, after: { ...before, removedAt: now } },
      ...contents.map((one) => reviseContent(one, { removedAt: now }, now)),
    ],
  };
}

function bringBackCalendar(records: Records, id: string, now: number): ChangeRequest {
  const before = calendarOf(records, id);
  const { removedAt: _gone, ...calendar } = before;
  const contents = removedWith(records, before);
  return {
    label: `Brought back ${before.name} with ${sayContents(contents)}`,
    at: now,
    edits: [
      { type: 'calendar', before, after: { ...calendar, shown: true, listed: true } },
      ...contents.map((one) => reviseContent(one, { removedAt: undefined }, now)),
    ],
  };
}

export function removedCalendars(records: Records): RemovedCalendar[] {
  return records
    .all('calendar')
    .filter(({ removedAt }) => removedAt !== undefined)
    .map((calendar) => ({
      calendar,
      events: removedWith(records, calendar).filter(({ type }) => type === 'event').length,
    }))
    .sort((a, b) => b.calendar.removedAt! - a.calendar.removedAt!);
}

/** Removed events, the last first, without those that wait with their calendar. */
export function removedEvents(records: Records): CalendarEvent[] {
  const gone = new Map(records.all('calendar').map(({ id, removedAt }) => [id, removedAt]));
  return records
    .all('event')
    .filter(({ removedAt, calendarId }) => {
      return removedAt !== undefined && removedAt !== gone.get(calendarId);
    })
    .sort((a, b) => b.removedAt! - a.removedAt!);
}

/** A second calendar with copies of all that lies on it, in an ink and with a mark of its own. */
function duplicateCalendar(
  records: Records,
  id: string,
  newId: () => string,
  now: number,
): ChangeRequest {
  const original = calendarOf(records, id);
  const others = records.all('calendar').filter(({ removedAt }) => removedAt === undefined);
  const { source: _source, feed: _feed, ...own } = original;
  const copy: Calendar = {
    ...own,
    id: newId(),
    name: freeName(`${original.name} copy`, others),
    kind: 'own',
    order: Math.max(...others.map(({ order }) => order)) + 1,
    mark: nextInkAndMark(others).mark,
    ink: freeInk(others.map(({ ink }) => ink)),
  };
  const contents = contentsOf(records, id);
  return {
    label: `Duplicated ${original.name} with ${sayContents(contents)}`,
    at: now,
    edits: [
      { type: 'calendar', before: null, after: copy },
      ...contents.map((one) => copyContent(one, { id: newId(), calendarId: copy.id }, now)),
    ],
  };
}

/** The name, with a number when another calendar has it. */
function freeName(name: string, others: readonly { name: string }[]): string {
  const taken = new Set(others.map((other) => other.name.toLowerCase()));
  let free = name;
  for (let n = 2; taken.has(free.toLowerCase()); n++) free = `${name} ${n}`;
  return free;
}

export function mergePreview(records: Records, fromId: string, intoId: string): MergePreview {
  const { moving, twins } = planMerge(eventsOf(records, fromId), eventsOf(records, intoId));
  return {
    events: moving.length,
    series: moving.filter(isSeries).length,
    twins: twins.map(({ going: { title, start } }) => ({ title, start })),
  };
}

/** Moves all that lies on one calendar to another, and removes the one that is empty then. */
function mergeCalendars(
  records: Records,
  ids: { from: string; into: string },
  choice: MergeChoice,
  now: number,
): ChangeRequest {
  const from = calendarOf(records, ids.from);
  const into = calendarOf(records, ids.into);
  const plan = planMerge(eventsOf(records, from.id), eventsOf(records, into.id));
  const events = mergedEvents(plan, from, into, choice, now);
  const others = contentsOf(records, from.id).filter(({ type }) => type !== 'event');
  const moving = [...plan.moving.map(() => ({ type: 'event' as const })), ...others];
  const joined = choice.join && plan.twins.length ? `, ${plan.twins.length} joined` : '';
  return {
    label: `Merged ${from.name} into ${into.name}: ${sayContents(moving)}${joined}`,
    at: now,
    edits: [
      { type: 'calendar', before: from, after: { ...from, removedAt: now } },
      ...events.map(({ before, after }) => eventEdit(before, after)),
      ...others.map((one) => reviseContent(one, { calendarId: into.id }, now)),
    ],
  };
}

/** Takes a category away, and from every event and date that has it. */
function removeCategory(records: Records, id: string, now: number): ChangeRequest {
  const category = records.get('category', id);
  if (!category) throw new RangeError('This category is gone.');
  const without = (ids: readonly string[]) => ids.filter((other) => other !== id);
  const edits = records.all('event').flatMap((before): Edit[] => {
    const dates = Object.entries(before.changedDates);
    const isUsed =
      before.categoryIds.includes(id) || dates.some(([, date]) => date.categoryIds?.includes(id));
    if (!isUsed) return [];
    const changedDates = Object.fromEntries(
      dates.map(([key, date]) => [
        key,
        date.categoryIds ? { ...date, categoryIds: without(date.categoryIds) } : date,
      ]),
    );
    const fields = { categoryIds: without(before.categoryIds), changedDates };
    return [eventEdit(before, revised(before, fields, now))];
  });
  return {
    label: `Removed the category ${category.name} from ${count(edits.length, 'event')}`,
    at: now,
    edits: [{ type: 'category', before: category, after: null }, ...edits],
  };
}

/** A change that reaches many records. */
export type CalendarWork =
  | { kind: 'remove' | 'bringBack' | 'duplicate' | 'removeCategory'; id: string }
  | { kind: 'merge'; from: string; into: string; choice: MergeChoice };

/**
 * What some work changes. `now` is epoch ms.
 * @throws RangeError when what it is about is gone.
 */
export function workChange(records: Records, work: CalendarWork, now: number): ChangeRequest {
  switch (work.kind) {
    case 'remove':
      return removeCalendar(records, work.id, now);
    case 'bringBack':
      return bringBackCalendar(records, work.id, now);
    case 'duplicate':
      return duplicateCalendar(records, work.id, () => nanoid(12), now);
    case 'removeCategory':
      return removeCategory(records, work.id, now);
    case 'merge':
      return mergeCalendars(records, work, work.choice, now);
  }
}
