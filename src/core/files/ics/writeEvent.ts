import type { EventTime, JcalProperty, Passthrough } from '../../model/common';
import { wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import { attendeeProperty, organizerProperty } from '../../model/attendees';
import { dateAsEvent } from '../../editing/series/dates';
import { durationOf } from '../../model/event';
import type { FileField } from '../../model/eventFields';
import { IN_CALENDAR_PROPERTY } from './carried';
import { ruleForFile, UNTIL_PROPERTY } from './untilOfFile';
import { writeAlarm } from '../../reminders/alarms';
import type { CalendarReminders } from '../../reminders/following';
import { remindersFor } from '../../reminders/following';
import { DAY, formatLocal } from '../../time/civil';
import { instantFromWall, utcWall } from '../../time/zones';
import type { EpochMs } from '../../time/units';
import { componentLines, foldLine, propertyLine } from './jcal';
import {
  AVAILABILITY_PROPERTY,
  ICON_PROPERTY,
  INK_PROPERTY,
  POINT_PROPERTY,
  QUIET_PROPERTY,
  REMINDERS_PROPERTY,
  TRAVEL_AFTER_PROPERTY,
  TRAVEL_BEFORE_PROPERTY,
} from './readEvent';

/** What the lines of an event say besides its own fields. */
export interface Surroundings {
  /** Names of categories by their ids. */
  categories: ReadonlyMap<string, string>;
  /** The calendar that it lies on, whose reminders it may have. */
  calendar?: CalendarReminders;
  /** What that calendar is called in the file; nothing where it does not go along. */
  calendarName?: string | undefined;
  /** Where mails that remind go; empty for nowhere known. */
  mail?: string;
}

type Parameters = Record<string, unknown>;

/** A time as a jCal property: UTC with its Z, other zones by TZID, floating times and dates bare. */
export function timeProperty(
  name: string,
  time: EventTime,
  parameters: Parameters = {},
): JcalProperty {
  if (time.kind === 'date') return [name, parameters, 'date', time.date];
  const zone = zoneOf(time);
  const tzid = zone !== null && zone !== 'UTC' ? { tzid: zone } : {};
  const value = zone === 'UTC' ? `${time.local}Z` : time.local;
  return [name, { ...parameters, ...tzid }, 'date-time', value];
}

/** The time that the name of a series' date stands for, in the kind and zone of the series' start. */
export function timeOfKey(start: EventTime, key: string): EventTime {
  return start.kind === 'date' ? { kind: 'date', date: key } : { ...start, local: key };
}

/** A stamp in UTC. */
export function stamp(name: string, epochMs: EpochMs): JcalProperty {
  return [name, {}, 'date-time', `${formatLocal(utcWall(epochMs))}Z`];
}

function extraDateProperty(
  extra: CalendarEvent['extraDates'][number],
  parameters: Parameters,
): JcalProperty {
  const [, own, , start] = timeProperty('rdate', extra.start, parameters);
  if (!extra.end || extra.end.kind === 'date' || extra.start.kind === 'date')
    return timeProperty('rdate', extra.start, parameters);
  return ['rdate', own, 'period', [start, timeProperty('rdate', extra.end)[3]]];
}

/**
 * A text as a file can hold it: its line breaks become `\n`, and control characters, which TEXT
 * must not have (RFC 5545 §3.3.11), go.
 */
export function cleanText(text: string): string {
  return text.replaceAll(/\r\n?/g, '\n').replaceAll(/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/g, '');
}

/** When an event ends: its end, or its length where days of it follow the clock (RFC 5545 §3.8.2.5). */
function endProperty(event: CalendarEvent, parameters: Parameters | undefined): JcalProperty {
  const { start, clockDays } = event;
  if (clockDays === undefined || event.rule === undefined)
    return timeProperty('dtend', event.end, parameters);
  const zone = zoneOf(start) ?? 'UTC';
  const wall = wallOf(start);
  const days = instantFromWall(wall + clockDays * DAY, zone) - instantFromWall(wall, zone);
  const seconds = Math.round((durationOf(event) - days) / 1000);
  return ['duration', {}, 'duration', `P${clockDays}D${seconds > 0 ? `T${seconds}S` : ''}`];
}

/** What a property is made with, besides the event's own fields. */
interface Around {
  /** Parameters that the file had, by property. */
  kept: Readonly<Record<string, Parameters>>;
  /** Whether the file had a property that the app keeps as it came. */
  has(property: string): boolean;
  categories: Surroundings['categories'];
}
type Writer = (event: CalendarEvent, around: Around) => JcalProperty[];

const text =
  (name: string, field: 'title' | 'place' | 'notes' | 'link', type = 'text'): Writer =>
  (event, { kept }) => {
    const cleaned = cleanText(event[field]);
    return cleaned ? [[name, kept[name] ?? {}, type, cleaned]] : [];
  };
const given = (name: string, value: string | undefined): JcalProperty[] =>
  value ? [[name, {}, 'text', value]] : [];
const minutes = (name: string, value: number): JcalProperty[] =>
  value ? [[name, {}, 'integer', value]] : [];
/** What stands elsewhere in the component: its rule, other dates, alarms, and what passes through. */
const elsewhere: Writer = () => [];

/** How each field that files speak of is written, in the order in which they stand there. */
const WRITERS: { [Field in FileField]: Writer } = {
  start: ({ start }, { kept }) => [timeProperty('dtstart', start, kept['dtstart'])],
  end: (event, { kept }) => [endProperty(event, kept['dtend'])],
  clockDays: elsewhere,
  title: text('summary', 'title'),
  place: text('location', 'place'),
  notes: text('description', 'notes'),
  link: text('url', 'link', 'uri'),
  room: ({ room }, { kept }) =>
    room ? [['conference', kept['conference'] ?? {}, 'uri', cleanText(room)]] : [],
  agenda: ({ agenda }) =>
    agenda.map(({ id, text: said, minutes: given, done }) => [
      POINT_PROPERTY,
      {
        'x-id': id,
        ...(given && { 'x-minutes': String(given) }),
        ...(done && { 'x-done': 'TRUE' }),
      },
      'text',
      cleanText(said),
    ]),
  attendees: ({ attendees }) => attendees.map(attendeeProperty),
  organizer: ({ organizer }) => (organizer ? [organizerProperty(organizer)] : []),
  availability: ({ availability }, { has }) => [
    ...given('transp', availability === 'free' ? 'TRANSPARENT' : undefined),
    ...given(AVAILABILITY_PROPERTY, availability === 'away' ? 'away' : undefined),
    ...given('status', availability === 'tentative' && !has('status') ? 'TENTATIVE' : undefined),
  ],
  visibility: ({ visibility }, { has }) =>
    given('class', visibility === 'private' && !has('class') ? 'PRIVATE' : undefined),
  inkOverride: ({ inkOverride }) => given(INK_PROPERTY, inkOverride),
  icon: ({ icon }) => given(ICON_PROPERTY, icon),
  categoryIds: ({ categoryIds }, { categories }) => {
    const names = categoryIds.flatMap((id) => categories.get(id) ?? []).map(cleanText);
    return names.length ? [['categories', {}, 'text', ...names]] : [];
  },
  importance: ({ importance }, { kept }) =>
    importance ? [['priority', kept['priority'] ?? {}, 'integer', importance]] : [],
  rule: elsewhere,
  extraDates: elsewhere,
  skippedDates: elsewhere,
  changedDates: elsewhere,
  reminders: ({ reminders }) =>
    given(REMINDERS_PROPERTY, reminders ? (reminders.length ? undefined : 'NONE') : 'CALENDAR'),
  travelBefore: ({ travelBefore }) => minutes(TRAVEL_BEFORE_PROPERTY, travelBefore),
  travelAfter: ({ travelAfter }) => minutes(TRAVEL_AFTER_PROPERTY, travelAfter),
  isQuiet: ({ isQuiet }) => given(QUIET_PROPERTY, isQuiet ? 'TRUE' : undefined),
  passthrough: elsewhere,
};

function fieldProperties(
  event: CalendarEvent,
  { categories, calendarName }: Surroundings,
): JcalProperty[] {
  const kept = event.passthrough?.parameters ?? {};
  const has = (name: string) => event.passthrough?.properties.some((p) => p[0] === name) ?? false;
  return [
    ['uid', kept['uid'] ?? {}, 'text', event.uid],
    stamp('dtstamp', event.updated),
    stamp('created', event.created),
    stamp('last-modified', event.updated),
    ['sequence', kept['sequence'] ?? {}, 'integer', event.revision],
    ...Object.values(WRITERS).flatMap((write) => write(event, { kept, has, categories })),
    ...given(IN_CALENDAR_PROPERTY, calendarName && cleanText(calendarName)),
  ];
}

/** The reminders of an event as alarms (RFC 5545 §3.6.6), those of its calendar too: other devices know nothing of that. */
function alarmLines(event: CalendarEvent, { calendar, mail }: Surroundings): string[] {
  const { reminders, travelBefore } = event;
  const around = {
    title: cleanText(event.title) || 'Reminder',
    travelBefore,
    isOfCalendar: reminders === null,
    mail,
  };
  return remindersFor(event, calendar).flatMap((one) => componentLines(writeAlarm(one, around)));
}

function repeatProperties(event: CalendarEvent): JcalProperty[] {
  const kept = event.passthrough?.parameters ?? {};
  return [
    ...event.extraDates.map((extra) => extraDateProperty(extra, kept['rdate'] ?? {})),
    ...event.skippedDates.map((key) =>
      timeProperty('exdate', timeOfKey(event.start, key), kept['exdate'] ?? {}),
    ),
  ];
}

function componentOf(
  properties: JcalProperty[],
  rule: string | undefined,
  passthrough: Passthrough | undefined,
  alarms: string[],
): string[] {
  return [
    'BEGIN:VEVENT',
    ...properties.map(propertyLine),
    ...(rule === undefined ? [] : [foldLine(`RRULE:${rule}`)]),
    ...(passthrough?.properties ?? []).map(propertyLine),
    ...(passthrough?.components ?? []).flatMap(componentLines),
    ...alarms,
    'END:VEVENT',
  ];
}

function changedDateLines(
  event: CalendarEvent,
  key: string,
  change: ChangedDate,
  around: Surroundings,
): string[] {
  const { andLater, passthrough, revision } = change;
  const date = { ...dateAsEvent(event, key), passthrough, revision: revision ?? 0 };
  const range = andLater ? { range: 'THISANDFUTURE' } : {};
  const id = timeProperty('recurrence-id', timeOfKey(event.start, key), range);
  const properties = [...fieldProperties(date, around), id];
  return componentOf(properties, undefined, passthrough, alarmLines(date, around));
}

/**
 * The dates of a series that need an entry of their own: changed ones, and whole-day ones that were
 * added with another length, since a PERIOD (RFC 5545 §3.3.9) has only times. A skipped date is not
 * there, whatever was changed about it before.
 */
function datesOnTheirOwn(event: CalendarEvent): [key: string, change: ChangedDate][] {
  const added = event.extraDates.flatMap(({ start, end }): [string, ChangedDate][] =>
    start.kind === 'date' && end ? [[start.date, {}]] : [],
  );
  const dates = { ...Object.fromEntries(added), ...event.changedDates };
  return Object.entries(dates).filter(([key]) => !event.skippedDates.includes(key));
}

/** The content lines of an event: its VEVENT, and one for each changed date. */
export function eventLines(event: CalendarEvent, around: Surroundings): string[] {
  const { rule = undefined, until } =
    event.rule === undefined ? {} : ruleForFile(event.rule, event.start);
  const properties = [
    ...fieldProperties(event, around),
    ...repeatProperties(event),
    ...given(UNTIL_PROPERTY, until),
  ];
  return [
    ...componentOf(properties, rule, event.passthrough, alarmLines(event, around)),
    ...datesOnTheirOwn(event).flatMap(([key, change]) =>
      changedDateLines(event, key, change, around),
    ),
  ];
}

/** Every time that an event's lines write with a TZID. */
export function timesWritten(event: CalendarEvent): EventTime[] {
  return [
    event.start,
    event.end,
    ...event.extraDates.flatMap((extra) => [extra.start, extra.end ?? extra.start]),
    ...Object.values(event.changedDates).flatMap((change) =>
      [change.start, change.end].filter((time) => time !== undefined),
    ),
  ];
}
