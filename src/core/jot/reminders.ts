import type { CalendarEvent } from '../model/event';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { MinuteOfDay, WallMs } from '../time/units';
import { AMOUNT, amount } from './around';
import type { ReminderMeant } from './meanings';
import type { Rule } from './rule';
import { rule } from './rule';

type Reminder = CalendarEvent['reminders'][number];

const LEAD = '(?:and\\s+)?(?:remind\\s+me|with\\s+(?:a\\s+)?reminder|reminder:?)\\s+';
const AHEAD = '(?:before(?:\\s+it\\s+(?:starts|begins))?|ahead|early|in\\s+advance)';
const ONE = '(?:an?|one)\\s+(hour|day|week)';
const EVENING = 18 * 60;
/** When one is reminded of a whole day for which no time was said. */
const USUAL_WHOLE_DAY = 9 * 60;
const WEIGHT = 16;

const DAYS: Readonly<Record<string, number>> = { day: 1, week: 7 };

function minutes(count: number, from: 'start' | 'end' = 'start') {
  const reminder: ReminderMeant = { at: 'minutes', minutes: Math.round(count), from };
  return { kind: 'reminder' as const, reminder };
}

function day(days: number, minute: MinuteOfDay | null) {
  const reminder: ReminderMeant = { at: 'day', days, minute };
  return { kind: 'reminder' as const, reminder };
}

/** Minutes of "9", "16:00", "4 pm"; null when there is no such time. */
function minuteOf(hour: string, minute: string | undefined, half: string | undefined) {
  const hours = half ? (Number(hour) % 12) + (half === 'pm' ? 12 : 0) : Number(hour);
  const all = hours * 60 + Number(minute ?? 0);
  return hours < 24 && Number(minute ?? 0) < 60 ? all : null;
}

/** "remind me 20 min before", "reminder the day before at 16:00", "no reminder". */
export const REMINDER_RULES: readonly Rule[] = [
  rule(`${LEAD}${AMOUNT}\\s+${AHEAD}`, WEIGHT, ([n, unit]) => minutes(-amount(n!, unit!))),
  rule(`${LEAD}${AMOUNT}\\s+(before|after)\\s+(?:it\\s+ends|the\\s+end)`, WEIGHT + 1, (groups) => {
    const [n, unit, side] = groups;
    return minutes((side === 'after' ? 1 : -1) * amount(n!, unit!), 'end');
  }),
  rule(`${LEAD}${ONE}\\s+${AHEAD}`, WEIGHT, ([unit]) =>
    unit === 'hour' ? minutes(-60) : day(DAYS[unit!]!, null),
  ),
  rule(`${LEAD}(?:when\\s+it\\s+(?:starts|begins)|at\\s+(?:the|its)\\s+start)`, WEIGHT, () =>
    minutes(0),
  ),
  rule(
    `${LEAD}(?:(?:on|in)\\s+)?the\\s+(day|evening|morning)\\s+before(?:\\s+at\\s+(\\d{1,2})(?::(\\d{2}))?\\s*(am|pm)?)?`,
    WEIGHT,
    ([part, hour, minute, half], { workHours }) => {
      if (hour !== undefined) {
        const at = minuteOf(hour, minute, half);
        return at === null ? null : day(1, at);
      }
      if (part === 'day') return day(1, null);
      return day(1, part === 'evening' ? EVENING : workHours.from);
    },
  ),
  rule('(?:(?:with\\s+)?no|without(?:\\s+a)?)\\s+reminders?', WEIGHT, () => ({
    kind: 'reminder',
    reminder: { at: 'never' },
  })),
];

/**
 * The reminders that were asked for, in minutes from the start or end (before is negative): none
 * for "no reminder"; null where nothing was said, so that the calendar's count.
 */
export function remindersOf(
  meant: readonly ReminderMeant[],
  { start, wholeDay }: { start: WallMs; wholeDay: boolean },
): Reminder[] | null {
  if (!meant.length) return null;
  return meant.flatMap((one): Reminder[] => {
    switch (one.at) {
      case 'never':
        return [];
      case 'minutes':
        return [{ minutes: one.minutes, from: one.from }];
      case 'day': {
        const own = wholeDay ? 0 : (start - dayOfWall(start) * DAY) / MINUTE;
        const minute = one.minute ?? (wholeDay ? USUAL_WHOLE_DAY : own);
        return [{ minutes: minute - own - one.days * 24 * 60, from: 'start' }];
      }
    }
  });
}
