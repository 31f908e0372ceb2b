import type { Calendar } from '@/core/model/calendar';
import type { EventTime } from '@/core/model/common';
import type { CalendarEvent, ChangedDate } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import type { Settings } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { Task } from '@/core/model/task';
import { newTask } from '@/core/model/task';
import type { TypedRecord } from '@/core/model/records';
import { parseRule } from '@/core/recurrence/rule';
import { expandRule } from '@/core/recurrence/expandRule';
import { DAY, formatDate, formatLocal, MINUTE, parseLocal, startOfWeek } from '@/core/time/civil';
import { travelBetween } from '@/core/time/sheetClock';
import { CALENDARS, CATEGORIES } from './calendars';
import { MESS } from './mess';
import { PEOPLE } from './office';
import type { SeriesSpec } from './series';
import { SERIES } from './series';
import type { SingleSpec } from './singles';
import { SINGLES } from './singles';
import type { TaskSpec } from './tasks';
import { TASKS } from './tasks';

const HOME = 'Europe/London';
/** How long nobody touched what is old, in ms. */
const OLD = 700 * DAY;

/** Where the partners are. */
const WATCHED = [
  { zone: 'Europe/Lisbon', label: 'Lisbon', onSheet: false },
  { zone: 'America/Halifax', label: 'Halifax', onSheet: false },
  { zone: 'Asia/Tokyo', label: 'Osaka', onSheet: true },
];

/** Wall ms of `HH:mm` on a day. */
function wallAt(day: number, at: string): number {
  return parseLocal(`${formatDate(day)}T${at}:00`);
}

function timesAt(
  day: number,
  spec: Pick<SingleSpec, 'at' | 'minutes' | 'days' | 'zone'>,
): { start: EventTime; end: EventTime } {
  if (spec.at === undefined) {
    return {
      start: { kind: 'date', date: formatDate(day) },
      end: { kind: 'date', date: formatDate(day + (spec.days ?? 1)) },
    };
  }
  const start = wallAt(day, spec.at);
  const time = (wall: number): EventTime => ({
    kind: 'zoned',
    local: formatLocal(wall),
    zone: spec.zone ?? HOME,
  });
  return { start: time(start), end: time(start + (spec.minutes ?? 30) * MINUTE) };
}

/** The first day, from the spec's on, that its rule generates: a series begins on one of its own dates. */
function firstDay(day: number, rule: string): number {
  const parsed = parseRule(rule.replace(/;COUNT=\d+/, '').replace(/;INTERVAL=\d+/, ''));
  const window = { from: day * DAY, to: (day + 800) * DAY, limit: 1 };
  const [first] = expandRule(parsed, day * DAY, window, () => true).starts;
  return first === undefined ? day : Math.floor(first / DAY);
}

function seriesEvent(spec: SeriesSpec, index: number, monday: number, now: number): CalendarEvent {
  const day = firstDay(monday + spec.day, spec.rule);
  const key = (offset: number) =>
    spec.at === undefined
      ? formatDate(monday + offset)
      : formatLocal(wallAt(monday + offset, spec.at));
  const changedDates = Object.fromEntries(
    (spec.moved ?? []).map((move): [string, ChangedDate] => [
      key(move.day),
      timesAt(monday + move.day, { ...spec, at: move.at }),
    ]),
  );
  for (const { day, ...page } of spec.pages ?? []) changedDates[key(day)] = page;
  return newEvent(
    {
      id: `series-${index}`,
      calendarId: spec.calendar,
      title: spec.title,
      rule: spec.rule,
      ...timesAt(day, spec),
      skippedDates: (spec.skip ?? []).map(key),
      changedDates,
      ...spec.more,
    },
    spec.isOld ? now - OLD : now,
  );
}

function singleEvent(spec: SingleSpec, index: number, monday: number, now: number): CalendarEvent {
  return newEvent(
    {
      id: `single-${index}`,
      calendarId: spec.calendar,
      title: spec.title,
      ...timesAt(monday + spec.day, spec),
      ...spec.more,
    },
    now,
  );
}

/** Icons by what titles say. */
const ICONS: [RegExp, string][] = [
  [/\bcall\b/i, 'phone-outline'],
  [/ferry/i, 'ferry'],
  [/\baway\b|leave/i, 'palm-tree'],
];

/** With the categories and the icon that the title tells of; what is followed has its owner's. */
function labelled(event: CalendarEvent): CalendarEvent {
  // A closed quay is information: the workshop's own day is not taken by it.
  if (event.calendarId === 'closures') return { ...event, availability: 'free' };
  const categoryIds = CATEGORIES.flatMap(({ category, words }) =>
    words.test(event.title) ? [category.id] : [],
  );
  const icon = ICONS.find(([words]) => words.test(event.title))?.[1];
  return { ...event, categoryIds, ...(icon && { icon }) };
}

function taskRecord(
  { title, calendar, day, at, from, of, more }: TaskSpec,
  index: number,
  { monday, now, events }: { monday: number; now: number; events: readonly CalendarEvent[] },
): Task {
  const on = (offset: number | undefined, time?: string): EventTime | null =>
    offset === undefined
      ? null
      : timesAt(monday + offset, time === undefined ? {} : { at: time, minutes: 0 }).start;
  const event = of === undefined ? undefined : events.find((one) => one.title === of);
  return newTask(
    {
      id: `task-${index}`,
      calendarId: calendar,
      title,
      due: on(day, at),
      start: on(from),
      categoryIds: CATEGORIES.flatMap(({ category, words }) =>
        words.test(title) ? [category.id] : [],
      ),
      ...(event && { eventId: event.id }),
      ...more,
      ...(more?.status === 'done' && { doneAt: now }),
    },
    now,
  );
}

/** Looked at when the demo began, so that its feed is asked an hour later for the first time. */
const withFeed = (calendar: Calendar, now: number): Calendar =>
  calendar.kind === 'followed' && calendar.source
    ? {
        ...calendar,
        feed: {
          address: calendar.source,
          everyMinutes: 60,
          checked: now,
          updated: now,
          news: [],
        },
      }
    : calendar;

/** On Wednesdays and Fridays the coordinator works at home. */
const WORKWEEK: Settings['workweek'] = {
  ...DEFAULT_SETTINGS.workweek,
  days: DEFAULT_SETTINGS.workweek.days.map(({ hours }, weekday) => ({
    hours,
    workplace: hours ? ([2, 4].includes(weekday) ? 'home' : 'workshop') : '',
  })),
};

/** The demo: the coordinator's calendars at Lantern Quay Instruments, about four months either side of today. */
export function demoSeed({ today, now }: { today: number; now: number }): TypedRecord[] {
  const monday = startOfWeek(today);
  const events = [
    ...SERIES.map((spec, i) => seriesEvent(spec, i, monday, now)),
    ...[...SINGLES, ...MESS].map((spec, i) => singleEvent(spec, i, monday, now)),
  ];
  return [
    {
      type: 'settings',
      record: {
        ...DEFAULT_SETTINGS,
        zone: HOME,
        me: { name: 'Robin Ashdown', address: 'robin@lantern-quay.example' },
        zones: WATCHED,
        workweek: WORKWEEK,
        // Three days with the partners in Halifax, three weeks on.
        travel: [travelBetween(monday + 22, monday + 24, 'America/Halifax')],
      },
    },
    ...CALENDARS.map((calendar): TypedRecord => ({
      type: 'calendar',
      record: withFeed(calendar, now),
    })),
    ...CATEGORIES.map(({ category }): TypedRecord => ({ type: 'category', record: category })),
    ...PEOPLE.map((person): TypedRecord => ({ type: 'person', record: person })),
    ...events.map((event): TypedRecord => ({ type: 'event', record: labelled(event) })),
    ...TASKS.map((spec, i): TypedRecord => ({
      type: 'task',
      record: taskRecord(spec, i, { monday, now, events }),
    })),
  ];
}
