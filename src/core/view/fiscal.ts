import type { PeriodRun } from '../model/view';
import { civilDate, dayNumber, daysInMonth, isLeapYear, parseDate } from '../time/civil';
import type { DayNumber } from '../time/units';

/** One period of a run: day numbers, the end excluded, and which of its year it is. */
export interface RunPeriod {
  from: number;
  to: number;
  /** The calendar year in which its own year begins. */
  year: number;
  /** From 1, of how many. */
  nth: number;
  of: number;
}

const MONTHS = 12;
const QUARTER = [4, 4, 5];
const WEEKS: Record<Exclude<PeriodRun['pattern'], 'months'>, readonly number[]> = {
  weeks445: [...QUARTER, ...QUARTER, ...QUARTER, ...QUARTER],
  fourWeeks: new Array<number>(13).fill(4),
};

function monthPeriodAt(start: number, day: DayNumber): RunPeriod {
  const first = civilDate(start);
  const at = civilDate(day);
  let months = (at.year - first.year) * MONTHS + at.month - first.month;
  if (at.day < first.day) months--;
  const begin = (nth: number) => {
    const month = first.month - 1 + nth;
    return dayNumber(first.year + Math.floor(month / MONTHS), modulo(month, MONTHS) + 1, first.day);
  };
  return {
    from: begin(months),
    to: begin(months + 1),
    year: first.year + Math.floor(months / MONTHS),
    nth: modulo(months, MONTHS) + 1,
    of: MONTHS,
  };
}

const modulo = (n: number, by: number) => ((n % by) + by) % by;

/** A year of weeks begins on the weekday of its first one, as near to the same date as can be. */
function weekYearStart(start: number, year: number): number {
  const { month, day } = civilDate(start);
  const date = dayNumber(year, month, Math.min(day, daysInMonth(year, month)));
  const off = modulo(start - date, 7);
  return date + (off > 3 ? off - 7 : off);
}

function weekPeriodAt(start: number, weeks: readonly number[], day: DayNumber): RunPeriod {
  let year = civilDate(day).year + 1;
  while (weekYearStart(start, year) > day) year--;
  const next = weekYearStart(start, year + 1);
  let from = weekYearStart(start, year);
  for (const [i, count] of weeks.entries()) {
    const isLast = i === weeks.length - 1;
    // A year of 53 weeks has the odd one in its last period.
    const to = isLast ? next : from + count * 7;
    if (day < to) return { from, to, year, nth: i + 1, of: weeks.length };
    from = to;
  }
  throw new RangeError(`Day ${day} lies in no period.`);
}

/** The period of a run that holds a day (day number). */
export function runPeriodAt({ pattern, start }: PeriodRun, day: DayNumber): RunPeriod {
  const first = parseDate(start);
  return pattern === 'months'
    ? monthPeriodAt(first, day)
    : weekPeriodAt(first, WEEKS[pattern], day);
}

/** The name of a run's year: one calendar year, or the two that it lies in ("2026/27"). */
export function runYearName({ start }: PeriodRun, year: number): string {
  const { month, day } = civilDate(parseDate(start));
  const isCalendarYear = month === 1 && day <= 4;
  return isCalendarYear ? String(year) : `${year}/${String((year + 1) % 100).padStart(2, '0')}`;
}

/** Days of a calendar year. */
export const daysInYear = (year: number) => (isLeapYear(year) ? 366 : 365);
