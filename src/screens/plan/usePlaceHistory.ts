import { useEffect, useRef } from 'react';
import { z } from '@/core/model/zod';
import type { Address } from '@/core/view/address';
import { readAddress, writeAddress } from '@/core/view/address';
import { windowView } from '@/data/view';
import { hearEntries, isAtGuard, pushEntry } from '@/ui/backStack';
import type { SheetPlace } from './useSheetPlace';

/** Where the sheet stood, as an entry of the browser's history keeps it. */
const kept = windowView.extend({
  day: z.number().int(),
  event: z.string().nullable().default(null),
});
type Kept = z.infer<typeof kept>;

/** Days that follow each other within this many ms, as along the ruler, make one entry. */
const TOGETHER = 700;

/** What an entry keeps; entries of other pages are the router's, and keep nothing of ours. */
const keptIn = (state: unknown): Kept | undefined =>
  kept.safeParse((state as { orderlyWeek?: unknown } | null)?.orderlyWeek).data;

const addressOf = ({ view, lensId, day, event }: Kept) =>
  `/?${writeAddress({
    day,
    span: view.span,
    form: view.form,
    lensId: lensId ?? undefined,
    event: event ?? undefined,
  })}`;

/** Writes an entry over the one that the browser stands at; the router's own state in it stays. */
function write(entry: Kept): void {
  const state = { ...(window.history.state as object | null), orderlyWeek: entry };
  window.history.replaceState(state, '', addressOf(entry));
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** The address that the page was opened by; what came later is the sheet's own. */
let opening: Address | null =
  window.location.pathname === '/' ? readAddress(window.location.search) : null;

/** What the address that the page was opened by asks for. */
export const addressAtOpening = (): Address => opening ?? {};

interface Ways {
  place: SheetPlace;
  /** The id of the occurrence that is open. */
  event: string | null;
  onEvent(id: string | null): void;
}

/**
 * Every place of the sheet has an address, and the browser's back and forward go through them. The
 * router hears nothing of that, since it would draw the page anew; only it writes its own state over
 * the first entry, which is therefore put back.
 */
export function usePlaceHistory({ place, event, onEvent }: Ways): void {
  const { view, lensId, day } = place;
  const current = useRef<Kept | null>(null);
  // Gone back to, but not drawn yet.
  const isOnTheWay = useRef(false);
  const lastPush = useRef(-Infinity);
  const latest = useRef({ place, onEvent });
  useEffect(() => {
    latest.current = { place, onEvent };
  });

  // First: a page that was drawn anew goes on where its entry or its address says.
  useEffect(() => {
    function goTo(entry: Kept) {
      const isElsewhere = !isSame({ ...entry, event: null }, { ...current.current, event: null });
      current.current = entry;
      isOnTheWay.current = isElsewhere;
      const { view, lensId, day } = entry;
      latest.current.place.restore({ view, lensId, day });
      latest.current.onEvent(entry.event);
      setTimeout(() => write(entry));
    }
    function take(state: unknown): boolean {
      const entry = keptIn(state);
      if (entry) goTo(entry);
      return entry !== undefined;
    }
    const here = keptIn(window.history.state);
    if (here) goTo(here);
    else if (opening && Object.keys(opening).length) {
      latest.current.place.showAddress(opening);
      if (opening.event) latest.current.onEvent(opening.event);
    }
    opening = null;
    return hearEntries(take);
  }, []);

  useEffect(() => {
    const entry: Kept = { view, lensId, day, event };
    const before = current.current;
    if (before && isSame(before, entry)) {
      isOnTheWay.current = false;
      return;
    }
    if (isOnTheWay.current) return;
    current.current = entry;
    const isSamePlace = before !== null && isSame({ ...before, event }, entry);
    const isTogether =
      isSame(before?.view, view) && performance.now() - lastPush.current < TOGETHER && !isAtGuard();
    if (!before) setTimeout(() => current.current && write(current.current));
    else if (isSamePlace || isTogether) write(entry);
    else {
      pushEntry({ orderlyWeek: entry }, addressOf(entry));
      lastPush.current = performance.now();
    }
  }, [view, lensId, day, event]);
}
