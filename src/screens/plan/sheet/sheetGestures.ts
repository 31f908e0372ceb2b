import type { Occurrence } from '@/core/agenda/occurrence';
import type { Span } from '@/core/layout/drag';

/** What hands can do on the sheet, whatever its form. */
export interface SheetGestures {
  onOpen(occurrence: Occurrence): void;
  onMenu(occurrence: Occurrence): void;
  onDrop(occurrence: Occurrence, span: Span): void;
  onDraw(span: Span): void;
  onAddToDay(day: number): void;
  /** When and where the work of a date is. */
  onWorkday(day: number): void;
  onSwipe(direction: -1 | 1): void;
  onRefuse(reason: string): void;
}
