import type { Filter } from '@/core/model/filter';
import { filter } from '@/core/model/filter';
import { z } from '@/core/model/zod';
import { localStore } from './localStore';
import { chosenStore } from './whichStore';

/** What was asked for last, the latest first: no record, since nobody decided to keep it. */
const asked = localStore<readonly Filter[]>(
  () => `orderly-week-asked-${chosenStore()}`,
  z.array(filter),
  [],
);

const MOST = 10;

/** Puts a question before those that were asked earlier; the same one counts once. */
export function noteAsked(question: Filter): void {
  const text = JSON.stringify(question);
  const others = asked.get().filter((other) => JSON.stringify(other) !== text);
  asked.put([question, ...others].slice(0, MOST));
}

export const useLastFilters = (): readonly Filter[] => asked.useValue();
