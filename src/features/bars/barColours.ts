import { createContext, useContext } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { MINUTE } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import type { InkColours } from '@/ui/theme/palette';
import { inkColours, pastColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

/** The moment (wall ms) before which what has ended stands back. */
export const PastUntil = createContext(-Infinity);

/** What is over is told in steps of this many ms: each step draws every bar anew. */
const STEP = 5 * MINUTE;

/** Where the past ends, for those who want it to stand back. */
export function usePastUntil({ clock, settings }: Pick<Preferences, 'clock' | 'settings'>): number {
  const now = useWallNow(clock);
  return settings.isPastDim ? Math.floor(now / STEP) * STEP : -Infinity;
}

/** How an event is drawn in its ink, now or when it is over. */
export function useBarColours(o: Pick<Occurrence, 'end'>, ink: string): InkColours {
  const palette = usePalette();
  const until = useContext(PastUntil);
  return o.end <= until ? pastColours(ink, palette) : inkColours(ink, palette);
}
