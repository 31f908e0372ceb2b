import { nanoid } from 'nanoid';

/** A stored record that can't be used. It stays in the store as it is. */
export interface SetAside {
  key: string;
  raw: string;
  reason: string;
}

/** Where a text is kept that something else has taken the place of: `aside/<any>/<its key>`. */
const AWAY = /^aside\/[^/]+\/(.+)$/s;
const OUT_OF_THE_WAY = 'another record has taken its place';

/** The stored records that could not be read: told of, never lost, exportable as they stand. */
export class Asides {
  private readonly byKey = new Map<string, SetAside>();

  get list(): SetAside[] {
    return [...this.byKey.values()];
  }

  /** Whether the text under a key in the store is one that could not be read. */
  has(key: string): boolean {
    return this.byKey.has(key);
  }

  put(key: string, raw: string, reason: string): void {
    this.byKey.set(key, { key, raw, reason });
  }

  /** A record that is sound again, or gone, is not set aside any more. */
  forget(key: string): void {
    this.byKey.delete(key);
  }

  /** Whether a key of the store is one of a text that was put out of the way. */
  static isAway(key: string): boolean {
    return AWAY.test(key);
  }

  /** A key out of the way for a text of that key. */
  static placeFor(key: string): string {
    return `aside/${nanoid(8)}/${key}`;
  }

  /** Takes up the texts that were put out of the way before. */
  takeUp(texts: ReadonlyMap<string, string>): void {
    for (const [at, raw] of texts) {
      const [, key = at] = AWAY.exec(at) ?? [];
      this.byKey.set(at, { key, raw, reason: OUT_OF_THE_WAY });
    }
  }

  /**
   * What is written, without harm to what could not be read: a text that something is written over
   * is put out of the way in the same transaction, one that would be taken away stays.
   */
  sparing(entries: ReadonlyMap<string, string | null>): Map<string, string | null> {
    const spared = new Map(entries);
    for (const [key, text] of entries) {
      const aside = this.byKey.get(key);
      if (!aside) continue;
      if (text === null) spared.delete(key);
      else spared.set(Asides.placeFor(key), aside.raw);
    }
    return spared;
  }

  /** Keeps up with what `sparing` gave, once it is written. */
  written(entries: ReadonlyMap<string, string | null>): void {
    for (const [key, text] of entries) {
      if (text === null) continue;
      if (Asides.isAway(key)) this.takeUp(new Map([[key, text]]));
      else this.forget(key);
    }
  }
}
