import { useHasDraft } from '@/data/drafts';
import { useIsChosen } from '@/data/selection';

/** What the person is about with an event, besides looking at it. */
export interface BarState {
  /** Whether what was changed about it is not kept yet. */
  waits: boolean;
  /** Whether it is among those that are to be changed together. */
  isChosen: boolean;
}

export function useBarState(id: string): BarState {
  const waits = useHasDraft(id);
  const isChosen = useIsChosen(id);
  return { waits, isChosen };
}
