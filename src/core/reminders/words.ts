import type { CalendarEvent } from '../model/event';
import type { Wording } from '../time/words';
import { joinWords, sayLength, sayMinute } from '../time/words';

type Reminder = CalendarEvent['reminders'][number];

/** Reminders to choose from, in minutes from the start: before is negative. */
export const TIMED_REMINDERS = [
  { value: 0, label: 'At the start' },
  { value: -5, label: '5 min before' },
  { value: -10, label: '10 min' },
  { value: -15, label: '15 min' },
  { value: -30, label: '30 min' },
  { value: -60, label: '1 hour' },
  { value: -1440, label: '1 day' },
] as const;

/** The same for whole days, from the midnight in which they begin. */
export const WHOLE_DAY_REMINDERS = [
  { value: 8 * 60, label: 'That day, 8:00' },
  { value: -7 * 60, label: 'Day before, 17:00' },
  { value: -2 * 1440 + 9 * 60, label: '2 days before, 9:00' },
  { value: -7 * 1440 + 9 * 60, label: 'A week before, 9:00' },
] as const;

/** Minutes of the reminders that count from the start. */
export const minutesFromStart = (reminders: readonly Reminder[]): number[] =>
  reminders.flatMap(({ from, minutes }) => (from === 'start' ? [minutes] : []));

/** Reminders at these minutes from the start, beside those that count from the end. */
export const withMinutes = (
  reminders: readonly Reminder[],
  minutes: readonly number[],
): Reminder[] => [
  ...minutes.toSorted((a, b) => a - b).map((one): Reminder => ({ minutes: one, from: 'start' })),
  ...reminders.filter(({ from }) => from === 'end'),
];

const MINUTES_A_DAY = 24 * 60;

/** "20 min before", "15 min after the end", "the day before, 17:00". */
function sayReminder(
  { minutes, from }: Reminder,
  wholeDay: boolean,
  { hourCycle }: Pick<Wording, 'hourCycle'>,
): string {
  if (wholeDay && from === 'start') {
    const day = Math.floor(minutes / MINUTES_A_DAY);
    const at = sayMinute(minutes - day * MINUTES_A_DAY, hourCycle);
    if (day === 0) return `that day, ${at}`;
    return day === -1
      ? `the day before, ${at}`
      : `${sayLength(-day * MINUTES_A_DAY)} before, ${at}`;
  }
  if (minutes === 0) return `at the ${from}`;
  const of = from === 'end' || minutes > 0 ? ` the ${from}` : '';
  return `${sayLength(Math.abs(minutes))} ${minutes < 0 ? 'before' : 'after'}${of}`;
}

/** When somebody is reminded, in words. */
export function sayReminders(
  reminders: readonly Reminder[],
  wholeDay: boolean,
  wording: Pick<Wording, 'hourCycle'>,
): string {
  if (!reminders.length) return 'No reminder';
  return `Reminder ${joinWords(reminders.map((one) => sayReminder(one, wholeDay, wording)))}`;
}
