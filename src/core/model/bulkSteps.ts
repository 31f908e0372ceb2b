import { availability, hexColour, id, plainDate, reminder, visibility, zoneName } from './common';
import { IMPORTANCES } from './importance';
import { z } from './zod';

const minuteOfDay = z.number().int().min(0).max(1439);
/** A month at the most: what lasts longer is given days. */
const length = z
  .number()
  .int()
  .min(1)
  .max(31 * 1440);

/** Texts of an event that steps can rewrite. */
export const REWRITTEN = ['title', 'place', 'notes', 'link'] as const;
export type Rewritten = (typeof REWRITTEN)[number];
const rewritten = z.enum(REWRITTEN);

/** How text that is replaced is looked for: as it stands, in any case, as whole words, by a pattern. */
export const MATCHINGS = ['any', 'case', 'words', 'pattern'] as const;
export type Matching = (typeof MATCHINGS)[number];

/**
 * One thing that is done to each of many events. Those of a date in a series are done to that date,
 * and reach others as its scope says.
 */
export const bulkStep = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('shiftDays'), days: z.number().int().min(-36_600).max(36_600) }),
  /** The earliest goes to that day, the others as far after it as before. */
  z.object({ kind: z.literal('toDay'), day: plainDate }),
  z.object({ kind: z.literal('shiftMinutes'), minutes: z.number().int().min(-1440).max(1440) }),
  z.object({ kind: z.literal('setStart'), minute: minuteOfDay }),
  z.object({ kind: z.literal('setLength'), minutes: length }),
  z.object({ kind: z.literal('round'), slot: z.number().int().min(5).max(60) }),
  z.object({ kind: z.literal('wholeDay') }),
  /** Whole days get the hours that they had before, or these. */
  z.object({ kind: z.literal('hours'), minute: minuteOfDay, minutes: length }),
  /** Null floats. */
  z.object({
    kind: z.literal('zone'),
    zone: zoneName.nullable(),
    keeps: z.enum(['clock', 'instant']),
  }),
  z.object({ kind: z.literal('calendar'), calendarId: id }),
  z.object({
    kind: z.literal('categories'),
    add: z.array(id),
    remove: z.array(id),
    /** Whether those that an event has besides go. */
    isReplaced: z.boolean(),
  }),
  /** Null gives it back to the calendar. */
  z.object({ kind: z.literal('ink'), ink: hexColour.nullable() }),
  z.object({ kind: z.literal('icon'), icon: z.string().nullable() }),
  z.object({ kind: z.literal('availability'), availability }),
  z.object({ kind: z.literal('visibility'), visibility }),
  z.object({ kind: z.literal('importance'), importance: z.enum(IMPORTANCES) }),
  z.object({
    kind: z.literal('reminders'),
    how: z.enum(['set', 'add', 'clear', 'follow']),
    reminders: z.array(reminder),
  }),
  z.object({ kind: z.literal('text'), field: rewritten, text: z.string() }),
  z.object({
    kind: z.literal('replace'),
    fields: z.array(rewritten).min(1),
    find: z.string().min(1),
    with: z.string(),
    matching: z.enum(MATCHINGS),
  }),
  z.object({ kind: z.literal('prefix'), text: z.string().min(1) }),
  z.object({ kind: z.literal('suffix'), text: z.string().min(1) }),
  /** Takes away spaces around and doubled ones within title and place. */
  z.object({ kind: z.literal('trim') }),
  /** Numbers titles in order of time. */
  z.object({ kind: z.literal('number'), from: z.number().int().min(0).max(99_999) }),
  z.object({ kind: z.literal('removeFiles') }),
]);
export type BulkStep = z.infer<typeof bulkStep>;
export type StepKind = BulkStep['kind'];
