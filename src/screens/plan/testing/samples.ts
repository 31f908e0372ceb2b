import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { scaleOf } from '@/core/view/scale';
import { TODAY } from '@/core/testing/occurrences';
import type { Preferences } from '@/data/preferences';
import type { Look } from '../sheet/formProps';
import type { SheetGestures } from '../sheet/sheetGestures';

export const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;

export const CLIENTS = newCalendar({
  id: 'clients',
  name: 'Clients',
  ink: INKS.Harbour,
  mark: 'circle',
  order: 0,
});
const WORKSHOP = newCalendar({
  id: 'workshop',
  name: 'Workshop',
  ink: INKS.Kelp,
  mark: 'square',
  order: 1,
});

/** Settings as they are at first, in Saltmarsh's words and zone. */
const PREFERENCES: Preferences = {
  settings: DEFAULT_SETTINGS,
  zone: 'Europe/London',
  clock: 'Europe/London',
  workdays: [0, 1, 2, 3, 4],
  firstWeekday: 0,
  wording: WORDING,
  scale: scaleOf(DEFAULT_SETTINGS),
};

/** How a sheet looks on which nothing stands out. */
export const LOOK: Look = {
  calendars: [CLIENTS, WORKSHOP],
  categories: [{ id: 'quay', name: 'Quay', ink: '#1D5480', order: 0 }],
  categoryInks: null,
  preferences: PREFERENCES,
  newLength: 30,
  today: TODAY,
  selectedId: null,
  chosenDay: null,
  draft: null,
  covered: 0,
};

const nothing = () => undefined;
/** Hands that do nothing. */
export const HANDS: SheetGestures = {
  onOpen: nothing,
  onMenu: nothing,
  onDrop: nothing,
  onDraw: nothing,
  onAddToDay: nothing,
  onOpenDay: nothing,
  onShowWeek: nothing,
  onWorkday: nothing,
  onWiden: nothing,
  onSwipe: nothing,
  onRefuse: nothing,
  onSeeAs: nothing,
  onSeen: nothing,
  onTableSetup: nothing,
};
