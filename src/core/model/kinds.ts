import { calendar } from './calendar';
import { event } from './event';
import { category, colleague, settings, task } from './others';
import { lens } from './view';
import type { z } from './zod';

interface KindSpec {
  schema: z.ZodType;
  /** What people call one of them, and several. */
  one: string;
  many: string;
  /** Whether each lies on a calendar, and goes where that goes. */
  isOnCalendar: boolean;
}

/** Every kind of stored record, in the order in which they are loaded: first what the rest is shown with. */
export const KINDS = {
  settings: {
    schema: settings,
    one: 'set of settings',
    many: 'sets of settings',
    isOnCalendar: false,
  },
  calendar: { schema: calendar, one: 'calendar', many: 'calendars', isOnCalendar: false },
  category: { schema: category, one: 'category', many: 'categories', isOnCalendar: false },
  lens: { schema: lens, one: 'lens', many: 'lenses', isOnCalendar: false },
  colleague: { schema: colleague, one: 'colleague', many: 'colleagues', isOnCalendar: false },
  task: { schema: task, one: 'task', many: 'tasks', isOnCalendar: true },
  event: { schema: event, one: 'event', many: 'events', isOnCalendar: true },
} as const satisfies Record<string, KindSpec>;

export type RecordType = keyof typeof KINDS;

export const RECORD_TYPES = Object.keys(KINDS) as RecordType[];

/** Kinds of records that lie on calendars. */
export type OnCalendar = {
  [T in RecordType]: (typeof KINDS)[T]['isOnCalendar'] extends true ? T : never;
}[RecordType];

export const isRecordType = (name: string): name is RecordType => Object.hasOwn(KINDS, name);
