import type { DatabaseNews } from './openStorage';
import { answerOf, openStorage } from './openStorage';
import type { Store } from './store';

/** A store in the platform's storage. One `setMany` of it is one transaction. */
export function openRecordStore(name: string, news?: DatabaseNews): Store {
  const storage = openStorage(name, news);
  return {
    keys: () => answerOf(storage.getAllKeys()),
    async getMany(keys) {
      const found = await answerOf(storage.getMany([...keys]));
      return new Map(
        keys.flatMap((key) => (typeof found[key] === 'string' ? [[key, found[key]]] : [])),
      );
    },
    setMany: (entries, durability) =>
      answerOf(storage.setMany(Object.fromEntries(entries), { durability })),
    clear: () => answerOf(storage.clear()),
  };
}
