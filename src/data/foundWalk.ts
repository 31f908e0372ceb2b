import { useSyncExternalStore } from 'react';

/** Results that are looked at one after the other on the sheet, with the way back to their list. */
export interface FoundWalk {
  /** Occurrences by their ids, in the order of the list. */
  ids: readonly string[];
  /** Which of them is looked at. */
  at: number;
  /** What was asked, in words, and where the list is. */
  said: string;
  address: string;
}

let walk: FoundWalk | null = null;
const listeners = new Set<() => void>();

/** Begins to look at results, goes on among them, or (null) is done with it. */
export function putFoundWalk(next: FoundWalk | null): void {
  walk = next;
  for (const listener of listeners) listener();
}

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

export const useFoundWalk = (): FoundWalk | null => useSyncExternalStore(listen, () => walk);
