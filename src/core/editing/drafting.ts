import { inCalendarZone } from '../calendars/newEvents';
import type { Calendar } from '../model/calendar';
import type { EventTime } from '../model/common';
import { wallOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isSeries } from '../model/event';
import type { Repeat } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import { dayOfWall, formatDate, formatLocal } from '../time/civil';
import { zoneOnDay } from '../time/sheetClock';
import type { EpochMs, WallMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { Span } from '../layout/drag';
import { eventOver } from './edits';
import { withRepeat } from './repeating';

interface Draft {
  span: Span;
  fields: Pick<CalendarEvent, 'id' | 'calendarId'> & Partial<CalendarEvent>;
  calendar: Calendar | undefined;
  repeat: Repeat;
  /** Reminders of its own; null for those of its calendar. */
  reminders?: CalendarEvent['reminders'] | null;
  /** The clock that the sheet goes by: a time put on it counts there on that day. */
  clock: string;
  /** The zone that the event was said to be in; null for that of the clock. */
  zone?: string | null;
  /** Dates that were named besides the first one, and days that were left out. */
  named?: NamedDates;
  workdays: readonly Weekday[];
  /** Epoch ms */
  now: EpochMs;
}

/** A timed span on the clock of one zone, as that of another shows it. */
export function onClock(span: Span, from: string, to: string): Span {
  if (span.wholeDay || from === to) return span;
  const there = (wall: WallMs) => wallFromInstant(instantFromWall(wall, from), to);
  const [start, end] = [there(span.start), there(span.end)];
  const isAsSaid = !span.lasts && end >= start;
  return { ...span, start, end: isAsSaid ? end : start + (span.end - span.start) };
}

/** A new event with what its calendar gives it. */
export function draftOf({
  span,
  fields,
  calendar,
  repeat,
  reminders,
  clock,
  zone,
  named,
  workdays,
  now,
}: Draft) {
  const said = zone && !span.wholeDay ? zone : null;
  const made = inCalendarZone(
    said
      ? eventOver(onClock(span, clock, said), fields, said, now)
      : eventOver(span, fields, zoneOnDay(clock, dayOfWall(span.start)), now),
    said ? undefined : calendar?.zone,
    repeat.pattern.kind !== 'none',
  );
  const availability = fields.availability ?? calendar?.defaultAvailability ?? 'busy';
  const event = { ...made, availability, reminders: reminders ?? null };
  const repeated = withRepeat(event, repeat, workdays);
  return named ? withNamedDates(repeated, named) : repeated;
}

/** Starts of further dates (wall ms, by the clock of `start`), and days (`YYYY-MM-DD`) that are left out. */
interface NamedDates {
  start: WallMs;
  alsoAt: readonly WallMs[];
  exceptDays: readonly string[];
}

/** An event with the dates that were named one by one (RDATE), without those that were left out (EXDATE). */
function withNamedDates(
  event: CalendarEvent,
  { start, alsoAt, exceptDays }: NamedDates,
): CalendarEvent {
  const { start: first } = event;
  const own = wallOf(first);
  const at = (wall: WallMs): EventTime =>
    first.kind === 'date'
      ? { ...first, date: formatDate(dayOfWall(wall)) }
      : { ...first, local: formatLocal(wall) };
  const ofDay = (day: string) =>
    first.kind === 'date' ? day : day + first.local.slice(day.length);
  return {
    ...event,
    extraDates: alsoAt.map((wall) => ({ start: at(own + wall - start) })),
    skippedDates: isSeries(event) ? exceptDays.map(ofDay) : [],
  };
}
