import type { EventIndex } from '../agenda/eventIndex';
import { extentOf, extentOfSeries } from '../agenda/extent';
import type { Occurrence, Window } from '../agenda/occurrence';
import { compileSeries, placed } from '../agenda/series';
import { seriesOf } from '../editing/series/dates';
import type { CalendarEvent } from '../model/event';
import { isSeries } from '../model/event';
import type { TextField } from '../model/filter';
import type { Piece } from '../query/words';
import { plainNotes } from '../page/notes';
import { excerpt, marked } from '../query/words';
import type { DateCount } from '../recurrence/walk';
import { countDates } from '../recurrence/walk';
import { dayOfWall } from '../time/civil';
import type { DayNumber, EpochMs } from '../time/units';
import { wallFromInstant } from '../time/zones';

/** Where and when results are looked for. */
export interface Setting {
  index: EventIndex;
  zone: string;
  /** Epoch ms */
  now: EpochMs;
  /** The days that are asked for (day numbers, both included): a series is shown by its date on them. */
  days?: { from: DayNumber | null; to: DayNumber | null };
  /** Whether a date is one of those that are asked for; a series is shown by such a date. */
  isMeant?(date: Occurrence): boolean;
}

/** An event that was found, with the dates of it that count. */
export interface PlacedEvent {
  event: CalendarEvent;
  /** The date that runs or comes next, and the last one that is over. */
  next: Occurrence | null;
  last: Occurrence | null;
}

/** An event that was found, as it is listed. */
export interface FoundLine extends Omit<PlacedEvent, 'event'> {
  eventId: string;
  calendarId: string;
  isSeries: boolean;
  /** The rule that it repeats by. */
  rule: string | undefined;
  /** How many dates it has; null for a single event. */
  dates: DateCount | null;
  title: Piece[];
  place: Piece[];
  /** Another place where the words stand. */
  where: { field: TextField; pieces: Piece[] } | null;
}

/** Days looked through for the date before and after now: near ones first. */
const STEPS = [2, 30, 400, 4_000, 40_000];
/** So many days are looked through for a date on days that were asked for. */
const LONGEST = 400;

/** The dates of a series within some days that are asked for. */
const datesMeant = (event: CalendarEvent, window: Window, { index, isMeant }: Setting) => {
  const dates = index.datesOf(event.id, window);
  return isMeant ? dates.filter(isMeant) : dates;
};

const isOver = (o: Occurrence, { now }: Setting) => o.endMs <= now;

function placedSingle(event: CalendarEvent, setting: Setting): PlacedEvent {
  const { from, to } = extentOf(placed(event));
  const window = { fromDay: from, toDay: to, zone: setting.zone };
  const [only = null] = setting.index.datesOf(event.id, window);
  const isPast = only !== null && isOver(only, setting);
  return { event, next: isPast ? null : only, last: isPast ? only : null };
}

/** The date of a series on the days that are asked for: the first that is not over, or else the first. */
function placedOn(
  event: CalendarEvent,
  extent: { from: DayNumber; to: DayNumber },
  setting: Setting,
): PlacedEvent | null {
  const { zone, days } = setting;
  if (!days) return null;
  const fromDay = Math.max(days.from ?? -Infinity, extent.from);
  const toDay = Math.min(days.to === null ? Infinity : days.to + 1, extent.to);
  if (!(fromDay < toDay) || !Number.isFinite(toDay - fromDay)) return null;
  const window = { fromDay, toDay: Math.min(toDay, fromDay + LONGEST), zone };
  const dates = datesMeant(event, window, setting);
  const next = dates.find((o) => !isOver(o, setting)) ?? null;
  const last = dates.find((o) => isOver(o, setting)) ?? null;
  return (next ?? last) ? { event, next, last: next ? null : last } : null;
}

/** The first date of an event that is not over, and the last one that is. */
function placedAround(event: CalendarEvent, setting: Setting): PlacedEvent {
  const series = compileSeries(event);
  if (!series) return placedSingle(event, setting);
  const { zone, now } = setting;
  const today = dayOfWall(wallFromInstant(now, zone));
  const extent = extentOfSeries(series);
  const asked = placedOn(event, extent, setting);
  if (asked) return asked;
  const within = (from: number, to: number) => {
    const [fromDay, toDay] = [Math.max(from, extent.from), Math.min(to, extent.to)];
    return fromDay < toDay ? datesMeant(event, { fromDay, toDay, zone }, setting) : [];
  };
  let next: Occurrence | null = null;
  let last: Occurrence | null = null;
  for (const [i, days] of STEPS.entries()) {
    const before = i === 0 ? 0 : STEPS[i - 1]!;
    // A long date that runs began before today.
    next ??= within(today + before - 1, today + days).find((o) => !isOver(o, setting)) ?? null;
    last ??= within(today - days, today - before + 2).findLast((o) => isOver(o, setting)) ?? null;
    const isAllSeen = today + days >= extent.to && today - days <= extent.from;
    if ((next && last) || isAllSeen) break;
  }
  return { event, next, last };
}

/** Some of a list, and how many there are. */
interface Some {
  lines: PlacedEvent[];
  total: number;
}

/** Events that were found: what runs or comes, the next first, and what is over, the latest first. */
export function sortedLines(
  events: readonly CalendarEvent[],
  setting: Setting,
  most: number,
): { coming: Some; over: Some } {
  const all = events.map((event) => placedAround(event, setting));
  const coming = all.filter(({ next }) => next).sort((a, b) => a.next!.startMs - b.next!.startMs);
  const over = all
    .filter(({ next, last }) => !next && last)
    .sort((a, b) => b.last!.startMs - a.last!.startMs);
  return {
    coming: { lines: coming.slice(0, most), total: coming.length },
    over: { lines: over.slice(0, most), total: over.length },
  };
}

/** Texts besides title and place in which words may stand, in the order in which one is shown. */
function textsBeside(event: CalendarEvent): [TextField, string][] {
  const { notes, link, attendees, organizer, attachments, agenda } = event;
  const people = organizer ? [organizer, ...attendees] : attendees;
  return [
    ['notes', plainNotes(notes)],
    ['people', people.map(({ name, address }) => name || address).join(', ')],
    ['agenda', agenda.map(({ text }) => text).join(' · ')],
    ['file', attachments.map(({ name }) => name).join(', ')],
    ['link', link],
  ];
}

/** An event that was found, with the words marked in it. */
export function lineOf({ event, next, last }: PlacedEvent, words: readonly string[]): FoundLine {
  const shown = next ?? last;
  const title = marked(shown?.title ?? event.title, words);
  const place = marked(shown?.place ?? event.place, words);
  const found = textsBeside(event).flatMap(([field, text]) => {
    const pieces = words.length ? excerpt(text, words) : null;
    return pieces ? [{ field, pieces }] : [];
  });
  return {
    eventId: event.id,
    calendarId: event.calendarId,
    isSeries: isSeries(event),
    rule: event.rule,
    dates: isSeries(event) ? countDates(seriesOf(event), -Infinity) : null,
    next,
    last,
    title,
    place,
    where: found[0] ?? null,
  };
}
