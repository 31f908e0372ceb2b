import { DAY } from '../time/civil';
import { instantOf } from '../time/zones';
import type { EpochMs } from '../time/units';
import type { EventTime } from './common';
import { dayOf, wallOf, zoneOf } from './common';
import type { changedDate, DateContent } from './eventFields';
import { EVENT_SCHEMAS, initialFields } from './eventFields';
import { z } from './zod';

export type ChangedDate = z.infer<typeof changedDate>;

/** One entry: timed or whole-day, single or a series. The end is exclusive, also for whole days (RFC 5545 §3.6.1). */
export const event = z
  .object(EVENT_SCHEMAS)
  .refine((e) => (e.start.kind === 'date') === (e.end.kind === 'date'), {
    path: ['end'],
    message: 'must be a date like the start, or a time like the start',
  })
  .refine((e) => lastsForward(e.start, e.end), { path: ['end'], message: 'is before the start' });
export type CalendarEvent = z.infer<typeof event>;

/** Whether the end does not lie before the start; compares instants where zones differ. */
export function lastsForward(start: EventTime, end: EventTime): boolean {
  if (start.kind === 'date' && end.kind === 'date') return dayOf(end) > dayOf(start);
  return (
    instantOf(wallOf(end), zoneOf(end), 'UTC') >= instantOf(wallOf(start), zoneOf(start), 'UTC')
  );
}

export function isWholeDay(e: { start: EventTime }): boolean {
  return e.start.kind === 'date';
}

/** Whether an event has more than one date. */
export function isSeries(e: Pick<CalendarEvent, 'rule' | 'extraDates'>): boolean {
  return e.rule !== undefined || e.extraDates.length > 0;
}

/** Length in ms on the clock: whole days for a whole-day event, else the time that really passes. */
export function durationOf(e: { start: EventTime; end: EventTime }): number {
  if (e.start.kind === 'date') return (dayOf(e.end) - dayOf(e.start)) * DAY;
  return (
    instantOf(wallOf(e.end), zoneOf(e.end), 'UTC') -
    instantOf(wallOf(e.start), zoneOf(e.start), 'UTC')
  );
}

/** The UID (RFC 5545 §3.8.4.7) of an event that begins in this app. */
export const uidOf = (id: string) => `${id}@orderly-week`;

/** What an event holds when nothing else is said. */
export function newEvent(
  fields: Pick<CalendarEvent, 'id' | 'calendarId' | 'start' | 'end'> & Partial<CalendarEvent>,
  now: EpochMs,
): CalendarEvent {
  const all: Partial<CalendarEvent> = initialFields() as Partial<CalendarEvent>;
  all.uid = uidOf(fields.id);
  all.created = now;
  all.updated = now;
  return Object.assign(all, fields) as CalendarEvent;
}

/** What a date may have of its own without being another than its series planned: what was written down for it. */
const WRITTEN: ReadonlySet<string> = new Set(['agenda', 'notes', 'revision', 'passthrough']);

/** Whether a date of a series is another than was planned. */
export const isChangedByHand = (change: ChangedDate): boolean =>
  Object.keys(change).some((field) => !WRITTEN.has(field));

/** The fields that a changed date gives to an event, as an event has them. */
export function fieldsOfDate(
  change: ChangedDate,
): Partial<Pick<CalendarEvent, DateContent | 'start' | 'end' | 'passthrough'>> {
  const { andLater: _andLater, revision: _revision, icon, inkOverride, ...fields } = change;
  return {
    ...fields,
    ...(icon === undefined ? {} : { icon: icon ?? undefined }),
    ...(inkOverride === undefined ? {} : { inkOverride: inkOverride ?? undefined }),
  };
}

/** An event that was edited: its revision and its time stamp go on (SEQUENCE, RFC 5545 §3.8.7.4). */
export function revised(
  event: CalendarEvent,
  fields: Partial<CalendarEvent>,
  now: EpochMs,
): CalendarEvent {
  return { ...event, ...fields, updated: now, revision: event.revision + 1 };
}
