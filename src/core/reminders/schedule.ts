import { EventIndex } from '../agenda/eventIndex';
import type { Occurrence } from '../agenda/occurrence';
import { dateId, leaveBy } from '../agenda/occurrence';
import { dateAsEvent, laterChangeAt } from '../editing/series/dates';
import type { RelativeReminder, Reminder } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { DAY, dayOfWall, MINUTE, parseLocal } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { CalendarReminders } from './following';
import { remindersFor } from './following';

/** A reminder with the moment at which it is due. */
export interface DueReminder {
  /** The occurrence's id, with `#` and which of its reminders. It stays the same while that is so. */
  id: string;
  at: EpochMs;
  reminder: Reminder;
}

const MINUTES_A_DAY = 24 * 60;
/** A day to either side: whole days begin at other instants in other zones, and clocks change. */
const SLACK = DAY;
/** Reminders up to so long before or after their event are looked for near it, in ms; the rest apart. */
const NEAR = DAY;
/** Days in which what comes next is looked for, in steps: mostly it is soon. */
const AHEAD = [1, 7, 42, 400];

/** `later` is how many minutes after its first moment it repeats: what has the same id is due at the same moment. */
const nameOf = (occurrenceId: string, reminder: Reminder, later: number) => {
  const when = 'at' in reminder ? `at${reminder.at}` : `${reminder.from}${reminder.minutes}`;
  return `${occurrenceId}#${when}${reminder.how ?? ''}${later ? `+${later}` : ''}`;
};

/** The id of the occurrence that a reminder's id names. */
export const occurrenceIdOf = (id: string) => id.slice(0, id.lastIndexOf('#'));

/** The reminders of one date of an event: what was changed about it counts, and then its calendar's. */
export function remindersOfDate(
  event: CalendarEvent,
  dateKey: string | null,
  calendar: CalendarReminders | undefined,
): readonly Reminder[] {
  // Of most series nothing was changed, and there may be many dates.
  const isPlain =
    dateKey === null ||
    (!event.changedDates[dateKey] && !laterChangeAt(event, parseLocal(dateKey)));
  return remindersFor(isPlain ? event : dateAsEvent(event, dateKey), calendar);
}

/**
 * When a reminder is due, epoch ms. Whole days before or after follow the clock of `zone`, the rest
 * passes exactly; of a whole-day event all of it follows the clock, from the midnight it begins at.
 */
function dueAt(occurrence: Occurrence, reminder: RelativeReminder, zone: string): EpochMs {
  const { from, minutes } = reminder;
  const instant =
    from === 'end' ? occurrence.endMs : from === 'leave' ? leaveBy(occurrence) : occurrence.startMs;
  if (occurrence.wholeDay)
    return instantFromWall(wallFromInstant(instant, zone) + minutes * MINUTE, zone);
  const days = Math.trunc(minutes / MINUTES_A_DAY);
  const rest = (minutes - days * MINUTES_A_DAY) * MINUTE;
  if (days === 0) return instant + rest;
  return instantFromWall(wallFromInstant(instant, zone) + days * DAY, zone) + rest;
}

/** The moments of a reminder that is first due at one: more where it repeats, none that were acknowledged. */
function momentsOf(occurrenceId: string, reminder: Reminder, first: EpochMs): DueReminder[] {
  const { repeat, acknowledged = -Infinity } = reminder;
  return Array.from({ length: 1 + (repeat?.times ?? 0) }, (_, time) => {
    const later = time * (repeat?.every ?? 0);
    return {
      id: nameOf(occurrenceId, reminder, later),
      at: first + later * MINUTE,
      reminder,
    };
  }).filter(({ at }) => at > acknowledged);
}

/** The reminders of a date that go with it, with the moments at which they are due. */
export function remindersDue(
  reminders: readonly Reminder[],
  occurrence: Occurrence,
  zone: string,
): DueReminder[] {
  return reminders.flatMap((reminder) =>
    'at' in reminder ? [] : momentsOf(occurrence.id, reminder, dueAt(occurrence, reminder, zone)),
  );
}

/** The reminders of an event, and of dates of it, that are due at an instant of their own. */
export function fixedDue(event: CalendarEvent): DueReminder[] {
  const of = (occurrenceId: string, reminders: readonly Reminder[] | null | undefined) =>
    (reminders ?? []).flatMap((reminder) =>
      'at' in reminder ? momentsOf(occurrenceId, reminder, reminder.at) : [],
    );
  return [
    ...of(event.id, event.reminders),
    ...Object.entries(event.changedDates).flatMap(([key, { reminders }]) =>
      of(dateId(event.id, key), reminders),
    ),
  ];
}

/** How far from its event a reminder may lie, in ms. */
function reachOf(reminder: Reminder, event: CalendarEvent): { before: number; after: number } {
  if ('at' in reminder) return { before: 0, after: 0 };
  const { minutes, from, repeat } = reminder;
  const travel = from === 'leave' ? mostTravel(event) : 0;
  const last = minutes + (repeat ? repeat.times * repeat.every : 0);
  return {
    before: Math.max(0, travel - minutes) * MINUTE,
    after: Math.max(0, last) * MINUTE,
  };
}

const mostTravel = ({ travelBefore, changedDates }: CalendarEvent) =>
  Math.max(travelBefore, ...Object.values(changedDates).map((date) => date.travelBefore ?? 0));

/** Events whose reminders lie within so much of them, in ms. */
class Reach {
  readonly index = new EventIndex();
  before = 0;
  after = 0;

  put(event: CalendarEvent, { before, after }: { before: number; after: number }): void {
    this.before = Math.max(this.before, before);
    this.after = Math.max(this.after, after);
    this.index.put(event);
  }
}

interface Asked {
  zone: string;
  calendarIds: ReadonlySet<string>;
}

/**
 * The events that remind of themselves. What comes due between two moments costs little, however
 * many there are; a reminder long before its event makes only the events that have such ones be
 * looked for over a long time.
 */
export class Schedule {
  private readonly near = new Reach();
  private readonly far = new Reach();
  private readonly events = new Map<string, CalendarEvent>();
  private readonly fixed = new Map<string, DueReminder[]>();
  /** Goes on with every change, so that what was worked out before is known to be old. */
  version = 0;

  /** `calendarOf` gives a calendar as it is now: what follows it is to be put again when that changes. */
  constructor(private readonly calendarOf: (id: string) => CalendarReminders | undefined) {}

  private remindersOf(event: CalendarEvent): Reminder[] {
    const calendar = this.calendarOf(event.calendarId);
    const dates = Object.keys(event.changedDates);
    return [
      ...remindersFor(event, calendar),
      ...dates.flatMap((key) => remindersOfDate(event, key, calendar)),
    ];
  }

  /** Adds an event, or replaces the one with its id; without reminders, or removed, it is taken out. */
  put(event: CalendarEvent): void {
    this.remove(event.id);
    const reminders = event.removedAt === undefined ? this.remindersOf(event) : [];
    if (!reminders.length) return;
    this.version++;
    this.events.set(event.id, event);
    const fixed = fixedDue(event);
    if (fixed.length) this.fixed.set(event.id, fixed);
    const reaches = reminders.map((reminder) => reachOf(reminder, event));
    const before = Math.max(...reaches.map((reach) => reach.before));
    const after = Math.max(...reaches.map((reach) => reach.after));
    (before <= NEAR && after <= NEAR ? this.near : this.far).put(event, { before, after });
  }

  remove(id: string): void {
    if (!this.events.delete(id)) return;
    this.version++;
    this.fixed.delete(id);
    this.near.index.remove(id);
    this.far.index.remove(id);
  }

  /** Reminders that are due later than `after` and not later than `until`, in that order. */
  between(after: EpochMs, until: EpochMs, { zone, calendarIds }: Asked): DueReminder[] {
    if (!this.events.size || until <= after) return [];
    const found = [this.near, this.far].flatMap((reach) => {
      if (!reach.index.size) return [];
      const fromDay = dayOfWall(wallFromInstant(after - reach.after - SLACK, zone));
      const toDay = dayOfWall(wallFromInstant(until + reach.before + SLACK, zone)) + 1;
      return reach.index
        .query({ fromDay, toDay, zone }, calendarIds)
        .occurrences.flatMap((o) => remindersDue(this.ofDate(o), o, zone));
    });
    const fixed = [...this.fixed].flatMap(([eventId, dues]) =>
      calendarIds.has(this.events.get(eventId)!.calendarId) ? dues : [],
    );
    return (
      [...found, ...fixed]
        .filter(({ at }) => at > after && at <= until)
        .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1))
        // An event of a file may have the same reminder twice.
        .filter(({ id }, i, sorted) => id !== sorted[i - 1]?.id)
    );
  }

  /** When the next one is due after a moment; null when none is within a year. */
  next(after: EpochMs, asked: Asked): EpochMs | null {
    let from = after;
    for (const days of AHEAD) {
      const until = after + days * DAY;
      const [first] = this.between(from, until, asked);
      if (first) return first.at;
      from = until;
    }
    return null;
  }

  private ofDate({ eventId, dateKey }: Occurrence): readonly Reminder[] {
    const event = this.events.get(eventId)!;
    return remindersOfDate(event, dateKey, this.calendarOf(event.calendarId));
  }
}
