import { hexColour, id, instant, jcalComponent, plainDate, zoneName } from './common';
import { z } from './zod';

export const task = z.object({
  id,
  uid: z.string().min(1),
  title: z.string(),
  due: plainDate.optional(),
  done: z.boolean(),
  calendarId: id.optional(),
  notes: z.string(),
  eventId: id.optional(),
  removedAt: instant.optional(),
  /** The VTODO that the task came from, whole. */
  component: jcalComponent.optional(),
});
export type Task = z.infer<typeof task>;

export const category = z.object({ id, name: z.string().min(1), ink: hexColour });

export const SLOTS = [5, 10, 15, 20, 30, 60] as const;
const slot = z.union(SLOTS.map((minutes) => z.literal(minutes)));
const minuteOfDay = z.number().int().min(0).max(1440);

/** A saved sheet: span, form, split and what goes with them. */
export const lens = z.object({
  id,
  name: z.string().min(1),
  icon: z.string(),
  span: z.string(),
  form: z.enum(['rows', 'columns', 'grid', 'year', 'agenda', 'table']),
  split: z.enum(['day', 'calendar', 'person']),
  calendarIds: z.array(id).nullable(),
  slot,
  fromMinute: minuteOfDay,
  toMinute: minuteOfDay,
  zones: z.array(zoneName),
  order: z.number(),
});

const workingHours = z.object({ from: minuteOfDay, to: minuteOfDay }).nullable();

/** Working hours and workplace by weekday (0 = Monday); exceptions by date. */
export const workweek = z.object({
  days: z.array(z.object({ hours: workingHours, workplace: z.string() })).length(7),
  exceptions: z.record(plainDate, z.object({ hours: workingHours, workplace: z.string() })),
});
export type Workweek = z.infer<typeof workweek>;

export const colleague = z.object({
  id,
  name: z.string().min(1),
  zone: zoneName,
  address: z.string(),
});

/** The person's own choices. Null means: as the browser has it. */
export const settings = z.object({
  zone: zoneName.nullable(),
  firstWeekday: z.number().int().min(0).max(6).nullable(),
  hourCycle: z.enum(['12', '24']).nullable(),
  theme: z.enum(['light', 'dark']).nullable(),
  slot,
  /** Minutes */
  defaultLength: z.number().int().min(5).max(1440),
  fromMinute: minuteOfDay,
  toMinute: minuteOfDay,
  defaultCalendarId: id.nullable(),
  workweek,
});
export type Settings = z.infer<typeof settings>;

const officeDay = { hours: { from: 8 * 60 + 30, to: 17 * 60 }, workplace: 'workshop' };
const homeDay = { ...officeDay, workplace: 'home' };
const dayOff = { hours: null, workplace: '' };

export const DEFAULT_SETTINGS: Settings = {
  zone: null,
  firstWeekday: null,
  hourCycle: null,
  theme: null,
  slot: 15,
  defaultLength: 30,
  fromMinute: 7 * 60,
  toMinute: 19 * 60,
  defaultCalendarId: null,
  workweek: {
    days: [officeDay, officeDay, homeDay, officeDay, homeDay, dayOff, dayOff],
    exceptions: {},
  },
};
