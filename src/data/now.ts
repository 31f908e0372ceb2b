import { useEffect, useState } from 'react';
import { MINUTE } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';

/** The clock, in epoch ms, as it was at the last full minute; keeps going. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const toNextMinute = MINUTE - (Date.now() % MINUTE);
    const timer = setTimeout(() => setNow(Date.now()), toNextMinute);
    return () => clearTimeout(timer);
  }, [now]);
  return now;
}

/** What a clock on the wall of a zone shows, in wall ms. */
export function useWallNow(zone: string): number {
  return wallFromInstant(useNow(), zone);
}
