import type { Occurrence } from '@/core/agenda/occurrence';
import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { DAY, HOUR, parseDate } from '@/core/time/civil';
import { scaleOf } from '@/core/view/scale';
import type { Preferences } from '@/data/preferences';

/** Tuesday 24 November 2026. */
export const TODAY = parseDate('2026-11-24');
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

/** An hour at nine on a day (day number), or whatever else `fields` say. */
export function occurrenceOn(day: number, fields: Partial<Occurrence> = {}): Occurrence {
  const start = day * DAY + 9 * HOUR;
  return {
    id: 'call',
    eventId: 'call',
    calendarId: CLIENTS.id,
    dateKey: null,
    changed: false,
    title: 'Osaka call',
    place: '',
    wholeDay: false,
    availability: 'busy',
    visibility: 'public',
    categoryIds: [],
    zone: null,
    start,
    end: start + HOUR,
    startMs: start,
    endMs: start + HOUR,
    ...fields,
  };
}
