import { distinct, personOf, together } from '../editing/gathering';
import type { EventTime } from '../model/common';
import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { instantOf } from '../time/zones';
import { UserError } from '../userError';

const instant = (time: EventTime) => instantOf(wallOf(time), zoneOf(time), 'UTC');

/** The highest of some importances (PRIORITY: 1 is the highest, 0 says nothing). */
const mostImportant = (events: readonly CalendarEvent[]): number => {
  const said = events.map(({ importance }) => importance).filter((one) => one > 0);
  return said.length ? Math.min(...said) : 0;
};

/**
 * Several single events as one: from where the first begins to where the last ends, with everything
 * that any of them says. The first gives what can be only one: its title, place, link and calendar,
 * and where it has none, the next one that has.
 * @throws UserError when some last whole days and others have hours.
 */
export function joined(events: readonly CalendarEvent[]): CalendarEvent {
  const [first, ...others] = events.toSorted((a, b) => instant(a.start) - instant(b.start));
  if (!first) throw new UserError('refused', 'There is nothing to join.');
  if (events.some(({ start }) => (start.kind === 'date') !== (first.start.kind === 'date')))
    throw new UserError('refused', 'Whole days and events with hours can’t be joined.');
  const all = [first, ...others];
  const pick = (field: 'title' | 'place' | 'link' | 'room') =>
    all.map((event) => event[field].trim()).find(Boolean) ?? '';
  const last = all.reduce((latest, event) =>
    instant(event.end) > instant(latest.end) ? event : latest,
  );
  // What can't stand in its own field is kept in the notes, so that nothing is lost.
  const besides = (['title', 'place', 'link', 'room'] as const).flatMap((field) =>
    all.map((event) => event[field].trim()).filter((text) => text && text !== pick(field)),
  );
  const reminders = all.flatMap((event) => event.reminders ?? []);
  return {
    ...first,
    end: last.end,
    title: pick('title'),
    place: pick('place'),
    link: pick('link'),
    room: pick('room'),
    // What was private in one stays so for all, and what matters most counts.
    visibility: all.some(({ visibility }) => visibility === 'private') ? 'private' : 'public',
    importance: mostImportant(all),
    travelBefore: first.travelBefore,
    travelAfter: last.travelAfter,
    notes: together([...all.map(({ notes }) => notes), ...besides]),
    categoryIds: distinct(
      all.flatMap(({ categoryIds }) => categoryIds),
      (id) => id,
    ),
    attendees: distinct(
      all.flatMap(({ attendees }) => attendees),
      personOf,
    ),
    attachments: distinct(
      all.flatMap(({ attachments }) => attachments),
      ({ id }) => id,
    ),
    agenda: distinct(
      all.flatMap(({ agenda }) => agenda),
      ({ id }) => id,
    ),
    reminders: all.every((event) => event.reminders === null)
      ? null
      : distinct(reminders, (reminder) => JSON.stringify(reminder)),
  };
}
