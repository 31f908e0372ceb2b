import { guestsOfOld } from './guestsOfOld';
import { remindersOfAlarms } from './alarmsOfOld';
import { taskOfOld } from './tasksOfOld';

/** The version that everything stored is written in; each step in MIGRATIONS leads one version up. */
export const SCHEMA_VERSION = 7;

export type Data = Record<string, unknown>;

/**
 * `steps[n]` turns what was stored in version n into version n + 1. `kind` is a kind of record, or
 * `windowView`: how a window shows the sheet.
 */
export type MigrationSteps = Readonly<Record<number, (kind: string, data: Data) => Data>>;

export const MIGRATIONS: MigrationSteps = {
  1: (kind, data) => (kind === 'event' ? remindersOfAlarms(data) : data),
  2: (kind, data) => (kind === 'task' ? taskOfOld(data) : data),
  3: (kind, data) => (kind === 'event' ? { ...data, room: '' } : data),
  4: (kind, data) => (kind === 'event' ? guestsOfOld(data) : data),
  // Mails are kept, and events say whether they were answered: what was there says nothing of that.
  5: (_, data) => data,
  // Others may change what is shared with them: nobody could, nor did.
  6: (_, data) => data,
};
