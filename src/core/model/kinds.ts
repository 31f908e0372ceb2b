import { calendar } from './calendar';
import { event } from './event';
import { category, settings } from './others';
import { mail } from './mail';
import { offer } from './offer';
import { person } from './person';
import { reminding } from '../reminders/reminding';
import { left } from './left';
import { question } from './question';
import { share } from './share';
import { task } from './task';
import { tidyRule } from './tidyRule';
import { lens } from './view';
import type { z } from './zod';

interface KindSpec {
  schema: z.ZodType;
  /** What people call one of them, and several. */
  one: string;
  many: string;
  /** Whether each lies on a calendar, and goes where that goes. */
  isOnCalendar: boolean;
  /** Whether it is something that a backup holds, and not only how this browser stands. */
  isInBackup: boolean;
}

/** Every kind of stored record, in the order in which they are loaded: first what the rest is shown with. */
export const KINDS = {
  settings: {
    schema: settings,
    one: 'set of settings',
    many: 'sets of settings',
    isOnCalendar: false,
    isInBackup: true,
  },
  reminding: {
    schema: reminding,
    one: 'list of reminders that wait',
    many: 'lists of reminders that wait',
    isOnCalendar: false,
    isInBackup: false,
  },
  calendar: {
    schema: calendar,
    one: 'calendar',
    many: 'calendars',
    isOnCalendar: false,
    isInBackup: true,
  },
  category: {
    schema: category,
    one: 'category',
    many: 'categories',
    isOnCalendar: false,
    isInBackup: true,
  },
  question: {
    schema: question,
    one: 'kept question',
    many: 'kept questions',
    isOnCalendar: false,
    isInBackup: true,
  },
  left: {
    schema: left,
    one: 'finding left as it is',
    many: 'findings left as they are',
    isOnCalendar: false,
    isInBackup: true,
  },
  tidyRule: {
    schema: tidyRule,
    one: 'rule for new events',
    many: 'rules for new events',
    isOnCalendar: false,
    isInBackup: true,
  },
  lens: { schema: lens, one: 'lens', many: 'lenses', isOnCalendar: false, isInBackup: true },
  person: {
    schema: person,
    one: 'person',
    many: 'people',
    isOnCalendar: false,
    isInBackup: true,
  },
  offer: { schema: offer, one: 'offer', many: 'offers', isOnCalendar: false, isInBackup: true },
  mail: { schema: mail, one: 'mail', many: 'mails', isOnCalendar: false, isInBackup: true },
  share: { schema: share, one: 'share', many: 'shares', isOnCalendar: false, isInBackup: true },
  task: { schema: task, one: 'task', many: 'tasks', isOnCalendar: true, isInBackup: true },
  event: { schema: event, one: 'event', many: 'events', isOnCalendar: true, isInBackup: true },
} as const satisfies Record<string, KindSpec>;

export type RecordType = keyof typeof KINDS;

export const RECORD_TYPES = Object.keys(KINDS) as RecordType[];

/** Kinds of records that lie on calendars. */
export type OnCalendar = {
  [T in RecordType]: (typeof KINDS)[T]['isOnCalendar'] extends true ? T : never;
}[RecordType];

export const isRecordType = (name: string): name is RecordType => Object.hasOwn(KINDS, name);
