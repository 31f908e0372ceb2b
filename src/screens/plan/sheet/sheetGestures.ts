import type { Occurrence } from '@/core/agenda/occurrence';
import type { Span } from '@/core/layout/drag';
import type { TableSetup } from '@/core/model/view';
import type { DayNumber } from '@/core/time/units';

/** What hands can do on the sheet, whatever its form. They stay the same from one drawing to the next. */
export interface SheetGestures {
  onOpen(occurrence: Occurrence): void;
  onMenu(occurrence: Occurrence): void;
  onDrop(occurrence: Occurrence, span: Span): void;
  onDraw(span: Span): void;
  onAddToDay(day: DayNumber): void;
  /** Shows a day's events beside. */
  onOpenDay(day: DayNumber): void;
  onShowWeek(day: DayNumber): void;
  /** When and where the work of a date is. */
  onWorkday(day: DayNumber): void;
  /** Shows all hours that something lies in. */
  onWiden(): void;
  onSwipe(direction: -1 | 1): void;
  onRefuse(reason: string): void;
  /** Shows the sheet as people in a zone see it. */
  onSeeAs(zone: string | null): void;
  /** Told of the first day in sight of a form that runs on. */
  onSeen(day: DayNumber): void;
  onTableSetup(setup: TableSetup): void;
}
