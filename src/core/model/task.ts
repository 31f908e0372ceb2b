import type { EpochMs } from '../time/units';
import { eventTime, id, instant, passthrough, reminder } from './common';
import { uidOf } from './event';
import { dateKey, rule } from './eventFields';
import { z } from './zod';

/** How a task stands: STATUS (RFC 5545 §3.8.1.11) NEEDS-ACTION, IN-PROCESS, COMPLETED, CANCELLED. */
export const TASK_STATUSES = ['open', 'started', 'done', 'dropped'] as const;
export type TaskStatus = (typeof TASK_STATUSES)[number];

/** Minutes that a task may be thought to take: a month of them at the most. */
const MOST_MINUTES = 31 * 24 * 60;

/** Something to do by a day; it may have blocks on the sheet, and belong to an event. */
export const task = z.object({
  id,
  uid: z.string().min(1),
  calendarId: id.optional(),
  title: z.string(),
  notes: z.string(),
  link: z.string(),
  /** When it can be begun, and by when it is to be done: a date, or a time. */
  start: eventTime.nullable(),
  due: eventTime.nullable(),
  /** Minutes that it is thought to take; null where nobody said. */
  estimate: z.number().int().min(1).max(MOST_MINUTES).nullable(),
  /** PRIORITY (RFC 5545 §3.8.1.9) */
  importance: z.number().int().min(0).max(9),
  categoryIds: z.array(id),
  /** Counted from when it is due; before is negative. */
  reminders: z.array(reminder),
  /** How it repeats (RRULE), from when it is due or else from its start. */
  rule: rule.optional(),
  status: z.enum(TASK_STATUSES),
  /** PERCENT-COMPLETE (RFC 5545 §3.8.1.8) */
  percent: z.number().int().min(0).max(100),
  doneAt: instant.nullable(),
  /** When the person last said how it stands, after a block of time for it. */
  stoodAt: instant.optional(),
  /** The event that it belongs to, and which of its dates where it is a series. */
  eventId: id.optional(),
  eventDate: dateKey.optional(),
  created: instant,
  updated: instant,
  /** SEQUENCE (RFC 5545 §3.8.7.4) */
  revision: z.number().int().min(0),
  removedAt: instant.optional(),
  passthrough: passthrough.optional(),
});
export type Task = z.infer<typeof task>;

/** What a task holds when nothing else is said. */
export const newTask = (fields: Pick<Task, 'id'> & Partial<Task>, now: EpochMs): Task => ({
  uid: uidOf(fields.id),
  title: '',
  notes: '',
  link: '',
  start: null,
  due: null,
  estimate: null,
  importance: 0,
  categoryIds: [],
  reminders: [],
  status: 'open',
  percent: 0,
  doneAt: null,
  created: now,
  updated: now,
  revision: 0,
  ...fields,
});

/** A task that was edited: its revision and its time stamp go on (SEQUENCE, RFC 5545 §3.8.7.4). */
export const revisedTask = (task: Task, fields: Partial<Task>, now: EpochMs): Task => ({
  ...task,
  ...fields,
  updated: now,
  revision: task.revision + 1,
});

/** Whether something is still to be done about it. */
export const isOpen = ({ status }: Pick<Task, 'status'>): boolean =>
  status === 'open' || status === 'started';
