import { DAY } from '../time/civil';
import type { DayNumber } from '../time/units';
import { DAY_RULES } from './days';
import { readingsOf } from './rule';
import { textOf } from './text';

/**
 * The day (day number) that words name, as in a jotted line: "12 march", "in 3 weeks", "fri"; null
 * when they name none, or say anything else. `today` is a day number.
 */
export function dayIn(
  words: string,
  { today, isMonthFirst }: { today: DayNumber; isMonthFirst: boolean },
): number | null {
  const text = textOf(words.trim());
  const context = {
    now: today * DAY,
    day: today,
    calendars: [],
    categories: [],
    defaultCalendarId: '',
    defaultLength: 0,
    workdays: [],
    workHours: { from: 0, to: 0 },
    isMonthFirst,
    namedDays: [],
  };
  const whole = readingsOf({ ...text, heads: [0] }, DAY_RULES, context)
    .filter(({ to }) => to === text.text.length)
    .sort((a, b) => b.weight - a.weight);
  const [best] = whole;
  return best?.meaning.kind === 'day' ? best.meaning.day.day : null;
}
