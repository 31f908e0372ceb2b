import { useEffect, useState } from 'react';
import type { BulkStep } from '@/core/model/bulkSteps';

/** Steps that the screen that changes many begins with: those of a rule that is tried on what is there. */
let steps: readonly BulkStep[] = [];

export const putStepsToTry = (next: readonly BulkStep[]): void => {
  steps = next;
};

/** The steps to begin with, for as long as the screen is there; the next one begins with none. */
export function useStepsToTry(): readonly BulkStep[] {
  const [first] = useState(() => steps);
  useEffect(() => () => putStepsToTry([]), []);
  return first;
}
