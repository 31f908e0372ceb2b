import { useMemo } from 'react';
import { z } from '@/core/model/zod';
import { localStore } from './localStore';
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

const kept = localStore<Readonly<z.infer<typeof drafts>>>(
  () => `orderly-week-drafts-${chosenStore()}`,
  drafts,
  {},
);

function without(name: string): void {
  const { [name]: _gone, ...others } = kept.get();
  kept.put(Object.keys(others).length ? others : null);
}

/** Whether an occurrence (its id) was being edited, and its changes were not kept. */
export const useHasDraft = (id: string): boolean => kept.useValue((all) => id in all);

/** The draft of that name, if there is one, and how it is put by and let go. */
export function useDraft(name: string): {
  draft: Draft | undefined;
  keep(next: Draft): void;
  drop(): void;
  /** Lets it go as long as it has that title: another may have been begun since. */
  dropOf(title: string): void;
} {
  const draft = kept.useValue((all) => all[name]);
  return useMemo(
    () => ({
      draft,
      keep: (next: Draft) => kept.put({ ...kept.get(), [name]: next }),
      drop: () => {
        if (name in kept.get()) without(name);
      },
      dropOf: (title: string) => {
        if (kept.get()[name]?.title === title) without(name);
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
