import { useMemo } from 'react';
import { describeError } from '@/core/userError';
import { useEngine } from './engineContext';
import { useMessages } from './messages';

/** Steps back and on through what was done. */
export function useHistory() {
  const { engine } = useEngine();
  const { say, complain, giveWay } = useMessages();
  return useMemo(() => {
    /** Whether a step was taken. */
    async function stepOnce(direction: 'undo' | 'redo', isSaid: boolean): Promise<boolean> {
      if (!engine) return false;
      try {
        const label = await engine.commands.step(direction);
        if (label === null) say(direction === 'undo' ? 'Nothing to undo.' : 'Nothing to redo.');
        else if (!isSaid) giveWay();
        else if (direction === 'undo') say(`Undone: ${label}`, { offers: ['redo'] });
        else say(`Done again: ${label}`, { offers: ['undo'] });
        return label !== null;
      } catch (error) {
        complain(describeError(error));
        return false;
      }
    }
    return {
      /** One step; where its list is open, that shows it and no message needs to. */
      step: (direction: 'undo' | 'redo', { isSaid = true } = {}) => stepOnce(direction, isSaid),
      /** Several steps, back or on to a point. */
      async steps(direction: 'undo' | 'redo', times: number): Promise<void> {
        for (let done = 0; done < times; done++) if (!(await stepOnce(direction, false))) return;
      },
    };
  }, [engine, say, complain, giveWay]);
}
