import { EventIndex } from '../agenda/eventIndex';
import type { Occurrence } from '../agenda/occurrence';
import { dateAsEvent } from '../editing/series/dates';
import type { CalendarEvent } from '../model/event';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';

type Reminder = CalendarEvent['reminders'][number];

/** A reminder with the moment at which it is due. */
export interface DueReminder {
  /** The occurrence's id, with `#` and which of its reminders. It stays the same while that is so. */
  id: string;
  at: EpochMs;
  occurrence: Occurrence;
}

const MINUTES_A_DAY = 24 * 60;
/** A day to either side: whole days begin at other instants in other zones, and clocks change. */
const SLACK = DAY;

const nameOf = (occurrence: Occurrence, { from, minutes }: Reminder) =>
  `${occurrence.id}#${from}${minutes}`;

/** The id of the occurrence that a reminder's id names. */
export const occurrenceIdOf = (id: string) => id.slice(0, id.lastIndexOf('#'));

/** The reminders of one date of an event: what was changed about it counts. */
export function remindersOfDate(event: CalendarEvent, dateKey: string | null): readonly Reminder[] {
  // Of most series nothing was changed, and there may be many dates.
  if (dateKey === null || Object.keys(event.changedDates).length === 0) return event.reminders;
  return dateAsEvent(event, dateKey).reminders;
}

/**
 * When a reminder is due, epoch ms. Whole days before or after follow the clock of `zone`, the rest
 * passes exactly; of a whole-day event all of it follows the clock, from the midnight it begins at.
 */
function dueAt(occurrence: Occurrence, reminder: Reminder, zone: string): EpochMs {
  const instant = reminder.from === 'start' ? occurrence.startMs : occurrence.endMs;
  if (occurrence.wholeDay)
    return instantFromWall(wallFromInstant(instant, zone) + reminder.minutes * MINUTE, zone);
  const days = Math.trunc(reminder.minutes / MINUTES_A_DAY);
  const rest = (reminder.minutes - days * MINUTES_A_DAY) * MINUTE;
  if (days === 0) return instant + rest;
  return instantFromWall(wallFromInstant(instant, zone) + days * DAY, zone) + rest;
}

/** The reminders of a date with the moments at which they are due. */
export function remindersDue(
  event: CalendarEvent,
  occurrence: Occurrence,
  zone: string,
): DueReminder[] {
  return remindersOfDate(event, occurrence.dateKey).map((reminder) => ({
    id: nameOf(occurrence, reminder),
    at: dueAt(occurrence, reminder, zone),
    occurrence,
  }));
}

const allReminders = (event: CalendarEvent): Reminder[] => [
  ...event.reminders,
  ...Object.values(event.changedDates).flatMap(({ reminders }) => reminders ?? []),
];

/** The events that have reminders: what comes due between two moments costs little, however many others there are. */
export class Schedule {
  private readonly index = new EventIndex();
  private readonly events = new Map<string, CalendarEvent>();
  /** How far before and after an event its reminders may lie, in ms: the most of all that were ever here. */
  private before = 0;
  private after = 0;

  /** Adds an event, or replaces the one with its id; without reminders, or removed, it is taken out. */
  put(event: CalendarEvent): void {
    const reminders = event.removedAt === undefined ? allReminders(event) : [];
    if (!reminders.length) return this.remove(event.id);
    for (const { minutes } of reminders) {
      this.before = Math.max(this.before, -minutes * MINUTE);
      this.after = Math.max(this.after, minutes * MINUTE);
    }
    this.events.set(event.id, event);
    this.index.put(event);
  }

  remove(id: string): void {
    this.events.delete(id);
    this.index.remove(id);
  }

  /** Reminders that are due later than `after` and not later than `until`, in that order. */
  between(
    after: EpochMs,
    until: EpochMs,
    { zone, calendarIds }: { zone: string; calendarIds: ReadonlySet<string> },
  ): DueReminder[] {
    if (!this.events.size || until <= after) return [];
    const fromDay = dayOfWall(wallFromInstant(after - this.after - SLACK, zone));
    const toDay = dayOfWall(wallFromInstant(until + this.before + SLACK, zone)) + 1;
    const { occurrences } = this.index.query({ fromDay, toDay, zone }, calendarIds);
    return occurrences
      .flatMap((o) => remindersDue(this.events.get(o.eventId)!, o, zone))
      .filter(({ at }) => at > after && at <= until)
      .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  }
}
