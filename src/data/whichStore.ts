import type { StoreName } from '@/engine/engine.worker';

const KEY = 'orderly-week-store';

/** The store that this tab shows: what the person switched to, else what the server was started for. */
export function chosenStore(): StoreName {
  const chosen =
    window.sessionStorage.getItem(KEY) ??
    document.querySelector(`meta[name="${KEY}"]`)?.getAttribute('content');
  return chosen === 'demo' ? 'demo' : 'own';
}

/** Switches this tab to a store; everything begins anew on it. */
export function chooseStore(store: StoreName): void {
  window.sessionStorage.setItem(KEY, store);
  window.location.assign('/');
}
