import { id, plainDate, zoneName } from './common';
import { filter } from './filter';
import { FORMS } from './view';
import { z } from './zod';

export const PAPERS = ['A4', 'A5', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** What is drawn on paper: the forms of the sheet, and how booked the days are. */
export const PRINT_FORMS = [...FORMS, 'load'] as const;
export type PrintForm = (typeof PRINT_FORMS)[number];

/** What stands beside the days. */
export const BESIDES = ['nothing', 'tasks', 'notes', 'lines'] as const;
export type Beside = (typeof BESIDES)[number];

/** How something is put on paper. */
export const printSetup = z.object({
  paper: z.enum(PAPERS).default('A4'),
  isUpright: z.boolean().default(false),
  /** Millimetres */
  margin: z.number().int().min(5).max(30).default(12),
  /** Points */
  size: z.number().int().min(6).max(14).default(9),
  form: z.enum(PRINT_FORMS).default('rows'),
  /** Days that are printed, the last included; null for those that are seen. */
  days: z.object({ from: plainDate, to: plainDate }).nullable().default(null),
  /** The events of these calendars that pass this filter; null for those that are seen. */
  only: z
    .object({ calendarIds: z.array(id), filter })
    .nullable()
    .default(null),
  /** What a page holds: all of it, or a week or a month each. */
  by: z.enum(['all', 'week', 'month']).default('week'),
  /** The hours that the sheet shows, or as far as there are events. */
  hours: z.enum(['shown', 'events']).default('shown'),
  /** Last, this and next month, small. */
  hasMonths: z.boolean().default(false),
  beside: z.enum(BESIDES).default('nothing'),
  hasPlaces: z.boolean().default(true),
  hasNotes: z.boolean().default(false),
  hasGuests: z.boolean().default(false),
  hasWeekNumbers: z.boolean().default(true),
  /** A second clock beside the first. */
  zone: zoneName.nullable().default(null),
  /** Whether private events are called by their titles; else they are booked time. */
  hasPrivate: z.boolean().default(false),
  /** Marks and outlines instead of grounds. */
  isSaving: z.boolean().default(false),
  /** Empty for the days themselves. */
  title: z.string().max(200).default(''),
  hasFooter: z.boolean().default(true),
});
export type PrintSetup = z.infer<typeof printSetup>;

export const DEFAULT_PRINT: PrintSetup = printSetup.parse({});
