import { useSyncExternalStore } from 'react';
import { MINUTE } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';

const minuteOf = (epochMs: EpochMs) => Math.floor(epochMs / MINUTE);

/** The clock of the whole page, so that no two parts of it tell another time. */
let now: EpochMs = Date.now();
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

/** The time that counts: it is another one once its minute is over, be that told of or not. */
function current(): EpochMs {
  const at = Date.now();
  if (minuteOf(at) !== minuteOf(now)) now = at;
  return now;
}

/** Looks again with the next minute. */
function wait(): void {
  clearTimeout(timer);
  timer = setTimeout(look, MINUTE - (Date.now() % MINUTE));
}

/** Whoever follows it takes the new time, if there is one. */
function look(): void {
  for (const listener of listeners) listener();
  wait();
}

function listen(listener: () => void): () => void {
  if (!listeners.size) {
    // Timers stand still while a machine sleeps, and are late in a page that is not seen.
    document.addEventListener('visibilitychange', look);
    window.addEventListener('focus', look);
    wait();
  }
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
    if (listeners.size) return;
    clearTimeout(timer);
    document.removeEventListener('visibilitychange', look);
    window.removeEventListener('focus', look);
  };
}

/** The clock, in epoch ms, as it was at the last full minute; keeps going. */
export const useNow = (): EpochMs => useSyncExternalStore(listen, current);

/** What a clock on the wall of a zone shows, in wall ms. */
export function useWallNow(zone: string): number {
  return wallFromInstant(useNow(), zone);
}
