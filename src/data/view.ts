import { useCallback, useEffect, useRef, useState } from 'react';
import { migrate, RecordError, unwrap, wrap } from '@/core/model/migrate';
import type { Data } from '@/core/model/versions';
import { DEFAULT_VIEW, view } from '@/core/model/view';
import { z } from '@/core/model/zod';
import { keepSmallText, smallText } from './smallTexts';

const KEY = 'orderly-week-view';

/** How a window shows the sheet, and the lens that it was picked by. */
export const windowView = z.object({ view, lensId: z.string().nullable() });
export type WindowView = z.infer<typeof windowView>;

/** What a stored text says; the first ones had no version around them. */
function viewIn(text: string): Data {
  const bare: unknown = JSON.parse(text);
  const isBare = typeof bare === 'object' && bare !== null && 'view' in bare;
  return isBare ? migrate('windowView', bare as Data, 1) : unwrap('windowView', text);
}

function read(text: string | null): WindowView | null {
  if (text === null) return null;
  try {
    return windowView.safeParse(viewIn(text)).data ?? null;
  } catch (error) {
    // A view that can't be read is the usual one again: nothing that was put in hangs on it.
    if (error instanceof RecordError || error instanceof SyntaxError) return null;
    throw error;
  }
}

/** A new window begins as the last was left, but for its calendars and filter: nothing is hidden unseen. */
function asLastLeft(): WindowView {
  const last = read(smallText(KEY))?.view ?? DEFAULT_VIEW;
  const { calendarIds, filter } = DEFAULT_VIEW;
  return { view: { ...last, calendarIds, filter }, lensId: null };
}

/** How this window shows the sheet. Each window keeps its own through a reload. */
export function useView(): {
  shown: WindowView;
  isNew: boolean;
  show(next: WindowView): void;
} {
  const [kept] = useState(() => read(window.sessionStorage.getItem(KEY)));
  const [shown, setShown] = useState(() => kept ?? asLastLeft());
  // What the person has chosen by now holds, however late the settings come.
  const [isNew, setNew] = useState(kept === null);
  const show = useCallback((next: WindowView) => {
    setNew(false);
    setShown(next);
  }, []);
  const opened = useRef(shown);
  useEffect(() => {
    if (shown === opened.current) return;
    const text = wrap(shown);
    window.sessionStorage.setItem(KEY, text);
    keepSmallText(KEY, text);
  }, [shown]);
  return { shown, isNew, show };
}
