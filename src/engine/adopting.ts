import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { INKS } from '@/core/model/inks';

const NAME = 'Events without a calendar';

/** Ids that events name their calendar by, and that no calendar has. */
export function missingCalendars(
  events: readonly CalendarEvent[],
  calendars: readonly Calendar[],
): string[] {
  const here = new Set(calendars.map(({ id }) => id));
  return [...new Set(events.map(({ calendarId }) => calendarId))].filter((id) => !here.has(id));
}

/** Calendars of those ids, so that their events are seen, after those that there are. */
export function adopting(ids: readonly string[], calendars: readonly Calendar[]): Calendar[] {
  const last = Math.max(0, ...calendars.map(({ order }) => order));
  return ids.map((id, i) =>
    newCalendar({ id, name: NAME, ink: INKS.Pewter, mark: 'cross', order: last + 1 + i }),
  );
}

/** What is said of it, by how many events it is. */
export const sayAdopted = (events: number): string =>
  `The calendar of ${events === 1 ? 'one event' : `${events} events`} is missing. They are in “${NAME}” now.`;
