import { z } from '@/core/model/zod';
import type { RecordType } from '@/core/model/kinds';
import type { RecordKey, RecordOf } from '@/core/model/records';
import { migrate, RecordError } from '@/core/model/migrate';
import { keyOf, splitKey } from '@/core/model/records';
import { SCHEMA_VERSION } from '@/core/model/versions';
import type { EpochMs } from '@/core/time/units';
import { errorOf } from '@/core/userError';

export type AnyRecord = RecordOf<RecordType>;

/** One record before and after an action; null where there is none. */
export interface Edit {
  type: RecordType;
  before: AnyRecord | null;
  after: AnyRecord | null;
}

/** An action of a person: what it is called in "Undo …", and what it does. */
export interface ChangeRequest {
  /** In the past tense, for example "Moved Bench round". */
  label: string;
  /** Epoch ms */
  at: EpochMs;
  edits: Edit[];
}

const anyRecord = z.record(z.string(), z.unknown()).nullable();

/** A change as it is stored. The first ones said no version. */
const storedChange = z.object({
  version: z.number().int().min(1).default(1),
  label: z.string(),
  at: z.number(),
  steps: z.array(z.object({ key: z.string(), before: anyRecord, after: anyRecord })),
});
/** A change as it is kept, for undo and redo. */
export type KeptChange = Omit<z.infer<typeof storedChange>, 'version'>;
export type Step = KeptChange['steps'][number];
type Fields = Record<string, unknown>;

export const writeChange = (change: KeptChange): string =>
  JSON.stringify({ version: SCHEMA_VERSION, ...change });

/**
 * Reads a change, and takes the records in it to the current version.
 * @throws RecordError when it is damaged, or of a version that can't be read.
 */
export function readChange(text: string): KeptChange {
  const { version, label, at, steps } = checked(text);
  const lift = (key: string, record: Fields | null) =>
    record && migrate(splitKey(key)?.type ?? '', record, version);
  return {
    label,
    at,
    steps: steps.map(({ key, before, after }) => ({
      key,
      before: lift(key, before),
      after: lift(key, after),
    })),
  };
}

function checked(text: string): z.infer<typeof storedChange> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    throw new RecordError('its text is damaged');
  }
  const read = storedChange.safeParse(parsed);
  if (!read.success) throw new RecordError('it is no change of this app');
  return read.data;
}

export function editKey({ type, before, after }: Edit): RecordKey {
  const record = after ?? before;
  if (!record) throw new RangeError('An edit needs a record before or after.');
  return keyOf(type, 'id' in record ? record.id : 'mine');
}

/** Fields whose parts are edited one by one, like those of a record. */
const FIELDS_OF_PARTS = new Set(['changedDates', 'exceptions', 'workweek']);

const isObject = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((value, i) => isSame(value, b[i]));
  if (!isObject(a) || !isObject(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) =>
    isSame(a[key], b[key]),
  );
}

/** Fields that say one thing together: an edit of one stands for both. */
const TOGETHER = ['start', 'end'] as const;

/**
 * `latest` with what changed between `before` and `after`, field by field: so that edits of
 * different fields, made in two windows, both hold.
 */
export function mergeFields(before: Fields, after: Fields, latest: Fields): Fields {
  const merged: Fields = { ...latest };
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    if (isSame(before[key], after[key])) continue;
    const [was, is, now] = [before[key], after[key], latest[key]];
    if (is === undefined) delete merged[key];
    else if (FIELDS_OF_PARTS.has(key) && isObject(was) && isObject(is) && isObject(now))
      merged[key] = mergeFields(was, is, now);
    else merged[key] = is;
  }
  if (TOGETHER.some((key) => !isSame(before[key], after[key]))) {
    for (const key of TOGETHER) if (after[key] !== undefined) merged[key] = after[key];
  }
  return merged;
}

/** What a record becomes by an edit, given how it stands now. Null takes it away. */
export function applyEdit(
  before: Fields | null,
  after: Fields | null,
  latest: Fields | null,
): Fields | null {
  return before && after && latest ? mergeFields(before, after, latest) : after;
}

/**
 * The step back. A record that has been cleared away for good meanwhile stays away, unless this
 * step is what took it.
 */
export function applyReverse({ before, after }: Step, latest: Fields | null): Fields | null {
  return latest === null && before && after ? null : applyEdit(after, before, latest);
}

/** A change as the history names it: when it was made (epoch ms), and in which window. */
const historyEntry = z.object({
  id: z.number().int(),
  label: z.string(),
  at: z.number().optional(),
  by: z.string().optional(),
  /** Characters of its text in the store. */
  size: z.number().optional(),
});
export type HistoryEntry = z.infer<typeof historyEntry>;

/** Which changes can be undone and redone, the next one last. */
export const historySchema = z.object({
  next: z.number().int(),
  done: z.array(historyEntry),
  undone: z.array(historyEntry),
});
export type History = z.infer<typeof historySchema>;

/** Why a step through the history was not taken, in words for the person. */
export class HistoryError extends errorOf('history') {}

export const EMPTY_HISTORY: History = { next: 1, done: [], undone: [] };

/** How many changes can be undone. */
export const CHANGES_KEPT = 100;
/** How many characters their texts have together; the last change is kept however long it is. */
export const TEXT_KEPT = 40_000_000;

/** The last changes that fit into what is kept. */
function fitting(done: readonly HistoryEntry[]): HistoryEntry[] {
  const kept: HistoryEntry[] = [];
  let text = 0;
  for (const entry of done.toReversed()) {
    text += entry.size ?? 0;
    if (kept.length === CHANGES_KEPT || (kept.length > 0 && text > TEXT_KEPT)) break;
    kept.unshift(entry);
  }
  return kept;
}

/** The history after a new change, and the ids of changes that are forgotten for it. */
export function pushChange(
  history: History,
  change: Omit<HistoryEntry, 'id'>,
): { history: History; id: number; forgotten: number[] } {
  const id = history.next;
  const done = [...history.done, { id, ...change }];
  const kept = fitting(done);
  const old = done.slice(0, done.length - kept.length);
  return {
    id,
    history: { next: id + 1, done: kept, undone: [] },
    forgotten: [...old, ...history.undone].map((one) => one.id),
  };
}

/** The history without some changes, which can't be read. */
export function withoutChanges(history: History, ids: ReadonlySet<number>): History {
  const isHere = ({ id }: HistoryEntry) => !ids.has(id);
  return { ...history, done: history.done.filter(isHere), undone: history.undone.filter(isHere) };
}

/** Takes the last change from one end of the history to the other; null when there is none. */
export function stepHistory(
  history: History,
  direction: 'undo' | 'redo',
): { history: History; id: number; label: string } | null {
  const from = direction === 'undo' ? history.done : history.undone;
  const change = from.at(-1);
  if (!change) return null;
  const rest = from.slice(0, -1);
  const other = [...(direction === 'undo' ? history.undone : history.done), change];
  const moved =
    direction === 'undo' ? { done: rest, undone: other } : { done: other, undone: rest };
  return { history: { next: history.next, ...moved }, ...change };
}
