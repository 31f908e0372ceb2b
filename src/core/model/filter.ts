import { EVENT_CHECKS } from './checks';
import { availability, id, instant, plainDate, visibility, zoneName } from './common';
import { IMPORTANCES } from './importance';
import { z } from './zod';

export const FILTER_KINDS = [
  'single',
  'series',
  'wholeDay',
  'others',
  'reminder',
  'attachment',
  'notes',
  'link',
  'travel',
  'untitled',
] as const;
export type FilterKind = (typeof FILTER_KINDS)[number];

/** What words are looked for in, in the order in which it is listed. */
export const TEXT_FIELDS = [
  'title',
  'place',
  'notes',
  'people',
  'calendar',
  'category',
  'file',
  'agenda',
  'link',
] as const;
export type TextField = (typeof TEXT_FIELDS)[number];

/** The parts of a filter that can be turned round. */
export const FILTER_PARTS = [
  'words',
  'place',
  'calendars',
  'categories',
  'kinds',
  'availability',
  'importance',
  'visibility',
  'people',
  'zones',
  'dates',
  'weekdays',
  'timeOfDay',
  'length',
  'changed',
  'broughtIn',
  'checks',
] as const;
export type FilterPart = (typeof FILTER_PARTS)[number];

/** Days that are other ones as time goes on. */
export const PERIODS = [
  ...(['last', 'this', 'next'] as const).flatMap((which) =>
    (['week', 'month', 'quarter', 'year', 'weekend'] as const).map(
      (unit) => `${which} ${unit}` as const,
    ),
  ),
  ...(['yesterday', 'today', 'tomorrow'] as const),
  ...(['last', 'next'] as const).flatMap((which) =>
    (['7', '14', '30', '90'] as const).map((many) => `${which} ${many} days` as const),
  ),
] as const;
export type Period = (typeof PERIODS)[number];

/** Days from one to another, both included; without an end where one is null. */
const dayRange = z
  .object({
    from: plainDate.nullable(),
    to: plainDate.nullable(),
    /** What the days were called, where they move on with time: they are those of today, then. */
    period: z.enum(PERIODS).optional(),
  })
  .refine(({ from, to }) => from === null || to === null || from <= to, {
    path: ['to'],
    message: 'is before the first day',
  });

/** Minutes from one to another, both included; without a bound where one is null. */
const minuteRange = z.object({
  from: z.number().int().nonnegative().nullable(),
  to: z.number().int().nonnegative().nullable(),
});
export type MinuteRange = z.infer<typeof minuteRange>;

const minuteOfDay = z.number().int().min(0).max(1440);

/**
 * Which events are let through. Each part that is set must hold, or must not where it is among `not`.
 * Of a list, any may hold; what is empty asks for nothing.
 */
export const filter = z.object({
  /** Words, and phrases in quotes, all of which must stand somewhere. */
  text: z.string(),
  /** Where they may stand; anywhere when it is empty. */
  textIn: z.array(z.enum(TEXT_FIELDS)).default([]),
  place: z.string(),
  calendarIds: z.array(id).default([]),
  categoryIds: z.array(id),
  kinds: z.array(z.enum(FILTER_KINDS)),
  availability: z.array(availability),
  importance: z.array(z.enum(IMPORTANCES)).default([]),
  visibility: z.array(visibility).default([]),
  /** A name or an address, or part of one. */
  people: z.string().default(''),
  zones: z.array(zoneName).default([]),
  dates: dayRange.nullable().default(null),
  /** Weekdays (0 = Monday) on one of which it must lie. */
  weekdays: z.array(z.number().int().min(0).max(6)).default([]),
  /** Minutes of the day between which it must begin, the last excluded; over midnight where `to` comes first. */
  timeOfDay: z.object({ from: minuteOfDay, to: minuteOfDay }).nullable().default(null),
  /** How many minutes it must last. */
  length: minuteRange.nullable().default(null),
  /** When it must have been changed, or later (epoch ms). */
  changedSince: instant.nullable().default(null),
  /** The name, or part of it, of a file that was imported. */
  broughtIn: z.string().default(''),
  /** Checks of Tidy that must have found it. */
  checks: z.array(z.enum(EVENT_CHECKS)).default([]),
  not: z.array(z.enum(FILTER_PARTS)).default([]),
  isPastHidden: z.boolean(),
});
export type Filter = z.infer<typeof filter>;

export const EMPTY_FILTER: Filter = {
  text: '',
  textIn: [],
  place: '',
  calendarIds: [],
  categoryIds: [],
  kinds: [],
  availability: [],
  importance: [],
  visibility: [],
  people: '',
  zones: [],
  dates: null,
  weekdays: [],
  timeOfDay: null,
  length: null,
  changedSince: null,
  broughtIn: '',
  checks: [],
  not: [],
  isPastHidden: false,
};
