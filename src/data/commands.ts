import { useCallback } from 'react';
import type { EpochMs } from '@/core/time/units';
import type { Command } from '@/engine/commands/command';
import type { CommandProgress, Done, Preview } from '@/engine/commands/commands';
import { orInterrupted } from '@/engine/interruption';
import { proxy } from 'comlink';
import { describeError, userErrorCode } from '@/core/userError';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { noteTouched } from './touched';
import { sheetClock } from './sheetShown';
import { useMessages } from './messages';
import { askToPersist } from './persistence';
import { usePreferences } from './preferences';

/** What a command would do as things are; null when nothing, undefined until that is known. */
export function usePreview(command: Command | null): Preview | null | undefined {
  const { wording, clock } = usePreferences();
  const { data } = useEngineQuery(
    ['preview', command],
    (engine) => engine.commands.preview(command!, { now: Date.now(), saying: { wording, clock } }),
    { enabled: command !== null, keep: false },
  );
  return data;
}

interface How {
  /** For what is seen to change anyway: no message says so. */
  isQuiet?: boolean;
}

/** Has a command done; answers whether it was. */
export type Do = (command: Command, how?: How) => Promise<boolean>;

/**
 * The way in which a screen changes anything: each command is one change, answered by a message
 * with Undo, and by one that says why when it could not be done.
 */
export function useDo(): Do {
  const { engine, whenOpen, store } = useEngine();
  const { say, complain, tell } = useMessages();
  const { wording, clock } = usePreferences();
  return useCallback(
    async (command, { isQuiet = false } = {}) => {
      /** Says whether a change (by its time) was kept, which the history knows once the store is open again. */
      async function reportOutcome(now: EpochMs): Promise<boolean> {
        try {
          const { done } = await (await whenOpen()).commands.changes();
          const kept = done.find(({ at }) => at === now);
          if (kept) say(`${kept.label}. The app restarted meanwhile.`, { offers: ['undo'] });
          else complain('The app restarted before this was saved: do it again.');
          return kept !== undefined;
        } catch (error) {
          complain(`Not saved. ${describeError(error)}`);
          return false;
        }
      }
      const manner = { now: Date.now(), saying: { wording, clock: sheetClock() ?? clock } };
      try {
        if (!engine) tell('Your calendars are being opened: it is done as soon as they are.', []);
        const there = engine ?? (await whenOpen());
        const stop = { label: 'Stop', run: () => void there.commands.stop() };
        const onProgress = ({ done, total }: CommandProgress) =>
          tell(`${done.toLocaleString('en')} of ${total.toLocaleString('en')} …`, [stop]);
        const doing = there.commands.do(command, manner, proxy(onProgress));
        const done = await orInterrupted(doing as Promise<Done | null>);
        if (!done) return false;
        const { label, isKept, about, met } = done;
        noteTouched(met);
        if (!isQuiet || !isKept)
          say(isKept ? label : `${label}. It is on this page only.`, { offers: ['undo'], about });
        if (isKept && store === 'own') void askToPersist();
        return true;
      } catch (error) {
        if (userErrorCode(error) === 'interrupted') return reportOutcome(manner.now);
        const isAboutStore = ['storage', 'readOnly'].includes(userErrorCode(error) ?? '');
        complain(isAboutStore ? `Not saved. ${describeError(error)}` : describeError(error));
        return false;
      }
    },
    [engine, whenOpen, store, say, complain, tell, wording, clock],
  );
}
