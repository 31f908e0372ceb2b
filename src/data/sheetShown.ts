import { useEffect } from 'react';
import type { Form, TableSetup } from '@/core/model/view';
import type { EventQuery } from '@/core/query/eventQuery';
import type { DayNumber } from '@/core/time/units';
import { outsideState } from './outsideState';

/** What the sheet of this window shows at the moment. */
export interface SheetShown {
  /** Day numbers; the last is excluded. */
  fromDay: DayNumber;
  toDay: DayNumber;
  query: EventQuery;
  /** The zone whose clock it shows. */
  clock: string;
  /** How it is drawn, and by which lens it was picked; null for none. */
  form: Form;
  /** The columns and groups of its table. */
  table: TableSetup;
  lensId: string | null;
}

const shown = outsideState<SheetShown | null>(null);
let last: SheetShown | null = null;

function tell(next: SheetShown | null): void {
  last = next ?? last;
  shown.put(next);
}

/** Says what the sheet shows, for as long as it is there. */
export function useTellSheetShown(
  { from, to }: { from: number; to: number },
  query: EventQuery,
  { clock, form, table, lensId }: Pick<SheetShown, 'clock' | 'form' | 'table' | 'lensId'>,
): void {
  useEffect(() => {
    tell({ fromDay: from, toDay: to, query, clock, form, table, lensId });
    return () => tell(null);
  }, [from, to, query, clock, form, table, lensId]);
}

/** What the sheet shows, for what stands around it; null on the other screens. */
export function useSheetShown(): SheetShown | null {
  return shown.useValue();
}

/** The zone whose clock the sheet shows; null where there is no sheet. */
export const sheetClock = (): string | null => shown.get()?.clock ?? null;

/** What the sheet of this window showed last, whether it is there or not; null before it was. */
export const lastSheetShown = (): SheetShown | null => last;
