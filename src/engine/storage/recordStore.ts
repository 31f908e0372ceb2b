import type { DatabaseNews } from './database';
import { Database } from './database';
import type { Store } from './store';

/** A store in the browser's IndexedDB. One `setMany` of it is one transaction. */
export function openRecordStore(name: string, news?: DatabaseNews): Store {
  const database = new Database(name, news);
  return {
    keys: () => database.read(async (shelf) => (await shelf.getAllKeys()) as string[]),
    getMany: (keys) =>
      database.read(async (shelf) => {
        const texts = await Promise.all(keys.map((key) => shelf.get(key)));
        return new Map(
          keys.flatMap((key, i) => (typeof texts[i] === 'string' ? [[key, texts[i]]] : [])),
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
