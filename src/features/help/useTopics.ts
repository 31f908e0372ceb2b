import { useEffect, useState } from 'react';
import type { Topic } from './topics';

/** What the help says: its topics, the app's words, and what is new. */
export interface HelpTexts {
  TASKS: readonly Topic[];
  WORDS: readonly (readonly [word: string, says: string])[];
  NEWS: readonly (readonly [day: string, says: string])[];
}

const NOTHING: HelpTexts = { TASKS: [], WORDS: [], NEWS: [] };

/** The texts of the help, which come when they are first asked for. */
export function useTopics(): HelpTexts {
  const [texts, setTexts] = useState<HelpTexts>(NOTHING);
  useEffect(() => {
    let isGone = false;
    void import('./topics').then((loaded) => !isGone && setTexts(loaded));
    return () => {
      isGone = true;
    };
  }, []);
  return texts;
}
