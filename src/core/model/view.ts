import { id, plainDate } from './common';
import { EMPTY_FILTER, filter } from './filter';
import { z } from './zod';

const counted = (least: number, most: number) => z.number().int().min(least).max(most);

/** How long a stretch the sheet shows. `period` is one of the person's own, by its id. */
export const span = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('day') }),
  z.object({ kind: z.literal('days'), count: counted(2, 7) }),
  z.object({ kind: z.literal('workweek') }),
  z.object({ kind: z.literal('week') }),
  z.object({ kind: z.literal('weeks'), count: counted(2, 6) }),
  z.object({ kind: z.literal('month') }),
  z.object({ kind: z.literal('year') }),
  z.object({ kind: z.literal('period'), id }),
]);
export type ViewSpan = z.infer<typeof span>;

export const FORMS = ['rows', 'columns', 'grid', 'year', 'agenda', 'table'] as const;
export const form = z.enum(FORMS);
export type Form = z.infer<typeof form>;

/** How much the grid says of each event. */
export const DETAILS = ['marks', 'bars', 'titles'] as const;
export const detail = z.enum(DETAILS);
export type Detail = z.infer<typeof detail>;

export const TABLE_COLUMNS = [
  'date',
  'start',
  'end',
  'hours',
  'title',
  'calendar',
  'category',
  'place',
  'availability',
  'series',
  'leaveBy',
  'reminder',
  'importance',
] as const;
const tableColumn = z.enum(TABLE_COLUMNS);
export type TableColumn = z.infer<typeof tableColumn>;

/** What the lines of a table can be grouped by. */
export const GROUPINGS = ['none', 'day', 'calendar', 'category', 'place'] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** Which columns the table has, in order, and how its lines are sorted and grouped. */
export const tableSetup = z.object({
  columns: z.array(tableColumn).min(1),
  sortBy: tableColumn,
  isDescending: z.boolean(),
  groupBy: z.enum(GROUPINGS),
});
export type TableSetup = z.infer<typeof tableSetup>;

export const DEFAULT_TABLE: TableSetup = {
  columns: ['date', 'start', 'hours', 'title', 'calendar', 'place'],
  sortBy: 'date',
  isDescending: false,
  groupBy: 'none',
};

/** How the sheet is seen: how long a stretch, drawn how, and what some forms have for themselves. */
export const view = z.object({
  span,
  form,
  detail: detail.default('titles'),
  table: tableSetup.default(DEFAULT_TABLE),
  /** What a row or a column stands for. */
  split: z.enum(['day', 'calendar', 'person']).default('day'),
  filter: filter.default(EMPTY_FILTER),
  /** Whether each day has a line of what is due on it. */
  hasTasks: z.boolean().default(true),
  /** Whether the heads of days have the facts of the day. */
  hasFacts: z.boolean().default(true),
  /** Calendars shown here alone; null when the sheet shows those that are shown everywhere. */
  calendarIds: z.array(id).nullable().default(null),
});
export type View = z.infer<typeof view>;

export const DEFAULT_VIEW: View = {
  span: { kind: 'week' },
  form: 'rows',
  detail: 'titles',
  table: DEFAULT_TABLE,
  split: 'day',
  filter: EMPTY_FILTER,
  hasTasks: true,
  hasFacts: true,
  calendarIds: null,
};

/** A stretch of days with a name of its own; its last day is included. */
export const namedPeriod = z
  .object({ id, name: z.string().min(1), from: plainDate, to: plainDate })
  .refine(({ from, to }) => from <= to, { message: 'ends before it begins' });
export type NamedPeriod = z.infer<typeof namedPeriod>;

const RUN_PATTERNS = ['months', 'weeks445', 'fourWeeks'] as const;

/** Periods that follow each other without end, as accounts are kept by. */
export const periodRun = z
  .object({
    id,
    name: z.string().min(1),
    /** Months from a chosen day on; quarters of 4, 4 and 5 weeks; or 13 times four weeks a year. */
    pattern: z.enum(RUN_PATTERNS),
    /** First day of one of its years. */
    start: plainDate,
  })
  .refine(({ pattern, start }) => pattern !== 'months' || Number(start.slice(8)) <= 28, {
    path: ['start'],
    message: 'must be a day that every month has: the 28th at the latest',
  });
export type PeriodRun = z.infer<typeof periodRun>;

/** A saved sheet: how it is seen, and which days when it does not follow the day. */
export const lens = z.object({
  id,
  name: z.string().min(1),
  icon: z.string(),
  order: z.number(),
  view,
  /** A day of the stretch that it always shows; null when it shows the one around today. */
  day: plainDate.nullable(),
});
export type Lens = z.infer<typeof lens>;
