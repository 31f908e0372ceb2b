import { RuleError, parseRule } from '../recurrence/rule';
import { DAY } from '../time/civil';
import { instantOf } from '../time/zones';
import type { EventTime } from './common';
import {
  availability,
  dayOf,
  eventTime,
  hexColour,
  id,
  instant,
  localDateTime,
  passthrough,
  plainDate,
  reminder,
  visibility,
  wallOf,
  zoneName,
  zoneOf,
} from './common';
import { z } from './zod';

const attendee = z.object({
  name: z.string(),
  address: z.string(),
  role: z.enum(['required', 'optional', 'chair', 'informed']),
  answer: z.enum(['none', 'accepted', 'declined', 'tentative']),
});

const attachment = z.object({
  id,
  name: z.string(),
  mediaType: z.string(),
  bytes: z.number().int().nonnegative(),
});

const agendaPoint = z.object({
  id,
  text: z.string(),
  done: z.boolean(),
  minutes: z.number().int(),
});

const rule = z.string().refine((text) => {
  try {
    parseRule(text);
    return true;
  } catch (error) {
    if (error instanceof RuleError) return false;
    throw error;
  }
}, 'is not a repeat rule that can be read');

/** Name of one date of a series: its nominal start, `YYYY-MM-DDTHH:mm:ss` or `YYYY-MM-DD` (RECURRENCE-ID, RFC 5545 §3.8.4.4). */
const dateKey = z.union([plainDate, localDateTime]);

/** An added date (RDATE): a time, with an end of its own when the file gave a period. */
const extraDate = z.object({ start: eventTime, end: eventTime.optional() });

/** The fields that a single date of a series may have for itself. */
const dateFields = z.object({
  start: eventTime,
  end: eventTime,
  title: z.string(),
  place: z.string(),
  notes: z.string(),
  link: z.string(),
  availability,
  visibility,
  importance: z.number().int().min(0).max(9),
  categoryIds: z.array(id),
  attendees: z.array(attendee),
  reminders: z.array(reminder),
});

/** A changed date (override): what differs from the series, with what its file held besides. */
export const changedDate = dateFields.partial().extend({
  /** The change also reaches every later date (RANGE=THISANDFUTURE, RFC 5545 §3.2.13). */
  andLater: z.boolean().optional(),
  revision: z.number().int().optional(),
  passthrough: passthrough.optional(),
});
export type ChangedDate = z.infer<typeof changedDate>;

/** One entry: timed or whole-day, single or a series. The end is exclusive, also for whole days (RFC 5545 §3.6.1). */
export const event = dateFields
  .extend({
    id,
    uid: z.string().min(1),
    calendarId: id,
    rule: rule.optional(),
    extraDates: z.array(extraDate),
    skippedDates: z.array(dateKey),
    changedDates: z.record(dateKey, changedDate),
    icon: z.string().optional(),
    inkOverride: hexColour.optional(),
    /** Minutes */
    travelBefore: z.number().int().min(0),
    travelAfter: z.number().int().min(0),
    organizer: z.object({ name: z.string(), address: z.string() }).optional(),
    attachments: z.array(attachment),
    agenda: z.array(agendaPoint),
    /** Hours that the event had before it was made whole-day, so that turning back finds them. */
    keptHours: z
      .object({ start: localDateTime, end: localDateTime, zone: zoneName.nullable() })
      .optional(),
    created: instant,
    updated: instant,
    /** SEQUENCE (RFC 5545 §3.8.7.4) */
    revision: z.number().int().min(0),
    removedAt: instant.optional(),
    passthrough: passthrough.optional(),
  })
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
  now: number,
): CalendarEvent {
  return {
    uid: uidOf(fields.id),
    title: '',
    place: '',
    notes: '',
    link: '',
    availability: 'busy',
    visibility: 'public',
    importance: 0,
    categoryIds: [],
    attendees: [],
    reminders: [],
    extraDates: [],
    skippedDates: [],
    changedDates: {},
    travelBefore: 0,
    travelAfter: 0,
    attachments: [],
    agenda: [],
    created: now,
    updated: now,
    revision: 0,
    ...fields,
  };
}
