import type { Reminder } from '../model/common';
import { dayOfWall, minuteOfDay } from '../time/civil';
import type { WallMs } from '../time/units';
import type { Wording } from '../time/words';
import { DATED_DAY, joinWords, sayDay, sayLength, sayMinute } from '../time/words';
import { wallFromInstant } from '../time/zones';

/** The most reminders that an event can be given. */
export const MOST_REMINDERS = 10;

const fromStart = (minutes: number): Reminder => ({ minutes, from: 'start' });

const TIMED: readonly Reminder[] = [0, -5, -10, -15, -30, -60, -1440].map(fromStart);
/** For whole days, from the midnight in which they begin. */
const WHOLE_DAY: readonly Reminder[] = [
  8 * 60,
  -7 * 60,
  -2 * 1440 + 9 * 60,
  -7 * 1440 + 9 * 60,
].map(fromStart);
const ON_LEAVING: Reminder = { minutes: 0, from: 'leave' };

/** Reminders to choose from, for a whole day, for hours, and for hours that one has to get to. */
export const usualReminders = (wholeDay: boolean, hasTravel: boolean): readonly Reminder[] =>
  wholeDay ? WHOLE_DAY : hasTravel ? [ON_LEAVING, ...TIMED] : TIMED;

/** Whether two reminders speak up at the same time. */
export const isSameTime = (a: Reminder, b: Reminder): boolean =>
  'at' in a || 'at' in b
    ? 'at' in a && 'at' in b && a.at === b.at
    : a.minutes === b.minutes && a.from === b.from;

const order = (reminder: Reminder) =>
  'at' in reminder ? Infinity : reminder.minutes + (reminder.from === 'end' ? 1e9 : 0);

/** Reminders with one more, in the order in which they speak up; one that is there twice counts once. */
export const withReminder = (reminders: readonly Reminder[], added: Reminder): Reminder[] =>
  [...reminders.filter((one) => !isSameTime(one, added) || one.how !== added.how), added].sort(
    (a, b) => order(a) - order(b),
  );

const MINUTES_A_DAY = 24 * 60;

/** How reminders are said: on which clock, and in whose words. */
export type ReminderWording = Wording & { clock: string };

/** What is reminded of: whole days or hours, and from when on (wall ms) where that is known. */
export interface Reminded {
  wholeDay: boolean;
  start?: WallMs | null;
}

/** Minutes from a midnight, as a day with a time. */
function sayDayAndTime(minutes: number, { hourCycle }: ReminderWording): string {
  const day = Math.floor(minutes / MINUTES_A_DAY);
  const at = sayMinute(minutes - day * MINUTES_A_DAY, hourCycle);
  if (day === 0) return `that day, ${at}`;
  if (day > 0) return `${sayLength(day * MINUTES_A_DAY)} after, ${at}`;
  return day === -1 ? `the day before, ${at}` : `${sayLength(-day * MINUTES_A_DAY)} before, ${at}`;
}

/** So long before, the time of the day says more than how many hours it is. */
const LONG_BEFORE = -12 * 60;

function sayWhen(
  reminder: Reminder,
  { wholeDay, start }: Reminded,
  wording: ReminderWording,
): string {
  if ('at' in reminder) {
    const wall = wallFromInstant(reminder.at, wording.clock);
    const at = sayMinute(minuteOfDay(wall), wording.hourCycle);
    return `${sayDay(dayOfWall(wall), wording, DATED_DAY)}, ${at}`;
  }
  const { minutes, from } = reminder;
  if (wholeDay && from === 'start') return sayDayAndTime(minutes, wording);
  const isWholeDays = minutes % MINUTES_A_DAY === 0;
  if (from === 'start' && minutes < LONG_BEFORE && !isWholeDays && start != null)
    return sayDayAndTime(minuteOfDay(start) + minutes, wording);
  const far = `${sayLength(Math.abs(minutes))} ${minutes < 0 ? 'before' : 'after'}`;
  if (from === 'leave') return minutes === 0 ? 'when it is time to leave' : `${far} leaving`;
  if (minutes === 0) return `at the ${from}`;
  return from === 'end' || minutes > 0 ? `${far} the ${from}` : far;
}

const WAYS = { mail: ' by mail', text: ' by text message' } as const;

/** "20 min before", "15 min after the end by mail", "the day before, 17:00". */
export function sayReminder(reminder: Reminder, of: Reminded, wording: ReminderWording): string {
  const { how, repeat } = reminder;
  const again = repeat ? `, and ${repeat.times} × again` : '';
  return `${sayWhen(reminder, of, wording)}${how ? WAYS[how] : ''}${again}`;
}

/** When somebody is reminded, in words. */
export function sayReminders(
  reminders: readonly Reminder[],
  of: Reminded,
  wording: ReminderWording,
): string {
  if (!reminders.length) return 'No reminder';
  return `Reminder ${joinWords(reminders.map((one) => sayReminder(one, of, wording)))}`;
}
