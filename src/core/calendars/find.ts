import { wallOf } from '../model/common';
import type { CalendarEvent } from '../model/event';

/** Events of some calendars whose title, place or notes hold all words of a text, the latest start first. */
export function findEvents(
  events: readonly CalendarEvent[],
  calendarIds: ReadonlySet<string>,
  { text, most }: { text: string; most: number },
): CalendarEvent[] {
  const words = text.toLocaleLowerCase('en').split(/\s+/).filter(Boolean);
  return events
    .filter(({ removedAt, calendarId, title, place, notes }) => {
      if (removedAt !== undefined || !calendarIds.has(calendarId)) return false;
      const all = `${title}\n${place}\n${notes}`.toLocaleLowerCase('en');
      return words.every((word) => all.includes(word));
    })
    .sort((a, b) => wallOf(b.start) - wallOf(a.start))
    .slice(0, most);
}
