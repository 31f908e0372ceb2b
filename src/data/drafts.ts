import { useMemo, useSyncExternalStore } from 'react';
import { z } from '@/core/model/zod';
import { chosenStore } from './whichStore';

/**
 * What was begun and not kept: an event's fields, or a line. It is put by as it is typed, so that
 * nothing is lost by Escape, another bar, another screen or a reload; a draft is no record, since
 * no action of the person made it one.
 */
const draft = z.object({
  /** What it is of, for the person. */
  title: z.string(),
  /** As whoever put it by reads it again, with a schema of its own. */
  values: z.unknown(),
});
export type Draft = z.infer<typeof draft>;

const drafts = z.record(z.string(), draft);
type Drafts = Readonly<z.infer<typeof drafts>>;

const NONE: Drafts = {};
const keyOfStore = () => `orderly-week-drafts-${chosenStore()}`;

/** As they stand; read once, and again when another window wrote. */
let kept: Drafts | null = null;

function current(): Drafts {
  if (kept) return kept;
  try {
    const text = window.localStorage.getItem(keyOfStore());
    kept = (text === null ? null : drafts.safeParse(JSON.parse(text)).data) ?? NONE;
  } catch {
    // Storage that is denied, or a text that can't be read, holds no draft; the event that it was of is whole in the store.
    kept = NONE;
  }
  return kept;
}

const listeners = new Set<() => void>();

function put(next: Drafts): void {
  kept = next;
  try {
    if (Object.keys(next).length) window.localStorage.setItem(keyOfStore(), JSON.stringify(next));
    else window.localStorage.removeItem(keyOfStore());
  } catch {
    // Full or denied: the draft holds on this page, as changes do then, which the notice tells of.
  }
  for (const listener of listeners) listener();
}

function heard({ key }: StorageEvent): void {
  if (key !== null && key !== keyOfStore()) return;
  kept = null;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  if (!listeners.size) {
    window.addEventListener('storage', heard);
    // What was written while nobody listened was not heard.
    kept = null;
  }
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
    if (!listeners.size) window.removeEventListener('storage', heard);
  };
}

/** Whether an occurrence (its id) was being edited, and its changes were not kept. */
export const useHasDraft = (id: string): boolean =>
  useSyncExternalStore(subscribe, () => id in current());

/** The draft of that name, if there is one, and how it is put by and let go. */
export function useDraft(name: string): {
  draft: Draft | undefined;
  keep(next: Draft): void;
  drop(): void;
  /** Lets it go as long as it has that title: another may have been begun since. */
  dropOf(title: string): void;
} {
  const draft = useSyncExternalStore(subscribe, () => current()[name]);
  return useMemo(
    () => ({
      draft,
      keep: (next: Draft) => put({ ...current(), [name]: next }),
      drop: () => {
        const { [name]: gone, ...others } = current();
        if (gone) put(others);
      },
      dropOf: (title: string) => {
        const { [name]: gone, ...others } = current();
        if (gone?.title === title) put(others);
      },
    }),
    [draft, name],
  );
}

/** Names of drafts that are of no event that there is. */
export const NEW_EVENT = 'new event';
export const LINE = 'line';
export const TODAY_LINE = 'line of today';
export const TASK_LINE = 'line of tasks';
