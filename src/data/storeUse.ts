import type { StoreName } from '@/engine/engine.worker';

/**
 * Whether a store was ever filled in this browser, told in another storage of the browser than the
 * store itself: when the one is lost and the other is not, the person is told.
 */
const keyOf = (store: StoreName) => `orderly-week-used-${store}`;

export function wasUsed(store: StoreName): boolean {
  try {
    return window.localStorage.getItem(keyOf(store)) !== null;
  } catch {
    return false; // Storage that is denied holds no store either.
  }
}

export function noteUse(store: StoreName): void {
  try {
    window.localStorage.setItem(keyOf(store), 'yes');
  } catch {
    // Denied or full: a loss of the store could not be told then, which is no reason to stop.
  }
}

/** The store is emptied on purpose. */
export function forgetUse(store: StoreName): void {
  try {
    window.localStorage.removeItem(keyOf(store));
  } catch {
    // Storage that is denied holds nothing to forget.
  }
}
