import { outsideState } from './outsideState';

/** Results that are looked at one after the other on the sheet, with the way back to their list. */
export interface FoundWalk {
  /** Occurrences by their ids, in the order of the list. */
  ids: readonly string[];
  /** Which of them is looked at. */
  at: number;
  /** What was asked, in words, and where the list is. */
  said: string;
  address: string;
}

const walk = outsideState<FoundWalk | null>(null);

/** Begins to look at results, goes on among them, or (null) is done with it. */
export const putFoundWalk = (next: FoundWalk | null): void => walk.put(next);

export const useFoundWalk = (): FoundWalk | null => walk.useValue();
