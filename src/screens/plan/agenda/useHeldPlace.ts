import type { RefObject } from 'react';
import { useLayoutEffect, useRef } from 'react';
import type { DayNumber } from '@/core/time/units';

/** The first day in sight, and how far it is scrolled past the top, in px. */
interface Held {
  day: DayNumber;
  offset: number;
}

function placeIn(scroller: HTMLElement): Held | null {
  const { scrollTop } = scroller;
  const first = [...scroller.querySelectorAll<HTMLElement>('[data-day]')].find(
    ({ offsetTop, offsetHeight }) => offsetTop + offsetHeight > scrollTop,
  );
  return first ? { day: Number(first.dataset['day']), offset: scrollTop - first.offsetTop } : null;
}

/**
 * Holds the place of a list of days when days are put before those in sight, or taken away: the
 * first day in sight stays where it is. `onSeen` is told of that day (day number) whenever it is
 * another. Another `opensAt` (day number) is another list. Gives what is to be done on scrolling.
 */
export function useHeldPlace(
  scroller: RefObject<HTMLElement | null>,
  days: readonly { day: DayNumber }[],
  onSeen: (day: DayNumber) => void,
  opensAt: number,
): () => void {
  const held = useRef<Held | null>(null);
  const opened = useRef(opensAt);

  useLayoutEffect(() => {
    const element = scroller.current;
    const before = opened.current === opensAt ? held.current : null;
    opened.current = opensAt;
    const again = element?.querySelector<HTMLElement>(`[data-day="${before?.day}"]`);
    if (before && again)
      element!.scrollTo({ top: again.offsetTop + before.offset, behavior: 'instant' });
    held.current = element && placeIn(element);
    if (held.current && held.current.day !== before?.day) onSeen(held.current.day);
  }, [scroller, days, onSeen, opensAt]);

  return () => {
    const before = held.current;
    held.current = scroller.current && placeIn(scroller.current);
    if (held.current && held.current.day !== before?.day) onSeen(held.current.day);
  };
}
