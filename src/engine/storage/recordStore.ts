import type { DatabaseNews, Shelf } from './database';
import { Database } from './database';
import type { Store } from './store';

type Reading = Shelf<'readonly'>;

/** From how many keys on it is looked whether they stand beside each other. */
const MANY = 50;

async function eachOf(shelf: Reading, keys: readonly string[]): Promise<Map<string, unknown>> {
  const texts = await Promise.all(keys.map((key) => shelf.get(key)));
  return new Map(keys.map((key, i) => [key, texts[i]]));
}

/** Many keys that stand beside each other, read in one go; null when they don't. */
async function runOf(
  shelf: Reading,
  keys: readonly string[],
): Promise<Map<string, unknown> | null> {
  if (keys.length < MANY) return null;
  const sorted = keys.toSorted();
  const range = IDBKeyRange.bound(sorted[0], sorted.at(-1));
  if ((await shelf.count(range)) > keys.length + MANY) return null;
  const [found, texts] = await Promise.all([shelf.getAllKeys(range), shelf.getAll(range)]);
  return new Map(found.map((key, i) => [key as string, texts[i]]));
}

/** A store in the browser's IndexedDB. One `setMany` of it is one transaction. */
export function openRecordStore(name: string, news?: DatabaseNews): Store {
  const database = new Database(name, news);
  return {
    keys: () => database.read(async (shelf) => (await shelf.getAllKeys()) as string[]),
    getMany: (keys) =>
      database.read(async (shelf) => {
        const found = (await runOf(shelf, keys)) ?? (await eachOf(shelf, keys));
        return new Map(
          keys.flatMap((key) => {
            const text = found.get(key);
            return typeof text === 'string' ? [[key, text]] : [];
          }),
        );
      }),
    setMany: (entries, durability) =>
      database.write(durability, (shelf) =>
        [...entries].map(async ([key, text]) => {
          if (text === null) await shelf.delete(key);
          else await shelf.put(text, key);
        }),
      ),
    clear: () => database.write('strict', (shelf) => [shelf.clear()]),
  };
}
