import { travelProblem } from '../time/sheetClock';
import { rooms } from './calendar';
import { hexColour, id, instant, mailAddress, phoneNumber, plainDate, zoneName } from './common';
import { ACCENTS, DENSITIES, LARGEST_ZOOM, LEAST_ZOOM, TEXT_SIZES } from './look';
import { DATE_ORDERS } from '../time/words';
import { namedPeriod, periodRun, span } from './view';
import { printSetup } from './print';
import { z } from './zod';

/** A named label with an ink, across calendars. */
export const category = z.object({
  id,
  name: z.string().min(1),
  ink: hexColour,
  order: z.number().default(0),
});
export type Category = z.infer<typeof category>;

export const SLOTS = [5, 10, 15, 20, 30, 60] as const;
const slot = z.union(SLOTS.map((minutes) => z.literal(minutes)));
const minuteOfDay = z.number().int().min(0).max(1440);

const workingHours = z.object({ from: minuteOfDay, to: minuteOfDay }).nullable();

/** Working hours and workplace by weekday (0 = Monday); exceptions by date. */
export const workweek = z.object({
  days: z.array(z.object({ hours: workingHours, workplace: z.string() })).length(7),
  exceptions: z.record(plainDate, z.object({ hours: workingHours, workplace: z.string() })),
});
export type Workweek = z.infer<typeof workweek>;

/** Another zone that the person keeps an eye on: under which name, and whether the sheet has its hours too. */
const watchedZone = z.object({ zone: zoneName, label: z.string().min(1), onSheet: z.boolean() });
export type WatchedZone = z.infer<typeof watchedZone>;

/** Other zones that can be watched at once. */
export const MOST_ZONES = 3;

const travel = z
  .object({ from: plainDate, to: plainDate, zone: zoneName })
  .refine((stay) => travelProblem(stay) === null, { message: 'ends before it begins' });

/** How and when reminders may speak up, and where the outbox sends. */
const remindingSettings = z.object({
  /** Whether the person wants the browser's own notifications: not asked yet, put aside, wanted. */
  notices: z.enum(['unasked', 'notNow', 'wanted']),
  hasSound: z.boolean(),
  /** Whether reminders wait while nobody works. */
  isQuietOutsideWork: z.boolean(),
  /** Until when they wait, whatever else is set. */
  quietUntil: instant.nullable(),
  /** Where mails and text messages go; empty for nowhere. */
  mail: mailAddress.or(z.literal('')),
  phone: phoneNumber.or(z.literal('')),
  /** When the letter of the day is written; null for never. */
  letterAt: minuteOfDay.nullable(),
});
export type RemindingSettings = z.infer<typeof remindingSettings>;

const DEFAULT_REMINDING: RemindingSettings = {
  notices: 'unasked',
  hasSound: false,
  isQuietOutsideWork: false,
  quietUntil: null,
  mail: '',
  phone: '',
  letterAt: null,
};

/** The person's own choices. Null means: as the browser has it. */
export const settings = z.object({
  /** The home zone. */
  zone: zoneName.nullable(),
  zones: z.array(watchedZone).max(MOST_ZONES).default([]),
  /** Times spent elsewhere, whose zone the sheet then follows. */
  travel: z.array(travel).default([]),
  firstWeekday: z.number().int().min(0).max(6).nullable(),
  hourCycle: z.enum(['12', '24']).nullable(),
  theme: z.enum(['light', 'dark']).nullable(),
  slot,
  /** Minutes */
  defaultLength: z.number().int().min(5).max(1440),
  fromMinute: minuteOfDay,
  toMinute: minuteOfDay,
  defaultCalendarId: id.nullable(),
  /** Which new events have a room link, where their calendar does not say. */
  rooms: rooms.default('none'),
  /** The calendars that were shown before one was shown alone; null when none is. */
  shownBefore: z.array(id).nullable().default(null),
  /** What the inks of the sheet stand for. */
  colourBy: z.enum(['calendar', 'category']).default('calendar'),
  /** Stretches of days that the person named, and runs of them. */
  periods: z.array(namedPeriod).default([]),
  periodRuns: z.array(periodRun).default([]),
  /** Days that the list of what comes looks on, and back. */
  upcomingDays: z.number().int().min(1).max(60).default(7),
  upcomingBack: z.number().int().min(0).max(60).default(0),
  /** Whether keys of one letter do things on the sheet. */
  hasKeys: z.boolean().default(true),
  /** The lens that a new window opens with, or else the span; without both it opens as the last was left. */
  defaultLensId: id.nullable().default(null),
  startSpan: span.nullable().default(null),
  /** How the parts of a date follow each other. */
  dateOrder: z.enum(DATE_ORDERS).nullable().default(null),
  /** Whether spans of a week and more have Saturdays and Sundays, and whether weeks are numbered. */
  hasWeekends: z.boolean().default(true),
  hasWeekNumbers: z.boolean().default(true),
  /** Whether what is over stands back. */
  isPastDim: z.boolean().default(false),
  /** Whether what private events are called and where they are is shown on the sheet. */
  hasPrivateTitles: z.boolean().default(true),
  accent: z.enum(ACCENTS).default('spruce'),
  textSize: z.enum(TEXT_SIZES).default('usual'),
  density: z.enum(DENSITIES).default('usual'),
  /** How large the sheet's rows and hours are, in shares of their usual size. */
  zoom: z.number().min(LEAST_ZOOM).max(LARGEST_ZOOM).default(1),
  /** The picture behind Today; what is in it is kept with the attachments. */
  todayPicture: z
    .object({ id, name: z.string(), bytes: z.number().int() })
    .nullable()
    .default(null),
  /** Which column of a table file means what, by the columns' names. */
  csvColumns: z.record(z.string(), z.record(z.string(), z.string())).default({}),
  workweek,
  reminding: remindingSettings.default(DEFAULT_REMINDING),
  /** By which name and mail address others know the person; empty for not said. */
  me: z
    .object({ name: z.string(), address: mailAddress.or(z.literal('')) })
    .default({ name: '', address: '' }),
  /** Whether what the person declined stays on the sheet. */
  hasDeclined: z.boolean().default(false),
  /** How each lens, by its id, was put on paper last; by an empty name what has no lens. */
  prints: z.record(z.string(), printSetup).default({}),
});
export type Settings = z.infer<typeof settings>;

/** Nobody said yet where the person works. */
const workday = { hours: { from: 8 * 60 + 30, to: 17 * 60 }, workplace: '' };
const dayOff = { hours: null, workplace: '' };

export const DEFAULT_SETTINGS: Settings = {
  zone: null,
  zones: [],
  travel: [],
  firstWeekday: null,
  hourCycle: null,
  theme: null,
  slot: 15,
  defaultLength: 30,
  fromMinute: 7 * 60,
  toMinute: 19 * 60,
  defaultCalendarId: null,
  rooms: 'none',
  shownBefore: null,
  colourBy: 'calendar',
  periods: [],
  periodRuns: [],
  upcomingDays: 7,
  upcomingBack: 0,
  hasKeys: true,
  defaultLensId: null,
  startSpan: null,
  dateOrder: null,
  hasWeekends: true,
  hasWeekNumbers: true,
  isPastDim: false,
  hasPrivateTitles: true,
  accent: 'spruce',
  textSize: 'usual',
  density: 'usual',
  zoom: 1,
  todayPicture: null,
  csvColumns: {},
  workweek: {
    days: [workday, workday, workday, workday, workday, dayOff, dayOff],
    exceptions: {},
  },
  reminding: DEFAULT_REMINDING,
  me: { name: '', address: '' },
  hasDeclined: false,
  prints: {},
};
