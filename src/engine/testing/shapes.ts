import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { MemoryStore } from './memoryStore';
import { opened } from './opened';

/** A store as a version of the app has left it, and the backup that it made (not every one made any). */
export interface Shape {
  name: string;
  store: Record<string, string>;
  backup: string | null;
}

const FOLDER = path.join(__dirname, 'shapes');

/**
 * Every shape that the app has stored records, changes and backups in, written by the app of that
 * day: a part of the demo, two events renamed, a calendar hidden, and the last change undone.
 */
export const SHAPES: readonly Shape[] = readdirSync(FOLDER).map((file) => ({
  name: path.basename(file, '.json'),
  ...(JSON.parse(readFileSync(path.join(FOLDER, file), 'utf8')) as Omit<Shape, 'name'>),
}));

/** An engine that has loaded a store's texts. */
export async function openedOn(texts: Readonly<Record<string, string>>) {
  const store = new MemoryStore();
  await store.setMany(new Map(Object.entries(texts)));
  return { engine: await opened([], { store }), store };
}

/** The records of a store, by key, without the version that they are wrapped in. */
export const recordsIn = (store: MemoryStore): Record<string, unknown> =>
  Object.fromEntries(
    [...store.texts]
      .filter(([key]) => !/^(meta|change)\//.test(key))
      .map(([key, text]) => [key, (JSON.parse(text) as { data: unknown }).data]),
  );
