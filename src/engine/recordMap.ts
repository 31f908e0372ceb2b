import type { RecordType } from '@/core/model/kinds';
import { RECORD_TYPES } from '@/core/model/kinds';
import { splitKey } from '@/core/model/records';
import type { AnyRecord } from './change';

/** Records by their keys, those of each kind for themselves: asking for calendars does not walk events. */
export class RecordMap {
  private readonly kinds = new Map<RecordType, Map<string, AnyRecord>>(
    RECORD_TYPES.map((type) => [type, new Map()]),
  );

  /** The records of a kind by their keys, in the order in which they came. */
  ofType(type: RecordType): ReadonlyMap<string, AnyRecord> {
    return this.kinds.get(type)!;
  }

  private of(key: string): Map<string, AnyRecord> | undefined {
    const name = splitKey(key);
    return name ? this.kinds.get(name.type) : undefined;
  }

  get(key: string): AnyRecord | undefined {
    return this.of(key)?.get(key);
  }

  /** Puts a record in, or takes it out when it is null. */
  put(key: string, record: AnyRecord | null): void {
    if (record) this.of(key)?.set(key, record);
    else this.of(key)?.delete(key);
  }

  *entries(): Generator<[string, AnyRecord]> {
    for (const kind of this.kinds.values()) yield* kind;
  }
}
