import { dayIn } from '../jot/dayIn';
import type { Weekday } from '../time/civil';
import { civilDate, dayNumber, daysInMonth, officeWeekStart } from '../time/civil';
import type { DayNumber } from '../time/units';

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
  }: { today: DayNumber; firstWeekday: Weekday; isMonthFirst: boolean },
): number | null {
  const words = text.trim();
  const week = WEEK.exec(words);
  if (week) {
    const nth = Number(week[1]);
    const year = Number(week[2] ?? civilDate(today).year);
    return nth >= 1 && nth <= WEEKS_A_YEAR ? officeWeekStart(year, nth, firstWeekday) : null;
  }
  const day = dayIn(words, { today, isMonthFirst });
  if (day === null || !isWithoutYear(words)) return day;
  const { year, month, day: ofMonth } = civilDate(day);
  const before = dayNumber(year - 1, month, Math.min(ofMonth, daysInMonth(year - 1, month)));
  return today - before < day - today ? before : day;
}

/** Whether words name a day of the month and no year: of two that are as good, the nearer is gone to. */
const isWithoutYear = (words: string) =>
  !/\d{4}/.test(words) && /^\d{1,2}\D|^\p{L}{3,9}\.?\s+\d{1,2}(?:st|nd|rd|th)?$/iu.test(words);
