import { useSyncExternalStore } from 'react';
import type { z } from '@/core/model/zod';
import { keepSmallText, listenToTexts, smallText } from './smallTexts';

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

/**
 * Makes such a value. What is kept and does not fit its schema counts as `none`. The key is asked for at
 * each use, since it may name the store that the window shows.
 */
export function localStore<T>(keyOf: () => string, schema: z.ZodType<T>, none: T): LocalStore<T> {
  /** As it was read or put last: the same text is the same value, so that components render for nothing else. */
  let known: { key: string; text: string | null; value: T } | null = null;
  function get(): T {
    const key = keyOf();
    const text = smallText(key);
    if (known?.key === key && known.text === text) return known.value;
    const read = schema.safeParse(parsed(text));
    known = { key, text, value: read.success ? read.data : none };
    return known.value;
  }
  function useValue<Part>(pick?: (value: T) => Part): T | Part {
    return useSyncExternalStore(listenToTexts, () => (pick ? pick(get()) : get()));
  }
  return {
    get,
    put(next) {
      const key = keyOf();
      const text = next === null ? null : JSON.stringify(next);
      known = { key, text, value: next ?? none };
      keepSmallText(key, text);
    },
    useValue: useValue as LocalStore<T>['useValue'],
  };
}
