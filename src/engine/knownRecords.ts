import type { RecordType } from '@/core/model/kinds';
import { RecordError } from '@/core/model/migrate';
import type { RecordOf } from '@/core/model/records';
import { keyOf, readStored, splitKey } from '@/core/model/records';
import { Asides } from './asides';
import type { AnyRecord, Step } from './change';
import { RecordMap } from './recordMap';

type Fields = Record<string, unknown>;

/** Told of each record that changes; null when it is gone. */
export type OnRecord = (key: string, type: RecordType, record: AnyRecord | null) => void;

/** The records that this window knows, in memory, and the texts that it could not read. */
export class KnownRecords {
  private readonly records = new RecordMap();
  readonly asides = new Asides();

  constructor(private readonly onRecord: OnRecord) {}

  get<T extends RecordType>(type: T, id: string): RecordOf<T> | undefined {
    return this.records.get(keyOf(type, id)) as RecordOf<T> | undefined;
  }

  all<T extends RecordType>(type: T): RecordOf<T>[] {
    return [...this.records.ofType(type).values()] as RecordOf<T>[];
  }

  entries(): Iterable<[string, AnyRecord]> {
    return this.records.entries();
  }

  /** A record by its key as it stands; null when there is none. */
  latest(key: string): Fields | null {
    return (this.records.get(key) as Fields | undefined) ?? null;
  }

  /** Takes up what the store has under a key; what does not fit is set aside. */
  take(key: string, text: string | undefined): void {
    const name = splitKey(key);
    if (!name) return;
    if (text === undefined) {
      this.asides.forget(key);
      this.keep(key, null);
      return;
    }
    try {
      this.keep(key, readStored(name.type, name.id, text));
      this.asides.forget(key);
    } catch (error) {
      if (!(error instanceof RecordError)) throw error;
      this.asides.put(key, text, error.message);
    }
  }

  /** @throws RecordError for a record that can't be shown; it is then as if there were none. */
  keep(key: string, record: AnyRecord | null): void {
    const { type } = splitKey(key)!;
    try {
      this.onRecord(key, type, record);
    } catch (error) {
      this.keep(key, null);
      throw new RecordError(`its dates can’t be worked out: ${(error as Error).message}`);
    }
    this.records.put(key, record);
  }

  /** Shows all records as they become, or none. @throws RecordError when one can't be shown. */
  keepAll(results: readonly Pick<Step, 'key' | 'after'>[]): void {
    const before = results.map(({ key }) => [key, this.records.get(key) ?? null] as const);
    try {
      for (const { key, after } of results) this.keep(key, after as AnyRecord | null);
    } catch (error) {
      for (const [key, record] of before) this.keep(key, record);
      throw error;
    }
  }
}
