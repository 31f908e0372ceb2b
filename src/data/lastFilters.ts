import { useSyncExternalStore } from 'react';
import type { Filter } from '@/core/model/filter';
import { filter } from '@/core/model/filter';
import { z } from '@/core/model/zod';
import { chosenStore } from './whichStore';

/** What was asked for last, the latest first: no record, since nobody decided to keep it. */
const stored = z.array(filter);

const MOST = 10;
const NONE: readonly Filter[] = [];
const keyOfStore = () => `orderly-week-asked-${chosenStore()}`;

let kept: readonly Filter[] | null = null;
const listeners = new Set<() => void>();

function current(): readonly Filter[] {
  if (kept) return kept;
  try {
    const text = window.localStorage.getItem(keyOfStore());
    kept = (text === null ? null : stored.safeParse(JSON.parse(text)).data) ?? NONE;
  } catch {
    kept = NONE; // Storage that is denied, or a damaged text: what was asked before is a help, no more.
  }
  return kept;
}

/** Puts a question before those that were asked earlier; the same one counts once. */
export function noteAsked(asked: Filter): void {
  const text = JSON.stringify(asked);
  const others = current().filter((other) => JSON.stringify(other) !== text);
  kept = [asked, ...others].slice(0, MOST);
  try {
    window.localStorage.setItem(keyOfStore(), JSON.stringify(kept));
  } catch {
    // Full or denied: it holds on this page.
  }
  for (const listener of listeners) listener();
}

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

export const useLastFilters = (): readonly Filter[] => useSyncExternalStore(listen, current);
