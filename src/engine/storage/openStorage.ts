import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { AsyncStorageError, createAsyncStorage } from '@react-native-async-storage/async-storage';
import { StorageError } from './storageError';

/** Version 1 was written before the storage could be told to write durably. */
const VERSION = 2;

/** What version 1 left, for a moment, where a key was being taken away. */
const GONE = 'null';

/** What becomes of a database while it is open. */
export interface DatabaseNews {
  /** The browser cleared it while it was open. The next write starts an empty one. */
  onEmptied?(): void;
  /** The window of an older version that blocked it has closed it. */
  onFreed?(): void;
}

const NEWER = () =>
  new StorageError(
    'A newer version of Orderly Week is open in another window. Reload this one to go on.',
    true,
  );
const BLOCKED = () =>
  new StorageError(
    'Another window still runs an older version of Orderly Week. Reload it or close it: this one then goes on by itself.',
  );

/** What failed in the storage: a StorageError where the person can do something about it, or what the browser said. */
function reasonOf(error: unknown): unknown {
  if (!(error instanceof AsyncStorageError)) return error;
  if (error.type === AsyncStorageError.Type.WebStorageBlocked) return BLOCKED();
  return (error.cause as Error | undefined)?.name === 'VersionError'
    ? NEWER()
    : (error.cause ?? error);
}

/**
 * The platform's storage under a name, in the browser's IndexedDB. What it is asked for is done whole or
 * not at all; a handle that the browser closes, or that a newer version asks for, is opened again when it
 * is next needed (see `patches`).
 */
export const openStorage = (name: string, news: DatabaseNews = {}): AsyncStorage =>
  createAsyncStorage(name, {
    version: VERSION,
    durability: 'strict',
    // What a version 1 that was killed had not taken away yet.
    onUpgrade: (text) => (text === GONE ? null : text),
    ...news,
  });

/**
 * What the storage answers.
 * @throws StorageError, or what the browser says.
 */
export const answerOf = <T>(asked: Promise<T>): Promise<T> =>
  asked.catch((error) => {
    throw reasonOf(error);
  });
