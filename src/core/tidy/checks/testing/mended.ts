import { EventIndex } from '../../../agenda/eventIndex';
import type { Calendar } from '../../../model/calendar';
import { newCalendar } from '../../../model/calendar';
import type { CalendarEvent } from '../../../model/event';
import { newEvent } from '../../../model/event';
import type { Category, Settings } from '../../../model/others';
import { DEFAULT_SETTINGS } from '../../../model/others';
import { newPerson } from '../../../model/person';
import { parseDate } from '../../../time/civil';
import type { Finding, Hand, World } from '../check';
import { CHECKS, findingsOf } from '../index';
import type { CheckName } from '../../../model/checks';

const LONDON = 'Europe/London';
/** Tuesday 24 November 2026, 10:25 */
export const NOW = Date.parse('2026-11-24T10:25:00Z');
const TODAY = parseDate('2026-11-24');

export const zoned = (local: string, zone = LONDON) => ({ kind: 'zoned', local, zone }) as const;
export const on = (day: string, from = '09:00', to = '10:00', zone = LONDON) => ({
  start: zoned(`${day}T${from}:00`, zone),
  end: zoned(`${day}T${to}:00`, zone),
});
export const days = (from: string, to: string) => ({
  start: { kind: 'date', date: from } as const,
  end: { kind: 'date', date: to } as const,
});

let nth = 0;
export const event = (fields: Partial<CalendarEvent>): CalendarEvent =>
  newEvent(
    { id: `e${nth++}`, calendarId: 'work', title: 'Lamp check', ...on('2026-11-25'), ...fields },
    NOW,
  );

export const CALENDARS: Calendar[] = [
  newCalendar({ id: 'work', name: 'Workshop', ink: '#1F5A4C', mark: 'square', order: 0 }),
  newCalendar({ id: 'clients', name: 'Clients', ink: '#9A3A2C', mark: 'circle', order: 1 }),
  newCalendar({
    id: 'quay',
    name: 'Quay',
    ink: '#8A5A12',
    mark: 'cross',
    order: 2,
    kind: 'followed',
    isClosures: true,
  }),
];
export const category = (id: string, name: string): Category => ({
  id,
  name,
  ink: '#1F5A4C',
  order: 0,
});

interface Setup {
  events: CalendarEvent[];
  calendars?: Calendar[];
  categories?: Category[];
  settings?: Partial<Settings>;
}

export function worldOf({
  events,
  calendars = CALENDARS,
  categories = [],
  settings,
}: Setup): World {
  const index = new EventIndex();
  for (const one of events) index.put(one);
  const own = new Set(calendars.flatMap(({ id, kind }) => (kind === 'own' ? [id] : [])));
  return {
    events: events.filter(({ calendarId }) => own.has(calendarId)),
    calendars,
    categories,
    people: [newPerson({ id: 'ida', name: 'Ida Solberg', zone: LONDON })],
    settings: { ...DEFAULT_SETTINGS, ...settings },
    now: NOW,
    zone: LONDON,
    today: TODAY,
    wording: { locale: 'en-GB', hourCycle: '24' },
    occurrencesIn: (fromDay, toDay) =>
      index.query({ fromDay, toDay, zone: LONDON }, null).occurrences,
  };
}

/** Does a way to mend everything that was found, and answers with how things are then. */
export function mended(check: CheckName, setup: Setup, nthWay = 0) {
  const world = worldOf(setup);
  const events = new Map(setup.events.map((one) => [one.id, one]));
  const calendars = new Map((setup.calendars ?? CALENDARS).map((one) => [one.id, one]));
  const categories = new Map((setup.categories ?? []).map((one) => [one.id, one]));
  const hand: Hand = {
    event: (id) => events.get(id) ?? null,
    calendar: (id) => calendars.get(id) ?? null,
    category: (id) => categories.get(id) ?? null,
    events: () => [...events.values()],
    putEvent: (one) => void events.set(one.id, one),
    removeEvent: (id) => void events.delete(id),
    putCalendar: (one) => void calendars.set(one.id, one),
    removeCalendar: (id) => void calendars.delete(id),
    removeCategory: (id) => void categories.delete(id),
  };
  const found = findingsOf(check, world, new Set());
  for (const finding of found) {
    const way = finding.ways[nthWay];
    if (way) CHECKS[check].mend(finding, way.how, world, hand);
  }
  const result = {
    events: [...events.values()],
    calendars: [...calendars.values()],
    categories: [...categories.values()],
  };
  return {
    found,
    ...result,
    again: findingsOf(check, worldOf({ ...setup, ...result }), new Set()),
  };
}

export const said = (found: readonly Finding[]) =>
  found.map(({ title, reason }) => `${title}: ${reason}`);

/** What is changed where everything that was found is gone by the time that it is mended. */
export function mendedWhenGone(check: CheckName, setup: Setup) {
  const world = worldOf(setup);
  const changed: unknown[] = [];
  const put = (one: unknown) => void changed.push(one);
  const hand: Hand = {
    event: () => null,
    calendar: () => null,
    category: () => null,
    events: () => [],
    putEvent: put,
    removeEvent: put,
    putCalendar: put,
    removeCalendar: put,
    removeCategory: put,
  };
  const found = findingsOf(check, world, new Set());
  for (const finding of found)
    for (const { how } of finding.ways) CHECKS[check].mend(finding, how, world, hand);
  return { found: found.length, changed };
}
