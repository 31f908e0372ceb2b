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

/** What is kept for each byte of a file: attached, as text (RFC 4648 §4); brought in, as records and the change that made them. */
const KEPT_OF = { attached: 4 / 3, imported: 4 };

/** Whether a file of so many bytes can be kept, as far as the browser tells. */
export async function hasRoomFor(bytes: number, as: keyof typeof KEPT_OF): Promise<boolean> {
  const { used, allowed } = await look();
  return used === null || allowed === null || used + bytes * KEPT_OF[as] <= allowed;
}
