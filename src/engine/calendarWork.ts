import { nanoid } from 'nanoid';
import { nextInkAndMark } from '@/core/model/inks';
import { freeInk } from '@/core/calendars/inks';
import type { MergeChoice } from '@/core/calendars/merge';
import { mergedEvents, planMerge } from '@/core/calendars/merge';
import { revised, isSeries, uidOf } from '@/core/model/event';
import type { Calendar } from '@/core/model/calendar';
import type { EventTime, JcalProperty } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import type { Task } from '@/core/model/others';
import { count, joinWords } from '@/core/time/words';
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

const tasksOf = (records: Records, calendarId: string) =>
  records
    .all('task')
    .filter((task) => task.calendarId === calendarId && task.removedAt === undefined);

const taskEdit = (before: Task, after: Task): Edit => ({ type: 'task', before, after });

/** "3 events", or "3 events and 2 tasks". */
const sayContents = (events: readonly unknown[], tasks: readonly unknown[]) =>
  joinWords([
    count(events.length, 'event'),
    ...(tasks.length ? [count(tasks.length, 'task')] : []),
  ]);

/** Tasks that went with their calendar and come back with it. */
const tasksRemovedWith = (records: Records, { id, removedAt }: Calendar): Task[] =>
  records.all('task').filter((task) => task.calendarId === id && task.removedAt === removedAt);

/** Events that went with their calendar and come back with it. */
function eventsRemovedWith(records: Records, { id, removedAt }: Calendar): CalendarEvent[] {
  return records
    .all('event')
    .filter((event) => event.calendarId === id && event.removedAt === removedAt);
}

/** Removes a calendar with its events. Times are epoch ms, here and below. */
function removeCalendar(records: Records, id: string, now: number): ChangeRequest {
  const before = calendarOf(records, id);
  const events = eventsOf(records, id);
  const tasks = tasksOf(records, id);
  return {
    label: `Removed ${before.name} with ${sayContents(events, tasks)}`,
    at: now,
    edits: [
      { type: 'calendar', before, after: { ...before, removedAt: now } },
      ...events.map((event) => eventEdit(event, revised(event, { removedAt: now }, now))),
      ...tasks.map((task) => taskEdit(task, { ...task, removedAt: now })),
    ],
  };
}

function bringBackCalendar(records: Records, id: string, now: number): ChangeRequest {
  const before = calendarOf(records, id);
  const { removedAt: _gone, ...calendar } = before;
  const events = eventsRemovedWith(records, before);
  const tasks = tasksRemovedWith(records, before);
  return {
    label: `Brought back ${before.name} with ${sayContents(events, tasks)}`,
    at: now,
    edits: [
      { type: 'calendar', before, after: { ...calendar, shown: true, listed: true } },
      ...events.map((event) => {
        const { removedAt: _removedAt, ...after } = revised(event, {}, now);
        return eventEdit(event, after);
      }),
      ...tasks.map((task) => {
        const { removedAt: _removedAt, ...after } = task;
        return taskEdit(task, after);
      }),
    ],
  };
}

export function removedCalendars(records: Records): RemovedCalendar[] {
  return records
    .all('calendar')
    .filter(({ removedAt }) => removedAt !== undefined)
    .map((calendar) => ({ calendar, events: eventsRemovedWith(records, calendar).length }))
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

/** A second calendar with copies of every event, in an ink and with a mark of its own. */
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
  const events = eventsOf(records, id).map((event): Edit => {
    const eventId = newId();
    const names = { id: eventId, uid: uidOf(eventId), calendarId: copy.id };
    return {
      type: 'event',
      before: null,
      after: { ...event, ...names, created: now, updated: now, revision: 0 },
    };
  });
  const tasks = tasksOf(records, id).map((task): Edit => {
    const taskId = newId();
    const after = taskNamed({ ...task, id: taskId, calendarId: copy.id }, uidOf(taskId));
    return { type: 'task', before: null, after };
  });
  return {
    label: `Duplicated ${original.name} with ${sayContents(events, tasks)}`,
    at: now,
    edits: [{ type: 'calendar', before: null, after: copy }, ...events, ...tasks],
  };
}

/** A task under another UID, also in the VTODO that it came from. */
function taskNamed(task: Task, uid: string): Task {
  const { component } = task;
  if (!component) return { ...task, uid };
  const [name, properties, children] = component;
  const named = properties.map((prop): JcalProperty =>
    prop[0] === 'uid' ? ['uid', prop[1], 'text', uid] : prop,
  );
  return { ...task, uid, component: [name, named, children] };
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

/** Moves all events of one calendar to another, and removes the one that is empty then. */
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
  const tasks = tasksOf(records, from.id);
  const joined = choice.join && plan.twins.length ? `, ${plan.twins.length} joined` : '';
  return {
    label: `Merged ${from.name} into ${into.name}: ${sayContents(plan.moving, tasks)}${joined}`,
    at: now,
    edits: [
      { type: 'calendar', before: from, after: { ...from, removedAt: now } },
      ...events.map(({ before, after }) => eventEdit(before, after)),
      ...tasks.map((task) => taskEdit(task, { ...task, calendarId: into.id })),
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
