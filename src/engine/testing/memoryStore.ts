import type { Store } from '../storage/store';

/** A store that tests and benchmarks can look into and make fail. */
export class MemoryStore implements Store {
  readonly texts = new Map<string, string>();
  /** Thrown by the next operations of that kind, as a browser's storage might. */
  failReading: Error | null = null;
  failWriting: Error | null = null;
  /** Number of keys written, in all. */
  written = 0;

  async keys(): Promise<string[]> {
    if (this.failReading) throw this.failReading;
    return [...this.texts.keys()];
  }

  async getMany(keys: readonly string[]): Promise<Map<string, string>> {
    if (this.failReading) throw this.failReading;
    return new Map(
      keys.flatMap((key) => (this.texts.has(key) ? [[key, this.texts.get(key)!]] : [])),
    );
  }

  async setMany(entries: ReadonlyMap<string, string | null>): Promise<void> {
    if (this.failWriting) throw this.failWriting;
    this.written += entries.size;
    for (const [key, text] of entries) {
      if (text === null) this.texts.delete(key);
      else this.texts.set(key, text);
    }
  }

  async clear(): Promise<void> {
    this.texts.clear();
  }
}
