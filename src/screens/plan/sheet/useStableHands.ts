import { useEffect, useMemo, useRef } from 'react';
import type { SheetGestures } from './sheetGestures';

/** Hands that stay the same while what they do is made anew: what is drawn need not be for them. */
export function useStableHands(hands: SheetGestures): SheetGestures {
  const latest = useRef(hands);
  useEffect(() => {
    latest.current = hands;
  });
  return useMemo(
    (): SheetGestures => ({
      onOpen: (occurrence) => latest.current.onOpen(occurrence),
      onMenu: (occurrence) => latest.current.onMenu(occurrence),
      onDrop: (occurrence, span) => latest.current.onDrop(occurrence, span),
      onDraw: (span) => latest.current.onDraw(span),
      onAddToDay: (day) => latest.current.onAddToDay(day),
      onOpenDay: (day) => latest.current.onOpenDay(day),
      onShowWeek: (day) => latest.current.onShowWeek(day),
      onWorkday: (day) => latest.current.onWorkday(day),
      onWiden: () => latest.current.onWiden(),
      onSwipe: (direction) => latest.current.onSwipe(direction),
      onRefuse: (reason) => latest.current.onRefuse(reason),
      onSeeAs: (zone) => latest.current.onSeeAs(zone),
      onSeen: (day) => latest.current.onSeen(day),
      onTableSetup: (setup) => latest.current.onTableSetup(setup),
    }),
    [],
  );
}
