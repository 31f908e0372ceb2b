import { useEffect, useRef } from 'react';
import { z } from '@/core/model/zod';
import { copyName, copiesToDrop } from '@/core/files/safeCopies';
import type { RemoteEngine } from '@/engine/client';
import { describeError } from '@/core/userError';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { localStore } from './localStore';
import { outsideState } from './outsideState';

/** How long it is quiet after a change before a copy is written, in ms. */
const QUIET = 120_000;
const FOLDER = 'folder';

/** Of the newest browsers' file systems, and not in the types of the DOM yet. */
interface Folder extends FileSystemDirectoryHandle {
  queryPermission?(options: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(options: { mode: 'readwrite' }): Promise<PermissionState>;
  keys(): AsyncIterableIterator<string>;
}
declare global {
  interface Window {
    showDirectoryPicker?(options: { mode: 'readwrite'; id: string }): Promise<Folder>;
  }
}

/** The last copy: when (epoch ms), under which name, and how many records it was found to hold when it was read back. */
const lastCopy = z.object({ at: z.number(), name: z.string(), records: z.number() });
export type LastCopy = z.infer<typeof lastCopy>;

const lastKept = localStore(() => 'orderly-week-copy', lastCopy.nullable(), null);

interface Copies {
  folder: Folder | null;
  last: LastCopy | null;
  /** Why the last try came to nothing; null where it did not. */
  problem: string | null;
  isCopying: boolean;
}

const state = outsideState<Copies>({ folder: null, last: null, problem: null, isCopying: false });
const put = (fields: Partial<Copies>) => state.put({ ...state.get(), ...fields });

/** Whether this browser lets a page write into a folder that was chosen for it. */
export const canChooseFolder = (): boolean => window.showDirectoryPicker !== undefined;

/** Where the folder is remembered: what only the browser can keep. */
async function folders() {
  const { openDB } = await import('idb');
  return openDB('orderly-week-folders', 1, {
    upgrade: (db) => void db.createObjectStore('handles'),
  });
}

export const useSafeCopies = (): Copies => state.useValue();

const since = localStore(() => 'orderly-week-since', z.number().positive().nullable(), null);

/** Since when (epoch ms) there has been no copy: the last one, or when one's own data was first seen here. */
export function withoutCopySince(last: LastCopy | null, now: number): number {
  const known = last?.at ?? since.get();
  if (known === null) since.put(now);
  return known ?? now;
}

/** Notes that everything went into a file by hand. */
export function noteCopy(copy: LastCopy): void {
  put({ last: copy, problem: null });
  lastKept.put(copy);
}

/** Writes a file and reads it back. @throws Error where what is read is not what was written. */
async function written(folder: Folder, name: string, content: Blob): Promise<File> {
  const handle = await folder.getFileHandle(name, { create: true });
  const stream = await handle.createWritable();
  await stream.write(content);
  await stream.close();
  const file = await handle.getFile();
  if (file.size !== content.size) throw new Error('What was written is not what is there.');
  return file;
}

/** One window at a time writes: two into one file spoil it for each other. */
const LOCK = 'orderly-week-copies';

/** A copy of everything into the chosen folder, unless another window has made one since that time (epoch ms). */
function copyAfter(engine: RemoteEngine, folder: Folder, since: number): Promise<void> {
  return navigator.locks.request(LOCK, async () => {
    const last = lastKept.get();
    if (last && last.at > since) put({ last, problem: null });
    else await copyNow(engine, folder);
  });
}

/** Writes a copy of everything into the chosen folder, reads it back, and lets go of the oldest. */
async function copyNow(engine: RemoteEngine, folder: Folder): Promise<void> {
  put({ isCopying: true });
  try {
    const at = Date.now();
    const { file } = await engine.files.backup(at);
    const name = copyName(at);
    const there = await written(folder, name, file);
    // Read as it would be to restore it: what is damaged is found now.
    const { kinds, bad } = await engine.files.previewRestore(there);
    if (bad.length) throw new Error(`${bad.length} records of it could not be read back.`);
    const names: string[] = [];
    for await (const each of folder.keys()) names.push(each);
    for (const old of copiesToDrop(names)) await folder.removeEntry(old);
    noteCopy({ at, name, records: kinds.reduce((sum, { inBackup }) => sum + inBackup, 0) });
  } catch (error) {
    put({ problem: `No copy could be written. ${describeError(error)}` });
  } finally {
    put({ isCopying: false });
  }
}

/** What can be done about copies. */
export function useCopying() {
  const { engine } = useEngine();
  return {
    /** Asks for a folder, and writes the first copy into it. */
    choose: async (): Promise<void> => {
      try {
        const folder = await window.showDirectoryPicker!({ mode: 'readwrite', id: 'orderly-week' });
        await (await folders()).put('handles', folder, FOLDER);
        put({ folder, problem: null });
        if (engine) await copyAfter(engine, folder, Date.now());
      } catch (error) {
        // Whoever closes the browser's dialog has changed their mind.
        if ((error as Error).name !== 'AbortError') put({ problem: describeError(error) });
      }
    },
    now: async (): Promise<void> => {
      const { folder } = state.get();
      if (!engine || !folder) return;
      const may = await folder.requestPermission?.({ mode: 'readwrite' });
      if (may === undefined || may === 'granted') await copyAfter(engine, folder, Date.now());
      else put({ problem: 'The browser does not let this page write into that folder any more.' });
    },
    stop: async (): Promise<void> => {
      await (await folders()).delete('handles', FOLDER);
      put({ folder: null, problem: null });
    },
  };
}

/** Keeps copies of one's own data up: some minutes after a change, where a folder was chosen. */
export function useKeepingCopies(): void {
  const { engine, store, status } = useEngine();
  const isOwn = store === 'own' && status.ready;
  const { data: turn } = useEngineQuery(['copyTurn'], (remote) => remote.sharing.turn(), {
    enabled: isOwn,
  });
  const folder = state.useValue((all) => all.folder);
  useEffect(() => {
    if (!isOwn) return;
    put({ last: lastKept.get() });
    void folders()
      .then((db) => db.get('handles', FOLDER) as Promise<Folder | undefined>)
      .then((known) => put({ folder: known ?? null }))
      // A browser without a store for it has no folder either.
      .catch(() => put({ folder: null }));
  }, [isOwn]);
  const opened = useRef<number | null>(null);
  useEffect(() => {
    if (!engine || !folder || turn === undefined) return;
    // What was there when the page was opened is no change.
    opened.current ??= turn;
    if (turn === opened.current) return;
    const changed = Date.now();
    const timer = setTimeout(async () => {
      const may = await folder.queryPermission?.({ mode: 'readwrite' });
      if (may === undefined || may === 'granted') await copyAfter(engine, folder, changed);
      else
        put({
          problem: 'The browser asks again whether this page may write there: press “Copy now”.',
        });
    }, QUIET);
    return () => clearTimeout(timer);
  }, [engine, folder, turn]);
}
