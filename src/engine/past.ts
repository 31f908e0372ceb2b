import { RecordError } from '@/core/model/migrate';
import { SCHEMA_VERSION } from '@/core/model/versions';
import type { Durability, Store } from './storage/store';
import type { History, KeptChange } from './change';
import {
  EMPTY_HISTORY,
  historySchema,
  pushChange,
  readChange,
  withoutChanges,
  writeChange,
} from './change';

const HISTORY = 'meta/history';
/** The newest version that records of this store were written in. */
const SCHEMA = 'meta/schema';
const CHANGE = 'change/';
export const changeKey = (id: number) => `${CHANGE}${id}`;

/** Texts of the store that are about to be written; null takes a key away. */
export type Entries = Map<string, string | null>;

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null; // The schema that looks at it next says what is wrong.
  }
}

/** What was done, as the store keeps it: the list of changes, and the text of each. */
export class Past {
  history: History = EMPTY_HISTORY;
  /** The newest version that has written here; 0 for one of before this was told. */
  private schema = 0;

  constructor(private readonly store: Store) {}

  /** Reads the list again, and who has written here; to be done under the lock before each write. */
  async read(): Promise<void> {
    const texts = await this.store.getMany([HISTORY, SCHEMA]);
    const text = texts.get(HISTORY);
    const read = historySchema.safeParse(text === undefined ? null : parseJson(text));
    this.history = read.success ? read.data : EMPTY_HISTORY;
    this.schema = Number(texts.get(SCHEMA) ?? 0);
  }

  /** A newer version of the app has written here: its records must not be written over. */
  get isNewer(): boolean {
    return this.schema > SCHEMA_VERSION;
  }

  /** What is written with a new change, and the history as it then is. */
  pushed(change: KeptChange, by: string): { history: History; entries: Entries } {
    const text = writeChange(change);
    const { label, at } = change;
    const { history, id, forgotten } = pushChange(this.history, {
      label,
      at,
      by,
      size: text.length,
    });
    const entries: Entries = new Map(forgotten.map((old) => [changeKey(old), null]));
    entries.set(changeKey(id), text);
    return { history, entries: this.with(history, entries) };
  }

  /** Entries with the list as it becomes by them. */
  with(history: History, entries: Entries = new Map()): Entries {
    entries.set(HISTORY, JSON.stringify(history));
    if (this.schema < SCHEMA_VERSION) entries.set(SCHEMA, String(SCHEMA_VERSION));
    return entries;
  }

  /** A change of the list: what it did, or the text that can't be read; null when there is none. */
  async changeOf(id: number): Promise<KeptChange | string | null> {
    const text = (await this.store.getMany([changeKey(id)])).get(changeKey(id));
    if (text === undefined) return null;
    try {
      return readChange(text);
    } catch (error) {
      if (error instanceof RecordError) return text;
      throw error;
    }
  }

  /**
   * Brings the list and the texts together, given the store's keys: changes whose text is gone leave
   * the list, texts that no list names are taken away. The labels of those that left.
   */
  async settle(keys: readonly string[], durability: Durability): Promise<string[]> {
    const known = new Set(keys.filter((key) => key.startsWith(CHANGE)));
    const listed = [...this.history.done, ...this.history.undone];
    const missing = listed.map(({ id }) => changeKey(id)).filter((key) => !known.has(key));
    // Some may have been written since the keys were read.
    const found = missing.length ? await this.store.getMany(missing) : new Map<string, string>();
    const gone = new Set(
      listed.flatMap(({ id }) => {
        const key = changeKey(id);
        return known.has(key) || found.has(key) ? [] : [id];
      }),
    );
    const names = new Set(listed.map(({ id }) => changeKey(id)));
    const stray = [...known].filter((key) => !names.has(key));
    if (!gone.size && !stray.length) return [];
    const history = withoutChanges(this.history, gone);
    await this.store.setMany(
      this.with(history, new Map(stray.map((key) => [key, null]))),
      durability,
    );
    this.history = history;
    return listed.flatMap(({ id, label }) => (gone.has(id) ? [label] : []));
  }
}
