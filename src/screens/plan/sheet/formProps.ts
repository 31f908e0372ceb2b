import type { Calendar } from '@/core/model/calendar';
import type { Category } from '@/core/model/others';
import type { Span } from '@/core/layout/drag';
import type { Preferences } from '@/data/preferences';
import type { DayNumber } from '@/core/time/units';
import type { SheetContent } from '../useSheetContent';
import type { SheetPlace } from '../useSheetPlace';
import type { SheetGestures } from './sheetGestures';

/** How a sheet is drawn, and what stands out on it. */
export interface Look {
  calendars: readonly Calendar[];
  categories: readonly Category[];
  /** The inks of categories by id, where inks stand for them; else null. */
  categoryInks: ReadonlyMap<string, string> | null;
  preferences: Preferences;
  /** Minutes that a new event lasts. */
  newLength: number;
  /** Day number */
  today: DayNumber;
  selectedId: string | null;
  /** The day whose events are listed beside. */
  chosenDay: number | null;
  /** The time of what is being added. */
  draft: Span | null;
  /** How much of the lower part a panel lies over, in px. */
  covered: number;
}

/** What every form of the sheet is given: where it stands, what is on it, how it looks, what hands do. */
export interface FormProps {
  place: Pick<SheetPlace, 'view' | 'range' | 'drawn'>;
  content: SheetContent;
  look: Look;
  hands: SheetGestures;
}
