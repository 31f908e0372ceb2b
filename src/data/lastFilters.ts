import type { Filter } from '@/core/model/filter';
import { filter } from '@/core/model/filter';
import { z } from '@/core/model/zod';
import { outsideState } from './outsideState';
import { chosenStore } from './whichStore';

/** What was asked for last, the latest first: no record, since nobody decided to keep it. */
const stored = z.array(filter);

const MOST = 10;
const NONE: readonly Filter[] = [];
const keyOfStore = () => `orderly-week-asked-${chosenStore()}`;

/** Null until it was read. */
const kept = outsideState<readonly Filter[] | null>(null);

function readStored(): readonly Filter[] {
  try {
    const text = window.localStorage.getItem(keyOfStore());
    return (text === null ? null : stored.safeParse(JSON.parse(text)).data) ?? NONE;
  } catch {
    return NONE; // Storage that is denied, or a damaged text: what was asked before is a help, no more.
  }
}

/** Read once: another window's are there after a reload. */
let first: readonly Filter[] | null = null;
const current = () => kept.get() ?? (first ??= readStored());

/** Puts a question before those that were asked earlier; the same one counts once. */
export function noteAsked(asked: Filter): void {
  const text = JSON.stringify(asked);
  const others = current().filter((other) => JSON.stringify(other) !== text);
  const next = [asked, ...others].slice(0, MOST);
  try {
    window.localStorage.setItem(keyOfStore(), JSON.stringify(next));
  } catch {
    // Full or denied: it holds on this page.
  }
  kept.put(next);
}

export const useLastFilters = (): readonly Filter[] => kept.use(current);
