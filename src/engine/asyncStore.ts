import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { Store } from './store';

/** Stands for a key that is taken away, so that taking away is part of the same transaction. */
const GONE = 'null';

/** A store in the browser's IndexedDB. One `setMany` of it is one transaction. */
export function openAsyncStore(name: string): Store {
  const storage = createAsyncStorage(name);
  return {
    async keys() {
      return storage.getAllKeys();
    },
    async getMany(keys) {
      const found = await storage.getMany([...keys]);
      const texts = new Map<string, string>();
      for (const [key, text] of Object.entries(found)) {
        if (text !== null && text !== GONE) texts.set(key, text);
      }
      return texts;
    },
    async setMany(entries) {
      await storage.setMany(
        Object.fromEntries([...entries].map(([key, text]) => [key, text ?? GONE])),
      );
      const gone = [...entries].flatMap(([key, text]) => (text === null ? [key] : []));
      if (gone.length) await storage.removeMany(gone);
    },
    async clear() {
      await storage.clear();
    },
  };
}
