import type { NamedPeriod, PeriodRun, ViewSpan } from '../model/view';
import type { Weekday } from '../time/civil';
import {
  civilDate,
  dayNumber,
  daysInMonth,
  parseDate,
  startOfWeek,
  weekdayOf,
} from '../time/civil';
import type { DayNumber } from '../time/units';
import { daysInYear, runPeriodAt } from './fiscal';

/** What decides where spans begin. */
export interface SpanSetting {
  firstWeekday: Weekday;
  /** Weekdays that are worked on. */
  workdays: readonly Weekday[];
  periods: readonly NamedPeriod[];
  periodRuns: readonly PeriodRun[];
}

/** A stretch of days as day numbers, the end excluded, and those of them that are shown. */
export interface DayRange {
  from: number;
  to: number;
  days: readonly number[];
}

/** Where the sheet stands: which span, around which day (day number). */
export interface Place {
  span: ViewSpan;
  day: DayNumber;
}

const WEEK = 7;

function allDays(from: number, count: number): DayRange {
  return { from, to: from + count, days: Array.from({ length: count }, (_, i) => from + i) };
}

function workweekOf(day: DayNumber, { firstWeekday, workdays }: SpanSetting): DayRange {
  const week = allDays(startOfWeek(day, firstWeekday), WEEK);
  const days = week.days.filter((each) => workdays.includes(weekdayOf(each)));
  if (!days.length) return week;
  return { from: days[0]!, to: days.at(-1)! + 1, days };
}

function periodOf(id: string, day: DayNumber, { periods, periodRuns }: SpanSetting): DayRange {
  const named = periods.find((period) => period.id === id);
  if (named) {
    const from = parseDate(named.from);
    return allDays(from, parseDate(named.to) + 1 - from);
  }
  const run = periodRuns.find((candidate) => candidate.id === id);
  if (!run) return allDays(day, 1);
  const { from, to } = runPeriodAt(run, day);
  return allDays(from, to - from);
}

/** The days that a span around a day holds. Of a period that is gone, only the day is left. */
export function rangeOf({ span, day }: Place, setting: SpanSetting): DayRange {
  const { year, month } = civilDate(day);
  const week = startOfWeek(day, setting.firstWeekday);
  switch (span.kind) {
    case 'day':
      return allDays(day, 1);
    case 'days':
      return allDays(day, span.count);
    case 'workweek':
      return workweekOf(day, setting);
    case 'week':
      return allDays(week, WEEK);
    case 'weeks':
      return allDays(week, span.count * WEEK);
    case 'month':
      return allDays(dayNumber(year, month, 1), daysInMonth(year, month));
    case 'year':
      return allDays(dayNumber(year, 1, 1), daysInYear(year));
    case 'period':
      return periodOf(span.id, day, setting);
  }
}

/** From this many days on a span can do without its weekends; a shorter one shows the days that it names. */
const WEEKENDLESS = WEEK;
const SATURDAY = 5;

/** The range without its Saturdays and Sundays, where it is long enough to spare them. */
export function withoutWeekends(range: DayRange): DayRange {
  if (range.days.length < WEEKENDLESS) return range;
  return { ...range, days: range.days.filter((day) => weekdayOf(day) < SATURDAY) };
}

/** Whole weeks around a range. */
export function wholeWeeks({ from, to }: DayRange, firstWeekday: Weekday): DayRange {
  const first = startOfWeek(from, firstWeekday);
  return allDays(first, startOfWeek(to - 1, firstWeekday) + WEEK - first);
}

function shiftedMonth(day: DayNumber, months: number): number {
  const date = civilDate(day);
  const index = date.year * 12 + date.month - 1 + months;
  const year = Math.floor(index / 12);
  const month = index - year * 12 + 1;
  return dayNumber(year, month, Math.min(date.day, daysInMonth(year, month)));
}

/** Named periods follow each other by their first days. */
function periodBeside(id: string, direction: -1 | 1, periods: readonly NamedPeriod[]) {
  const ordered = [...periods].sort((a, b) => (a.from < b.from ? -1 : 1));
  return ordered[ordered.findIndex((period) => period.id === id) + direction];
}

/** One span on or back. Null where there is none: after the last named period, and before the first. */
export function turned(place: Place, direction: -1 | 1, setting: SpanSetting): Place | null {
  const { span, day } = place;
  const by = (days: number) => ({ span, day: day + direction * days });
  switch (span.kind) {
    case 'day':
      return by(1);
    case 'days':
      return by(span.count);
    case 'workweek':
    case 'week':
      return by(WEEK);
    case 'weeks':
      return by(span.count * WEEK);
    case 'month':
      return { span, day: shiftedMonth(day, direction) };
    case 'year':
      return { span, day: shiftedMonth(day, 12 * direction) };
    case 'period': {
      if (setting.periods.some(({ id }) => id === span.id)) {
        const beside = periodBeside(span.id, direction, setting.periods);
        return beside
          ? { span: { kind: 'period', id: beside.id }, day: parseDate(beside.from) }
          : null;
      }
      const { from, to } = rangeOf(place, setting);
      return { span, day: direction > 0 ? to : from - 1 };
    }
  }
}
