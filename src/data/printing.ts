import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { PrintSetup } from '@/core/model/print';
import { usualPaper } from '@/core/print/paper';
import { DEFAULT_PRINT } from '@/core/model/print';
import type { PrintPage } from '@/core/print/boxes';
import { dayOfWall } from '@/core/time/civil';
import type { PrintedThing } from '@/engine/printing/printer';
import { describeError } from '@/core/userError';
import { useDo } from './commands';
import { useEngineQuery } from './engineQuery';
import { letterWidths } from './letterWidths';
import { useWallNow } from './now';
import { usePreferences } from './preferences';

/** How long nothing is changed before how it is printed is kept, in ms. */
const QUIET = 800;

/** What is laid out, or how far it is. */
export interface LaidOut {
  pages: readonly PrintPage[] | null;
  /** From 0 to 1, while it is laid out; null once it is. */
  share: number | null;
  problem: string | null;
}

/** Lays out what is to be printed, anew whenever something of it is another. */
export function usePrintPages(what: PrintedThing, setup: PrintSetup, clock: string): LaidOut {
  const { wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const [share, setShare] = useState(0);
  const request = { what, setup, clock, wording, firstWeekday, today };
  const { data, error, isFetching } = useEngineQuery(['printPages', request], async (engine) => {
    const widths = await letterWidths();
    setShare(0);
    return engine.printer.pages({ ...request, now: Date.now(), widths }, proxy(setShare));
  });
  return {
    pages: data ?? null,
    share: isFetching ? share : null,
    problem: error && !isFetching ? describeError(error) : null,
  };
}

/** How what has a lens (by its id; empty for none) is put on paper, and keeping that. */
export function usePrintSetup(
  lens: string,
  first: Partial<PrintSetup>,
): [PrintSetup, (fields: Partial<PrintSetup>) => void] {
  const act = useDo();
  const { settings } = usePreferences();
  const kept = settings.prints[lens];
  const [chosen, setChosen] = useState<{ of: string; fields: Partial<PrintSetup> } | null>(null);
  const fields = chosen?.of === lens ? chosen.fields : null;
  const paper = usualPaper(navigator.language);
  const setup: PrintSetup = { ...DEFAULT_PRINT, paper, ...first, ...kept, ...fields };
  const change = (more: Partial<PrintSetup>) =>
    setChosen({ of: lens, fields: { ...fields, ...more } });
  const latest = useRef({ act, settings, setup });
  useEffect(() => {
    latest.current = { act, settings, setup };
  });
  const keep = useRef<(() => void) | null>(null);
  useEffect(() => {
    // What was chosen for another lens holds, too.
    if (!fields) return keep.current?.();
    const now = latest.current.setup;
    keep.current = () => {
      keep.current = null;
      const { settings: before } = latest.current;
      // The days are those of this look; how they are drawn is kept.
      const prints = { ...before.prints, [lens]: { ...now, days: null } };
      const label = 'Changed how it is printed';
      void latest.current.act(
        { kind: 'setSettings', before, fields: { prints }, label },
        { isQuiet: true },
      );
    };
    // Once it is quiet, as one step: not one for each letter of a title.
    const timer = setTimeout(() => keep.current?.(), QUIET);
    return () => clearTimeout(timer);
  }, [fields, lens]);
  // Whoever leaves before it is quiet has chosen all the same.
  useEffect(() => () => keep.current?.(), []);
  return [setup, change];
}
