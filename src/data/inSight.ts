import { useEffect, useSyncExternalStore } from 'react';
import type { Sight } from '@/core/view/sight';

/** What the sheet of this window shows at the moment. */
export interface InSight {
  /** Day numbers; the last is excluded. */
  fromDay: number;
  toDay: number;
  sight: Sight;
  /** The zone whose clock it shows. */
  clock: string;
}

let shown: InSight | null = null;
let last: InSight | null = null;
const listeners = new Set<() => void>();

function tell(next: InSight | null): void {
  shown = next;
  last = next ?? last;
  for (const listener of listeners) listener();
}

/** Says what the sheet shows, for as long as it is there. */
export function useTellInSight(
  { from, to }: { from: number; to: number },
  sight: Sight,
  clock: string,
): void {
  useEffect(() => {
    tell({ fromDay: from, toDay: to, sight, clock });
    return () => tell(null);
  }, [from, to, sight, clock]);
}

function listen(listener: () => void) {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** What the sheet shows, for what stands around it; null on the other screens. */
export function useInSight(): InSight | null {
  return useSyncExternalStore(listen, () => shown);
}

/** The zone whose clock the sheet shows; null where there is no sheet. */
export const clockInSight = (): string | null => shown?.clock ?? null;

/** What the sheet of this window showed last, whether it is there or not; null before it was. */
export const lastInSight = (): InSight | null => last;
