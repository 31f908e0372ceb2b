import type { ComponentType } from 'react';
import { lazy, Suspense } from 'react';

/**
 * A part of the app that comes when it is first shown, so that what opens the week is small: what is
 * asked for by a press, and has nothing behind it that would jump when it comes.
 */
export function later<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  const Part = lazy(async () => ({ default: await load() }));
  return function Later(props: Props) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}
