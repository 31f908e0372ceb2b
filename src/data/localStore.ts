import { useSyncExternalStore } from 'react';
import type { z } from '@/core/model/zod';

/** A small value that this browser keeps beside the records, for all of its windows. */
export interface LocalStore<T> {
  get(): T;
  /** Keeps another value; null keeps none. Where nothing can be kept, it holds on this page. */
  put(next: T | null): void;
  /** The value, or what is picked from it; a component renders again when that changes, in whichever window. */
  useValue(): T;
  useValue<Part>(pick: (value: T) => Part): Part;
}

/** A text as it was kept: JSON, or before that the bare text. */
function parsed(text: string | null): unknown {
  if (text === null) return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

/** What is kept under a key; null where there is nothing, or storage is denied. */
function textOf(key: string): string | null {
  try {
    return window.localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a text, or none; false where storage is full or denied. */
function keepText(key: string, text: string | null): boolean {
  try {
    if (text === null) window.localStorage.removeItem(key);
    else window.localStorage.setItem(key, text);
    return true;
  } catch {
    return false;
  }
}

/**
 * Makes such a value. What is kept and does not fit its schema counts as `none`. The key is asked for at
 * each use, since it may name the store that the window shows.
 */
export function localStore<T>(keyOf: () => string, schema: z.ZodType<T>, none: T): LocalStore<T> {
  /** As it was read or put last, and under which key; null before that, and when another window wrote. */
  let known: { key: string; text: string | null; value: T; isKept: boolean } | null = null;
  const listeners = new Set<() => void>();
  /** Whether other windows have been heard since it was read. */
  let isHeard = false;
  const tell = () => {
    for (const listener of listeners) listener();
  };
  function get(): T {
    const key = keyOf();
    // What could not be kept is known here alone.
    if (known?.key === key && (!known.isKept || isHeard)) return known.value;
    const text = textOf(key);
    isHeard = listeners.size > 0;
    // The same text is the same value: components render again for nothing else.
    if (known?.key === key && known.text === text) return known.value;
    const read = schema.safeParse(parsed(text));
    known = { key, text, value: read.success ? read.data : none, isKept: true };
    return known.value;
  }
  function onStorage({ key }: StorageEvent): void {
    if (key !== null && key !== keyOf()) return;
    known = null;
    tell();
  }
  function listen(listener: () => void): () => void {
    if (!listeners.size) window.addEventListener('storage', onStorage);
    listeners.add(listener);
    return () => {
      listeners.delete(listener);
      if (listeners.size) return;
      window.removeEventListener('storage', onStorage);
      isHeard = false;
    };
  }
  function useValue<Part>(pick?: (value: T) => Part): T | Part {
    return useSyncExternalStore(listen, () => (pick ? pick(get()) : get()));
  }
  return {
    get,
    put(next) {
      const key = keyOf();
      const text = next === null ? null : JSON.stringify(next);
      known = { key, text, value: next ?? none, isKept: keepText(key, text) };
      tell();
    },
    useValue: useValue as LocalStore<T>['useValue'],
  };
}
