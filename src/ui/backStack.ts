import { useEffect, useRef } from 'react';

/**
 * The browser's Back closes what is open before it leaves where it stands. While something is open
 * there is one more entry in the history, a guard: stepping back off it closes the last opened.
 * Closed otherwise, its guard stays until the next entry takes its place, or Back passes over it.
 */

interface EntryState {
  /** This entry guards what is open. */
  guard?: number;
  /** This entry is the one under the guard of that number. */
  under?: number;
}

/** How what is open is closed; the last opened is last. */
const closers: (() => void)[] = [];
const stateHere = () => (window.history.state ?? {}) as EntryState;
/** Who knows what to make of the page's own entries; true when it did. */
let takesEntry: ((state: unknown) => boolean) | null = null;
/** The guard that the browser stood at last. */
let standing = stateHere().guard;

function pushGuard(): void {
  const guard = Date.now() + Math.random();
  const { guard: _guard, ...here } = stateHere();
  window.history.replaceState({ ...here, under: guard }, '');
  window.history.pushState({ ...here, under: undefined, guard }, '');
  standing = guard;
}

function onPopState(event: PopStateEvent): void {
  const { guard, under } = (event.state ?? {}) as EntryState;
  const from = standing;
  standing = guard;
  if (from === undefined || under !== from) {
    if (takesEntry?.(event.state)) event.stopImmediatePropagation();
    return;
  }
  // Nothing else is gone back to: the page stays as it is.
  event.stopImmediatePropagation();
  const close = closers.at(-1);
  if (!close) {
    window.history.back();
    return;
  }
  if (closers.length > 1) pushGuard();
  close();
}
window.addEventListener('popstate', onPopState, { capture: true });

/** Whether the browser stands at a guard: what is written over one is gone with the next step back. */
export const isAtGuard = (): boolean => stateHere().guard !== undefined;

/**
 * A new entry of the history, with a state of its own; what is open stays in front of it.
 */
export function pushEntry(state: object, address: string): void {
  const { guard, under: _under, ...here } = stateHere();
  const next = { ...here, ...state };
  if (guard === undefined) window.history.pushState(next, '', address);
  else window.history.replaceState(next, '', address);
  standing = undefined;
  if (closers.length) pushGuard();
}

/**
 * Hears of each entry that is gone to, before the router does; what it takes (true) the router does
 * not hear of. Gives the way to stop.
 */
export function hearEntries(take: (state: unknown) => boolean): () => void {
  takesEntry = take;
  return () => {
    if (takesEntry === take) takesEntry = null;
  };
}

/** While this is drawn, Back closes it. */
export function useBackCloses(onClose: () => void): void {
  const latest = useRef(onClose);
  useEffect(() => {
    latest.current = onClose;
  });
  useEffect(() => {
    const close = () => latest.current();
    closers.push(close);
    if (stateHere().guard === undefined) pushGuard();
    return () => void closers.splice(closers.indexOf(close), 1);
  }, []);
}
