import { useQuery } from '@tanstack/react-query';

/** How the browser keeps what this page stores. */
export interface Persistence {
  /** Whether it stays until the person clears it; else the browser may, when the disk runs short. */
  isForGood: boolean;
  /** Bytes taken, and how many the browser allows; null where it does not tell. */
  used: number | null;
  allowed: number | null;
}

async function look(): Promise<Persistence> {
  // Pages from an unsafe origin have no such thing.
  const storage = navigator.storage as StorageManager | undefined;
  const { usage, quota } = (await storage?.estimate()) ?? {};
  return {
    isForGood: (await storage?.persisted()) ?? false,
    used: usage ?? null,
    allowed: quota ?? null,
  };
}

/** How the browser keeps what this page stores, as it stands when this is drawn. */
export function usePersistence() {
  return useQuery({ queryKey: ['persistence'], queryFn: look, staleTime: 0 });
}

let isAsked = false;

/** Asks the browser, once, to keep what is stored until the person clears it. */
export async function askToPersist(): Promise<void> {
  if (isAsked) return;
  isAsked = true;
  const storage = navigator.storage as StorageManager | undefined;
  if (await storage?.persisted()) return;
  await storage?.persist();
}

/** What is kept of a file for each of its bytes: it is kept as text (RFC 4648 §4). */
const AS_TEXT = 4 / 3;

/** Whether a file of so many bytes can be kept, as far as the browser tells. */
export async function hasRoomFor(bytes: number): Promise<boolean> {
  const { used, allowed } = await look();
  return used === null || allowed === null || used + bytes * AS_TEXT <= allowed;
}
