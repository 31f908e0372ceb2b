import { casual, GB } from 'chrono-node/en';
import { dayOfParts, localDate } from '../jot/when';
import type { Weekday } from '../time/civil';
import { civilDate, DAY, officeWeekStart, parseDate } from '../time/civil';

const WEEK = /^(?:week|wk|w)\s*(\d{1,2})(?:\s*(?:of|,|\/)?\s*(\d{4}))?$/i;
const WEEKS_A_YEAR = 53;

/**
 * The day (day number) that typed words mean: "12 march", "week 32", "in 3 weeks", "2026-12-01".
 * `today` is a day number; slashed dates have the month first where `isMonthFirst`. Null when they
 * name none.
 */
export function typedDay(
  text: string,
  {
    today,
    firstWeekday,
    isMonthFirst,
  }: { today: number; firstWeekday: Weekday; isMonthFirst: boolean },
): number | null {
  const words = text.trim();
  const week = WEEK.exec(words);
  if (week) {
    const nth = Number(week[1]);
    const year = Number(week[2] ?? civilDate(today).year);
    return nth >= 1 && nth <= WEEKS_A_YEAR ? officeWeekStart(year, nth, firstWeekday) : null;
  }
  if (/^\d{4}-\d{2}-\d{2}$/.test(words)) {
    try {
      return parseDate(words);
    } catch {
      return null; // A date that does not exist, such as 30 February.
    }
  }
  const [found] = (isMonthFirst ? casual : GB).parse(words, localDate(today * DAY));
  return found ? dayOfParts(found.start) : null;
}
