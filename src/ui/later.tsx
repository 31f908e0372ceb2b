import type { ComponentType, ReactNode } from 'react';
import { lazy, Suspense, useState } from 'react';

/** How the parts that were declared are fetched, in order. */
const fetches: (() => Promise<unknown>)[] = [];

/**
 * A part of the app that comes when it is first shown, so that what opens the week is small: what is
 * asked for by a press, and has nothing behind it that would jump when it comes, unless `meanwhile` holds
 * its place. Once it has been fetched, it is drawn at once.
 */
export function later<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  meanwhile: ReactNode = null,
): ComponentType<Props> {
  let fetched: ComponentType<Props> | null = null;
  const fetchIt = async () => (fetched ??= await load());
  fetches.push(fetchIt);
  const Part = lazy(async () => ({ default: await fetchIt() }));
  return function Later(props: Props) {
    // Read once: swapping the component later would remount it and lose its state.
    const [Fetched] = useState(() => fetched);
    if (Fetched) return <Fetched {...props} />;
    return (
      <Suspense fallback={meanwhile}>
        <Part {...props} />
      </Suspense>
    );
  };
}

/** Fetches all parts that were declared so far, one at each step; one that can't be had now comes when it is shown. */
export function* fetchedLater(): Generator<void> {
  for (const fetchIt of fetches.splice(0)) {
    fetchIt().catch(() => undefined);
    yield;
  }
}
