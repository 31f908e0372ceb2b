import { explain } from './explain';
import type { RecordType } from './kinds';
import { isRecordType, KINDS } from './kinds';
import { RecordError, unwrap, wrap } from './migrate';
import type { z } from './zod';

export type RecordOf<T extends RecordType> = z.infer<(typeof KINDS)[T]['schema']>;

/** A record with the name of its kind. */
export type TypedRecord = { [T in RecordType]: { type: T; record: RecordOf<T> } }[RecordType];

/** A record's key in the store: `type/id`. */
export type RecordKey = `${RecordType}/${string}`;

export function keyOf(type: RecordType, id: string): RecordKey {
  return `${type}/${id}`;
}

/** Type and id of a storage key, or null when the key names no record. */
export function splitKey(key: string): { type: RecordType; id: string } | null {
  const at = key.indexOf('/');
  const type = key.slice(0, at);
  return at > 0 && isRecordType(type) ? { type, id: key.slice(at + 1) } : null;
}

/**
 * Reads a record from its stored text: takes it to the current version, then checks it.
 * @throws RecordError saying what doesn't fit.
 */
export const readRecord = <T extends RecordType>(type: T, text: string): RecordOf<T> =>
  checkRecord(type, unwrap(type, text));

/**
 * Checks a record against its schema.
 * @throws RecordError saying what doesn't fit.
 */
export function checkRecord<T extends RecordType>(type: T, data: unknown): RecordOf<T> {
  const result = KINDS[type].schema.safeParse(data);
  if (!result.success) throw new RecordError(explain(result.error));
  return result.data as RecordOf<T>;
}

/**
 * Reads the record that stands under a key of the store.
 * @throws RecordError saying what doesn't fit, an id that is not the key's among it.
 */
export function readStored<T extends RecordType>(type: T, id: string, text: string): RecordOf<T> {
  const record = readRecord(type, text);
  const own = 'id' in record ? record.id : 'mine';
  if (own !== id) throw new RecordError(`it calls itself “${own}”, and not as its place is named`);
  return record;
}

/** The text that a record is stored as. Checks it first; throws RecordError. */
export function writeRecord<T extends RecordType>(type: T, data: RecordOf<T>): string {
  return wrap(checkRecord(type, data));
}
