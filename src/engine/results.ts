import type { RecordType } from '@/core/model/kinds';
import { checkRecord, splitKey } from '@/core/model/records';
import { RecordError, wrap } from '@/core/model/migrate';
import type { Step } from './change';
import { applyReverse, HistoryError } from './change';
import type { Entries } from './past';
import { StorageError } from './storage/storageError';

type Fields = Record<string, unknown>;

/** What a record becomes by a step through the history. */
export type Result = Pick<Step, 'key' | 'after'> & {
  /** It is neither here nor does the step make it: it was cleared for good. */
  isLost: boolean;
};

/** A merged record; when parts of two edits don't fit each other, the later edit as it was meant. */
export function fitting(type: RecordType, merged: Fields | null, meant: unknown): Fields | null {
  if (!merged) return null;
  try {
    return checkRecord(type, merged) as Fields;
  } catch (error) {
    if (!(error instanceof RecordError)) throw error;
    return checkRecord(type, meant) as Fields;
  }
}

/**
 * A mail that went out can't be undone: that others know what it says stays written down, and whether
 * it was taken back here. Null for all else.
 */
function sentMail({ key, before, after }: Step, latest: Fields | null, direction: 'undo' | 'redo') {
  const made = before === null && splitKey(key)?.type === 'mail' ? after : null;
  if (!made?.['isOut'] || !latest?.['isSent'] || !(latest['to'] as unknown[]).length) return null;
  const { isTakenBack: _isTakenBack, ...sent } = latest;
  return direction === 'undo' ? { ...sent, isTakenBack: true } : sent;
}

/** What a record becomes when a step of a change is taken back, or taken again. */
export function stepResult(step: Step, latest: Fields | null, direction: 'undo' | 'redo'): Result {
  const sent = sentMail(step, latest, direction);
  if (sent) return { key: step.key, after: sent, isLost: false };
  const after =
    direction === 'undo'
      ? applyReverse(step, latest)
      : applyReverse({ ...step, before: step.after, after: step.before }, latest);
  const wanted = direction === 'undo' ? step.before : step.after;
  return {
    key: step.key,
    after: fitting(splitKey(step.key)!.type, after, wanted),
    isLost: latest === null && after === null && wanted !== null,
  };
}

/**
 * What a step came to: its label, and how much of it was cleared for good meanwhile.
 * @throws HistoryError when that is all of it.
 */
export function sayResults(label: string, results: readonly Result[]): string {
  const lost = results.filter(({ isLost }) => isLost).length;
  if (lost === 0) return label;
  if (lost < results.length) return `${label}, except for what was cleared for good (${lost})`;
  throw new HistoryError(`“${label}” can’t be taken back: it was cleared for good.`);
}

/** What is written of records that have been checked. */
export function recordEntries(results: readonly Pick<Step, 'key' | 'after'>[]): Entries {
  return new Map(results.map(({ key, after }) => [key, after && wrap(after)]));
}

/** Why the store failed, in words for the person. */
export function reasonOf(error: unknown): string {
  if (error instanceof StorageError) return error.message;
  const name = error instanceof Error ? error.name : '';
  const message = error instanceof Error ? error.message : String(error);
  if (/quota/i.test(name + message)) return 'The browser’s storage for this page is full.';
  if (/security|denied|insecure/i.test(name + message))
    return 'The browser does not let this page store anything.';
  return 'The browser’s storage failed. What was kept before is safe: export it, and reload the page.';
}
