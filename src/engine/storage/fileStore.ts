import { answerOf, openStorage } from './openStorage';

/** Where the contents of attachments are kept, apart from records: base64 texts by id. */
export interface FileStore {
  get(id: string): Promise<string | null>;
  put(files: Readonly<Record<string, string>>): Promise<void>;
  ids(): Promise<string[]>;
  remove(ids: readonly string[]): Promise<void>;
}

/** A file store in the platform's storage. */
export function openFileStore(name: string): FileStore {
  const storage = openStorage(name);
  return {
    get: (id) => answerOf(storage.getItem(id)),
    put: (files) => answerOf(storage.setMany({ ...files })),
    ids: () => answerOf(storage.getAllKeys()),
    remove: (ids) => answerOf(storage.removeMany([...ids])),
  };
}
