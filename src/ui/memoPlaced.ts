import type { FunctionComponent } from 'react';
import { memo } from 'react';

type Values = Readonly<Record<string, unknown>>;

const hasSame = (a: Values, b: Values) =>
  Object.keys(a).length === Object.keys(b).length &&
  Object.entries(a).every(([key, value]) => Object.is(value, b[key]));

/** Props that are groups: a place (`at`), what holds of it (`is`), and what all of its kind are `drawn` by. */
const isGroup = (key: string) => key === 'at' || key === 'is' || key === 'drawn';

/** Whether nothing that a part is drawn by is different. */
export function isSameDrawing(before: object, after: object): boolean {
  const [a, b] = [before as Values, after as Values];
  return (
    Object.keys(a).length === Object.keys(b).length &&
    Object.entries(a).every(([key, value]) =>
      isGroup(key) ? hasSame(value as Values, b[key] as Values) : Object.is(value, b[key]),
    )
  );
}

/**
 * `memo` for parts that are drawn by the hundred: their groups count by what they
 * hold, since they are made anew each time.
 */
export const memoPlaced = <P extends object>(part: FunctionComponent<P>): FunctionComponent<P> =>
  memo(part, isSameDrawing) as unknown as FunctionComponent<P>;
