import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { scaleOf } from '@/core/view/scale';
import type { Preferences } from '@/data/preferences';

export const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;

export const CLIENTS = newCalendar({
  id: 'clients',
  name: 'Clients',
  ink: INKS.Harbour,
  mark: 'circle',
  order: 0,
});
export const WORKSHOP = newCalendar({
  id: 'workshop',
  name: 'Workshop',
  ink: INKS.Kelp,
  mark: 'square',
  order: 1,
});

/** Settings as they are at first, in Saltmarsh's words and zone. */
export const PREFERENCES: Preferences = {
  settings: DEFAULT_SETTINGS,
  zone: 'Europe/London',
  clock: 'Europe/London',
  workdays: [0, 1, 2, 3, 4],
  firstWeekday: 0,
  wording: WORDING,
  scale: scaleOf(DEFAULT_SETTINGS),
};
