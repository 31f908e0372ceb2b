import { canBeIndexed, EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import { byStart } from '@/core/agenda/occurrence';
import { decodeText } from '@/core/files/ics/decode';
import { readFreeBusy } from '@/core/files/ics/freeBusy';
import type { Person, Seeing } from '@/core/model/person';
import { personCalendarId } from '@/core/model/person';
import type { BusyStretch, Taken } from '@/core/people/busy';
import { busyOf } from '@/core/people/busy';
import { DAY } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import { readContents } from '../files/readContents';

/** What was read of somebody's time: their events, or only when it is taken. */
export interface TimeSource {
  seeing: Seeing;
  index: EventIndex | null;
  busy: readonly BusyStretch[];
  /** Pages of their events (URL, RFC 5545 §3.8.4.6), by the events' ids. */
  pages: ReadonlyMap<string, string>;
}

/** What is written on time of which only that it is taken is known. */
const TAKEN_NAMES: Readonly<Record<Taken, string>> = {
  busy: 'Booked',
  tentative: 'Maybe',
  away: 'Away',
};

/**
 * Reads a calendar or free/busy file as somebody's time.
 * @throws FileError when nothing can be read.
 */
export async function readTime(bytes: Uint8Array, now: EpochMs): Promise<TimeSource> {
  const busy = readFreeBusy(decodeText(bytes).text);
  if (busy) return { seeing: 'booked', index: null, busy, pages: new Map() };
  const { events } = await readContents(bytes, now);
  const index = new EventIndex();
  const pages = new Map<string, string>();
  for (const draft of events) {
    const event = { ...draft, id: draft.uid, calendarId: 'theirs' };
    if (canBeIndexed(event)) index.put(event);
    if (/^https?:\/\//.test(event.link)) pages.set(event.id, event.link);
  }
  const tells = events.some(({ place, notes }) => place !== '' || notes !== '');
  return { seeing: tells ? 'all' : 'titles', index, busy: [], pages };
}

/** Days around a window that other zones reach into it. */
const ZONE_DAYS = 2;

/** A window as wide as somebody elsewhere needs it, by the days of their zone. */
const around = ({ fromDay, toDay }: Window, zone: string): Window => ({
  fromDay: fromDay - ZONE_DAYS,
  toDay: toDay + ZONE_DAYS,
  zone,
});

/** When somebody's time is taken, in and around a window. */
export function busyIn(source: TimeSource, window: Window, { zone }: Person): BusyStretch[] {
  if (!source.index) return [...source.busy];
  return busyOf(source.index.query(around(window, zone), null).occurrences);
}

/** An occurrence of theirs by the clock that looks at it; a whole day there may be hours of two days here. */
function inClock(o: Occurrence, clock: string): Occurrence {
  const start = wallFromInstant(o.startMs, clock);
  const end = wallFromInstant(o.endMs, clock);
  return { ...o, start, end, wholeDay: o.wholeDay && start % DAY === 0 && end % DAY === 0 };
}

function taken({ start, end, taken: kind }: BusyStretch, nth: number, clock: string): Occurrence {
  const wall = { start: wallFromInstant(start, clock), end: wallFromInstant(end, clock) };
  return {
    id: `taken ${nth}`,
    eventId: `taken ${nth}`,
    calendarId: '',
    dateKey: null,
    changed: false,
    title: TAKEN_NAMES[kind],
    place: '',
    room: '',
    wholeDay: wall.start % DAY === 0 && wall.end % DAY === 0,
    availability: kind,
    visibility: 'public',
    importance: 0,
    travelBefore: 0,
    travelAfter: 0,
    isQuiet: false,
    reminders: null,
    categoryIds: [],
    zone: null,
    startMs: start,
    endMs: end,
    ...wall,
  };
}

/** The id on the sheet of an event of somebody's. */
export const theirEventId = ({ id }: Person, eventId: string): string =>
  `${personCalendarId(id)} ${eventId}`;

/** What somebody does in a window, as it is drawn: named so that it meets nothing of one's own. */
export function occurrencesIn(source: TimeSource, window: Window, person: Person): Occurrence[] {
  const { fromDay, toDay, zone: clock } = window;
  const from = instantFromWall(fromDay * DAY, clock);
  const to = instantFromWall(toDay * DAY, clock);
  const found = source.index
    ? source.index
        .query(around(window, person.zone), null)
        .occurrences.map((o) => inClock(o, clock))
    : source.busy.map((stretch, nth) => taken(stretch, nth, clock));
  const calendarId = personCalendarId(person.id);
  return found
    .filter(({ startMs, endMs }) => startMs < to && endMs > from)
    .map((o) => ({
      ...o,
      id: `${calendarId} ${o.id}`,
      eventId: theirEventId(person, o.eventId),
      calendarId,
      reminders: [],
    }))
    .sort(byStart);
}
