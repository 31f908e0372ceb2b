import { Database } from './database';

/** Where the contents of attachments are kept, apart from records: base64 texts by id. */
export interface FileStore {
  get(id: string): Promise<string | null>;
  put(files: Readonly<Record<string, string>>): Promise<void>;
  ids(): Promise<string[]>;
  remove(ids: readonly string[]): Promise<void>;
}

/** A file store in the browser's IndexedDB. */
export function openFileStore(name: string): FileStore {
  const database = new Database(name);
  return {
    get: (id) =>
      database.read(async (shelf) => ((await shelf.get(id)) as string | undefined) ?? null),
    put: (files) =>
      database.write('strict', (shelf) =>
        Object.entries(files).map(async ([id, text]) => {
          await shelf.put(text, id);
        }),
      ),
    ids: () => database.read(async (shelf) => (await shelf.getAllKeys()) as string[]),
    remove: (ids) => database.write('strict', (shelf) => ids.map((id) => shelf.delete(id))),
  };
}

/** Bytes as base64 (RFC 4648 §4), in steps that a call's arguments hold. */
export function toBase64(bytes: Uint8Array): string {
  const STEP = 0x8000;
  let binary = '';
  for (let i = 0; i < bytes.length; i += STEP)
    binary += String.fromCharCode(...bytes.subarray(i, i + STEP));
  return btoa(binary);
}

/** @throws DOMException when the text is no base64. */
export function fromBase64(text: string): Uint8Array<ArrayBuffer> {
  return Uint8Array.from(atob(text), (character) => character.charCodeAt(0));
}
