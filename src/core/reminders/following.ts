import type { Calendar } from '../model/calendar';
import type { Availability, Reminder } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isWholeDay } from '../model/event';

/** What a calendar says of the reminders of its events. */
export type CalendarReminders = Pick<
  Calendar,
  'defaultReminders' | 'defaultWholeDayReminders' | 'remindsOf'
>;

const NONE: readonly Reminder[] = [];

/** The reminders that a calendar has for an event that has none of its own. */
export function calendarReminders(
  calendar: CalendarReminders | undefined,
  { wholeDay, availability }: { wholeDay: boolean; availability: Availability },
): readonly Reminder[] {
  if (!calendar) return NONE;
  const isMeant =
    calendar.remindsOf === 'all' || availability === 'busy' || availability === 'tentative';
  if (!isMeant) return NONE;
  return wholeDay ? calendar.defaultWholeDayReminders : calendar.defaultReminders;
}

/** The reminders that an event has: its own, or those of its calendar. */
export const remindersFor = (
  event: Pick<CalendarEvent, 'reminders' | 'start' | 'availability'>,
  calendar: CalendarReminders | undefined,
): readonly Reminder[] =>
  event.reminders ??
  calendarReminders(calendar, { wholeDay: isWholeDay(event), availability: event.availability });

/** Whether a calendar reminds otherwise of what follows it. */
export const remindsOtherwise = (before: CalendarReminders, after: CalendarReminders): boolean =>
  before.remindsOf !== after.remindsOf ||
  JSON.stringify([before.defaultReminders, before.defaultWholeDayReminders]) !==
    JSON.stringify([after.defaultReminders, after.defaultWholeDayReminders]);
