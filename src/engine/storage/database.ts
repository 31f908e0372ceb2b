import type { IDBPDatabase, IDBPTransaction } from 'idb';
import { openDB } from 'idb';
import { UserError } from '@/core/userError';

/** The one shelf of a database: texts by key. Named as the platform's storage named it at first. */
const ENTRIES = 'entries';

/** Version 1 was written by the platform's storage, which can't be told to write durably. */
const VERSION = 2;

/** What version 1 left, for a moment, where a key was being taken away. */
const GONE = 'null';

/** Whether an answer waits until what was written is on the disk, and not only on its way there. */
export type Durability = 'strict' | 'relaxed';

/** Why a database can't be used, in words for the person. */
export class StorageError extends UserError {
  override name = 'StorageError';

  /** `isNewer`: a newer version of the app has it; this one must not write any more. */
  constructor(
    message: string,
    readonly isNewer = false,
  ) {
    super('storage', message);
  }
}

/** What becomes of a database while it is open. */
export interface DatabaseNews {
  /** The browser took everything in it away; what is written from now on begins it anew. */
  onEmptied?(): void;
  /** A window of an older version that held it has let it go. */
  onFreed?(): void;
}

/** The shelf within a transaction. */
export type Shelf<Mode extends IDBTransactionMode> = IDBPTransaction<
  unknown,
  [typeof ENTRIES],
  Mode
>['store'];

const NEWER = () =>
  new StorageError(
    'A newer version of Orderly Week is open in another window. Reload this one to go on.',
    true,
  );
const BLOCKED = () =>
  new StorageError(
    'Another window still runs an older version of Orderly Week. Reload it or close it: this one then goes on by itself.',
  );

/** Whether an operation met a handle that was closed under it. */
const isClosed = (error: unknown) => (error as Error | null)?.name === 'InvalidStateError';

/**
 * A database of the browser's IndexedDB that stays usable: a handle that the browser closes (site
 * data cleared, disk trouble) or that a newer version asks for is dropped, and opened again when it
 * is next needed.
 */
export class Database {
  private opening: Promise<IDBPDatabase> | null = null;
  /** Whether a request to open it waits for a window of an older version: another would only stand in line. */
  private isHeld = false;
  private wasOpen = false;

  constructor(
    private readonly name: string,
    private readonly news: DatabaseNews = {},
  ) {}

  /** @throws StorageError, or what the browser says. */
  read<T>(work: (shelf: Shelf<'readonly'>) => Promise<T>): Promise<T> {
    return this.withHandle(async (handle) => {
      const transaction = handle.transaction(ENTRIES, 'readonly');
      const result = await work(transaction.store as never);
      await transaction.done;
      return result;
    });
  }

  /**
   * Does all of the work or nothing of it.
   * @throws StorageError, or what the browser says.
   */
  write(
    durability: Durability,
    work: (shelf: Shelf<'readwrite'>) => Promise<unknown>[],
  ): Promise<void> {
    return this.withHandle(async (handle) => {
      const transaction = handle.transaction(ENTRIES, 'readwrite', { durability });
      try {
        await Promise.all(work(transaction.store as never));
      } catch (error) {
        abort(transaction);
        throw error;
      }
      await transaction.done;
    });
  }

  private async withHandle<T>(work: (handle: IDBPDatabase) => Promise<T>): Promise<T> {
    const opening = this.open();
    try {
      return await work(await opening);
    } catch (error) {
      if (!isClosed(error)) throw error;
      this.drop(opening);
      return work(await this.open());
    }
  }

  private open(): Promise<IDBPDatabase> {
    if (this.isHeld) return Promise.reject(BLOCKED());
    if (!this.opening) {
      const opening = this.request(() => this.drop(opening));
      this.opening = opening;
      opening.catch(() => this.drop(opening));
    }
    return this.opening;
  }

  private drop(opening: Promise<IDBPDatabase>): void {
    if (this.opening === opening) this.opening = null;
  }

  private request(onClosed: () => void): Promise<IDBPDatabase> {
    return new Promise((resolve, reject) => {
      const freed = (handle: IDBPDatabase) => {
        this.isHeld = false;
        this.opening = Promise.resolve(handle);
        this.news.onFreed?.();
      };
      const request = openDB(this.name, VERSION, {
        upgrade: (database, from, _to, transaction) => {
          if (from === 0) database.createObjectStore(ENTRIES);
          else sweepGone(transaction.objectStore(ENTRIES) as never);
          if (from === 0 && this.wasOpen) this.news.onEmptied?.();
        },
        blocked: () => {
          this.isHeld = true;
          reject(BLOCKED());
        },
        // Let it go at once: the other window waits for it.
        blocking: (_from, _to, event) => {
          onClosed();
          (event.target as IDBDatabase).close();
        },
        terminated: onClosed,
      });
      request.then(
        (handle) => {
          this.wasOpen = true;
          resolve(handle);
          if (this.isHeld) freed(handle);
        },
        (error: Error) => {
          this.isHeld = false;
          reject(error.name === 'VersionError' ? NEWER() : error);
        },
      );
    });
  }
}

/** Takes back what a transaction did; one that the browser has ended itself has done nothing. */
function abort(transaction: Pick<IDBPTransaction, 'abort' | 'done'>): void {
  transaction.done.catch(() => undefined);
  try {
    transaction.abort();
  } catch (error) {
    if (!isClosed(error)) throw error;
  }
}

/** Takes away what a version 1 that was killed had not taken away yet. */
async function sweepGone(shelf: Shelf<'versionchange'>): Promise<void> {
  for (let at = await shelf.openCursor(); at; at = await at.continue())
    if (at.value === GONE || at.value === null) await at.delete();
}
