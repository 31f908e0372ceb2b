import { dateAsEvent, keyOfWall, seriesOf } from '../editing/series/dates';
import type { Scope } from '../editing/series/edit';
import { wallOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isSeries } from '../model/event';
import { nextStarts } from '../recurrence/walk';

/** What was selected: an event, one of its dates, or a series whole. */
export interface Subject {
  /** As it was selected: an event's id, or an occurrence's. */
  id: string;
  event: CalendarEvent;
  /** The date by which a series is edited; null for a single event. */
  key: string | null;
  /** Which dates it reaches; of no meaning for a single event. */
  scope: Scope;
  /** How it stands, as an event of its own. */
  date: CalendarEvent;
}

/** What is selected by an id; `dateKey` null means an event, or a series whole. */
export interface Chosen {
  id: string;
  event: CalendarEvent;
  dateKey: string | null;
}

/** The name of the first date of a series; null when it has none. */
function firstKey(event: CalendarEvent): string | null {
  const [first] = nextStarts(seriesOf(event), -Infinity, 1);
  return first === undefined ? null : keyOfWall(event, first);
}

function subjectOf({ id, event, dateKey }: Chosen, scopeOf: (eventId: string) => Scope): Subject {
  if (!isSeries(event))
    return { id, event, key: null, scope: 'this', date: dateAsEvent(event, null) };
  const key = dateKey ?? firstKey(event);
  const scope = dateKey === null ? 'every' : scopeOf(event.id);
  return { id, event, key, scope, date: dateAsEvent(event, key) };
}

/**
 * What is edited, in order of time. Where an edit of a series reaches later dates, or all, the
 * earliest that was selected of it stands for the rest; a series that was selected whole stands for
 * its dates.
 */
export function subjectsOf(
  chosen: readonly Chosen[],
  scopeOf: (eventId: string) => Scope,
): Subject[] {
  const whole = new Set(
    chosen.flatMap(({ event, dateKey }) => (dateKey === null && isSeries(event) ? [event.id] : [])),
  );
  const sorted = chosen
    .filter(({ event, dateKey }) => dateKey === null || !whole.has(event.id))
    .map((one) => subjectOf(one, scopeOf))
    .map((subject) => ({ subject, wall: wallOf(subject.date.start) }))
    .sort((a, b) => a.wall - b.wall || (a.subject.id < b.subject.id ? -1 : 1));
  const reached = new Set<string>();
  return sorted.flatMap(({ subject }) => {
    const { event, key, scope } = subject;
    if (key === null || scope === 'this') return [subject];
    if (reached.has(event.id)) return [];
    reached.add(event.id);
    return [subject];
  });
}
