import type { CalendarEvent } from '../../model/event';
import { isSeries, isWholeDay, revised } from '../../model/event';
import { dayOf } from '../../model/common';
import { titleOf } from '../../model/titleOf';
import { findLinks } from '../../jot/links';
import { DAY, formatLocal, MINUTE } from '../../time/civil';
import { plain } from '../likeness';
import { withLength } from '../../editing/times';
import { sayMinute } from '../../time/words';
import type { Check, World } from './check';
import { keyOf } from './check';
import { whenOf } from './words';

/** Titles that say nothing about what happens. */
const SAYS_NOTHING =
  /^(?:meeting|event|new event|untitled|no title|busy|appointment|call|tbd|tbc|todo|test|x+|\?*)$/;

/** What an event without a title can be called: what stands in it, in the order of what says most. */
function betterTitle({ title, place, notes, attendees }: CalendarEvent): string | null {
  const firstLine = notes.trim().split('\n')[0]!.trim().slice(0, 60);
  if (firstLine && !findLinks(firstLine).some(({ link }) => link)) return firstLine;
  const said = title.trim();
  const people = attendees.map(({ name }) => name).filter(Boolean);
  if (people.length) return `${said || 'Meeting'} with ${people.slice(0, 2).join(' and ')}`;
  return place.trim() ? `${said || 'At'} ${place.trim()}` : null;
}

/** Entries that don't say what they are. */
export const untitled: Check = {
  find: (world) =>
    world.events.flatMap((event) => {
      if (!SAYS_NOTHING.test(plain(event.title))) return [];
      const better = betterTitle(event);
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason: `${event.title.trim() ? 'A title that says nothing' : 'No title'} · ${whenOf(event, world)}`,
        ways: better === null ? [] : [{ how: 'name', label: `Call it “${better}”` }],
      };
    }),
  mend({ ids }, _how, { now }, hand) {
    const event = hand.event(ids[0]!);
    const title = event && betterTitle(event);
    if (event && title) hand.putEvent(revised(event, { title }, now));
  },
};

const TIME =
  /(?<!\d)(?:(?:at|@)\s+)?([01]?\d|2[0-3])(?:[:.]([0-5]\d)\s*(am|pm)?|\s*(am|pm))(?![\d%]|[.:]\d)/i;

/** A time that stands in a title: the minute of the day, and the title without it. */
export function timeIn(title: string): { minute: number; rest: string } | null {
  const found = TIME.exec(title);
  if (!found) return null;
  const [said, hours, minutes = '0', afterMinutes, afterHours] = found;
  const half = (afterMinutes ?? afterHours)?.toLowerCase();
  let hour = Number(hours);
  if (half && (hour < 1 || hour > 12)) return null;
  if (half) hour = (hour % 12) + (half === 'pm' ? 12 : 0);
  const rest = (title.slice(0, found.index) + title.slice(found.index + said.length))
    .replaceAll(/\s+/g, ' ')
    .replace(/^[\s,:–-]+|[\s,:–-]+$/g, '');
  return rest ? { minute: hour * 60 + Number(minutes), rest } : null;
}

/** Whole days whose title says a time. */
export const timeInTitle: Check = {
  find: (world) =>
    world.events.flatMap((event) => {
      const found = isWholeDay(event) && !isSeries(event) ? timeIn(event.title) : null;
      if (!found) return [];
      const at = sayMinute(found.minute, world.wording.hourCycle);
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason: `A whole day, ${whenOf(event, world)}, whose title says ${at}`,
        ways: [{ how: 'time', label: `“${found.rest}” at ${at}` }],
      };
    }),
  mend({ ids }, _how, { now, zone, settings }, hand) {
    const event = hand.event(ids[0]!);
    const found = event && timeIn(event.title);
    if (!event || !found || !isWholeDay(event)) return;
    const local = formatLocal(dayOf(event.start) * DAY + found.minute * MINUTE);
    const start = { kind: 'zoned' as const, local, zone };
    const times = withLength({ start, end: start }, settings.defaultLength * MINUTE);
    hand.putEvent(revised(event, { ...times, title: found.rest }, now));
  },
};

/** Fields with a link or a place where it belongs, or null where nothing is out of its place. */
function putInPlace(event: CalendarEvent, places: ReadonlyMap<string, string>) {
  const fields: Partial<CalendarEvent> = {};
  if (!event.link) {
    for (const field of ['title', 'notes', 'place'] as const) {
      const piece = findLinks(event[field]).find(({ link }) => link !== null);
      if (!piece) continue;
      fields.link = piece.link!;
      fields[field] = event[field]
        .replace(piece.text, '')
        .replaceAll(/[ \t]+/g, ' ')
        .replaceAll(/ ?\n ?/g, '\n')
        .trim();
      break;
    }
  }
  const title = fields.title ?? event.title;
  if (!event.place && fields.place === undefined) {
    const [, before, said] = /^(.+?)\s+(?:at|@|in)\s+(?:the\s+)?(.+)$/i.exec(title) ?? [];
    const place = said && places.get(plain(said));
    if (before && place) Object.assign(fields, { title: before, place });
  }
  return Object.keys(fields).length ? fields : null;
}

/** Places that several events have, by how they are said. */
function knownPlaces(events: readonly CalendarEvent[]): Map<string, string> {
  const counts = new Map<string, number>();
  for (const { place } of events)
    if (place.trim()) counts.set(place.trim(), (counts.get(place.trim()) ?? 0) + 1);
  return new Map(
    [...counts].flatMap(([place, n]) => (n > 1 ? [[plain(place), place] as const] : [])),
  );
}

const sayMoved = ({ link, place }: Partial<CalendarEvent>) =>
  [link ? 'the link to its field' : '', place && !link ? `the place “${place}” to its field` : '']
    .filter(Boolean)
    .join(', ');

/** The field that a link or a place was found in. */
const cameFrom = ({ title, notes, place, link }: Partial<CalendarEvent>) =>
  title !== undefined
    ? 'title'
    : notes !== undefined
      ? 'notes'
      : link && place !== undefined
        ? 'place'
        : 'title';

/** Links and places that stand in titles, notes and places. */
export const misplaced: Check = {
  find(world) {
    const places = knownPlaces(world.events);
    return world.events.flatMap((event) => {
      const fields = putInPlace(event, places);
      if (!fields) return [];
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason: `${fields.link ? `The link ${fields.link}` : `The place “${fields.place}”`} is in the ${cameFrom(fields)}`,
        ways: [{ how: 'put', label: `Put ${sayMoved(fields)}` }],
      };
    });
  },
  mend({ ids }, _how, world: World, hand) {
    const event = hand.event(ids[0]!);
    const fields = event && putInPlace(event, knownPlaces(world.events));
    if (event && fields) hand.putEvent(revised(event, fields, world.now));
  },
};
