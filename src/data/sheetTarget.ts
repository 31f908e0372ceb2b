import type { Span, Spot } from '@/core/layout/drag';
import type { Axis } from '@/core/layout/press';
import { outsideState } from './outsideState';

/** The sheet as what lies beside it can be put on it. */
export interface SheetTarget {
  axis: Axis;
  /** Minutes that it snaps to. */
  slot: number;
  /** Where a point of the screen is on it; null beside it. */
  spotAt(clientX: number, clientY: number): Spot | null;
  /** Shows where something would lie, or no longer does. */
  show(span: Span): void;
  hide(): void;
}

const target = outsideState<SheetTarget | null>(null);

export const putSheetTarget = (next: SheetTarget | null): void => target.put(next);
export const sheetTarget = (): SheetTarget | null => target.get();
/** Whether there is a sheet that something can be put on. */
export const useHasSheetTarget = (): boolean => target.useValue((now) => now !== null);
