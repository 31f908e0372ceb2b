import { useEffect, useRef } from 'react';
import { z } from '@/core/model/zod';
import { windowView } from '@/data/view';
import type { SheetPlace } from './useSheetContent';

/** Where the sheet stood, as an entry of the browser's history keeps it. */
const kept = windowView.extend({ day: z.number().int() });
type Kept = z.infer<typeof kept>;

/** Changes that follow each other within this many ms, as along the ruler, make one entry. */
const TOGETHER = 700;

/** What an entry keeps; entries of other pages are the router's, and keep nothing of ours. */
const keptIn = (state: unknown): Kept | undefined =>
  kept.safeParse((state as { orderlyWeek?: unknown } | null)?.orderlyWeek).data;

/** An entry's state with ours in it; the router's own stays, so that it finds its page again. */
const withKept = (entry: Kept) => ({
  ...(window.history.state as object | null),
  orderlyWeek: entry,
});

/**
 * The browser's back and forward go through where the sheet stood. The router hears of it too: it
 * may draw the page anew, and writes its own state over ours, which is therefore put back.
 */
export function usePlaceHistory({ view, lensId, day, restore }: SheetPlace): void {
  const current = useRef<Kept | null>(null);
  // Gone back to, but not drawn yet.
  const isOnTheWay = useRef(false);
  const lastPush = useRef(-Infinity);
  const latest = useRef(restore);
  useEffect(() => {
    latest.current = restore;
  });

  // First: a page that was drawn anew goes on where its entry says.
  useEffect(() => {
    function goTo(state: unknown) {
      const entry = keptIn(state);
      if (!entry) return;
      current.current = entry;
      isOnTheWay.current = true;
      latest.current(entry);
      setTimeout(() => window.history.replaceState(withKept(entry), ''));
    }
    const onPopState = ({ state }: PopStateEvent) => goTo(state);
    goTo(window.history.state);
    window.addEventListener('popstate', onPopState);
    return () => window.removeEventListener('popstate', onPopState);
  }, []);

  useEffect(() => {
    const entry: Kept = { view, lensId, day };
    const before = current.current;
    if (before && JSON.stringify(before) === JSON.stringify(entry)) {
      isOnTheWay.current = false;
      return;
    }
    if (isOnTheWay.current) return;
    current.current = entry;
    const isTogether = performance.now() - lastPush.current < TOGETHER;
    if (!before || isTogether) {
      window.history.replaceState(withKept(entry), '');
      return;
    }
    window.history.replaceState(withKept(before), '');
    window.history.pushState(withKept(entry), '');
    lastPush.current = performance.now();
  }, [view, lensId, day]);
}
