import { inCalendarZone } from '../calendars/newEvents';
import type { Calendar } from '../model/calendar';
import type { CalendarEvent } from '../model/event';
import type { Repeat } from '../recurrence/repeat';
import type { Weekday } from '../time/civil';
import { dayOfWall } from '../time/civil';
import { zoneOnDay } from '../time/sheetClock';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { EpochMs } from '../time/units';
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
  workdays: readonly Weekday[];
  /** Epoch ms */
  now: EpochMs;
}

/** A timed span on the clock of one zone, as that of another shows it. */
export const onClock = (span: Span, from: string, to: string): Span =>
  span.wholeDay || from === to
    ? span
    : {
        ...span,
        start: wallFromInstant(instantFromWall(span.start, from), to),
        end: wallFromInstant(instantFromWall(span.end, from), to),
      };

/** A new event with what its calendar gives it. */
export function draftOf({
  span,
  fields,
  calendar,
  repeat,
  reminders,
  clock,
  zone,
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
  const availability = calendar?.defaultAvailability ?? 'busy';
  const event = { ...made, availability, reminders: reminders ?? null };
  return withRepeat(event, repeat, workdays);
}
