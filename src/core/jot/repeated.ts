import type { Repeat, RepeatEnd, RepeatPattern } from '../recurrence/repeat';
import { firstStart } from '../recurrence/repeat';
import { civilDate, DAY, dayOfWall, weekdayOf } from '../time/civil';
import type { DayNumber } from '../time/units';
import { datesWithin, lastDayWithin, without } from './bounds';
import type { DayMeant, OpenPattern } from './meanings';
import type { JotContext } from './rule';
import type { Said } from './said';
import type { Times, When } from './when';

/** How something repeats by what a line says, and its first date. */

const DAYS_A_WEEK = 7;

/** Whether dates of a repeat lie so near that days from one to another bound it, and are not each of it. */
function isWithin({ day, lastDay }: DayMeant, pattern: OpenPattern): boolean {
  if (lastDay === undefined) return false;
  switch (pattern.kind) {
    case 'daily':
    case 'workdays':
      return true;
    case 'weekly':
    case 'weeklyOnStart':
      return lastDay - day >= DAYS_A_WEEK;
    default:
      return false;
  }
}

/** A season says the first day of a repeat, and its last, unless the line says them itself. */
function inSeason(said: Said, today: DayNumber): Said {
  const { season } = said;
  if (!season) return said;
  return {
    ...said,
    day: said.day ?? { kind: 'day', day: { day: Math.max(season.from, today) } },
    ...(season.to !== null &&
      !said.end && { end: { kind: 'end', end: { kind: 'on', day: season.to } } }),
  };
}

/** Days that bound a repeat are its first day and its end: "every Monday 7 Dec - 21 Dec". */
export function bounded(all: Said, pattern: OpenPattern | null, today: DayNumber): Said {
  const said = inSeason(all, today);
  const meant = said.day?.day;
  if (!pattern || !meant || meant.isWeekdays || said.end || !isWithin(meant, pattern)) return said;
  return {
    ...said,
    day: { kind: 'day', day: { day: meant.day } },
    end: { kind: 'end', end: { kind: 'on', day: meant.lastDay! } },
  };
}

/** A pattern with what it asks of its first date filled in. */
function closed(pattern: OpenPattern, day: DayNumber): RepeatPattern {
  const { month, day: ofMonth } = civilDate(day);
  switch (pattern.kind) {
    case 'weeklyOnStart': {
      const { interval } = pattern;
      return { kind: 'weekly', interval, weekdays: [weekdayOf(day)], weekStart: 0 };
    }
    case 'monthlyOnStart':
      return { kind: 'monthDay', interval: pattern.interval, day: ofMonth };
    case 'yearlyOnStart':
      return { kind: 'yearly', interval: pattern.interval, month, day: ofMonth };
    default:
      return pattern;
  }
}

/** How it repeats, and its first date: from the first day on that its words fit. */
export function repeated(
  times: Times,
  said: Said,
  open: OpenPattern,
  context: JotContext,
): Times & { repeat: Repeat } {
  const { now, workdays } = context;
  const wanted = said.except ? without(open, said.except, workdays) : open;
  const pattern = closed(wanted, dayOfWall(times.start));
  const isOver = !times.wholeDay && times.start < now && dayOfWall(times.start) === dayOfWall(now);
  const from = isOver ? times.start + DAY : times.start;
  const isOpen = wanted.kind.endsWith('OnStart');
  const start = isOpen ? times.start : firstStart(pattern, from, workdays);
  const end = times.end + (start - times.start);
  return { ...times, start, end, repeat: { pattern, end: endOf(said, pattern, dayOfWall(start)) } };
}

function endOf({ end }: Said, pattern: RepeatPattern, firstDay: DayNumber): RepeatEnd {
  if (!end) return { kind: 'never' };
  if (end.end.kind !== 'for') return end.end;
  const { count, unit } = end.end;
  const dates = datesWithin(pattern, count, unit);
  return dates === null
    ? { kind: 'on', day: lastDayWithin(firstDay, count, unit) }
    : { kind: 'after', count: dates };
}

/** The pattern that was said, or that weekdays with a time mean: "mon-fri 9:15". */
export function patternOf(said: Said, { time }: When): OpenPattern | null {
  const weekdays = said.day?.day.isWeekdays;
  const isDaily = said.repeat?.pattern.kind === 'daily' && said.repeat.pattern.interval === 1;
  if (said.repeat && !(weekdays && isDaily)) return said.repeat.pattern;
  return weekdays && time ? { kind: 'weekly', interval: 1, weekdays, weekStart: 0 } : null;
}
