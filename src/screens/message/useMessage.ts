import { useEffect, useEffectEvent, useState } from 'react';
import { isMonthFirst } from '@/core/time/words';
import { useDraft } from '@/data/drafts';
import { useEngine } from '@/data/engineContext';
import { usePreferences } from '@/data/preferences';
import type { OpenedMessage } from '@/engine/messages/messages';

/** What a message was read from: a text, or a file that can go with what is kept of it. */
export interface Opened extends OpenedMessage {
  /** The mail itself, where it came as a file. */
  file: File | null;
  /** Told apart from what was read before. */
  nth: number;
}

/** Under which name a pasted text waits. */
const PASTED = 'message';

/** A message on its way in: pasted or dropped, read in the worker, looked at. */
export function useMessage() {
  const { engine } = useEngine();
  const { clock, workdays, wording } = usePreferences();
  const { draft, keep, drop } = useDraft(PASTED);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const text = draft?.title ?? '';

  const reading = () => ({
    now: Date.now(),
    clock,
    workdays,
    isMonthFirst: isMonthFirst(wording),
  });
  const prepare = useEffectEvent(() => void engine?.messages.prepare(reading()));
  useEffect(() => {
    if (engine) prepare();
  }, [engine]);

  const type = (next: string) => (next.trim() ? keep({ title: next, values: null }) : drop());

  async function read(source: string | File) {
    if (!engine) return;
    setProblem(null);
    try {
      const read = await engine.messages.read(source, reading());
      const file = typeof source === 'string' ? null : source;
      setOpened((last) => ({ ...read, file, nth: (last?.nth ?? 0) + 1 }));
    } catch (error) {
      setOpened(null);
      setProblem((error as Error).message);
    }
  }

  return {
    text,
    type,
    opened,
    problem,
    read,
    isReady: engine !== null,
    clear: () => {
      drop();
      setOpened(null);
      setProblem(null);
    },
  };
}
