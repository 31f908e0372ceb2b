import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { MinuteOfDay, WallMs } from '../time/units';
import type { DayMeant, Meaning, PartOfDay, TimeMeant } from './meanings';
import type { JotContext } from './rule';
import type { Said } from './said';

/** When something lies by what a line says of days, times, parts of the day and lengths. */

const NOON = 12 * 60;
const EVENING = 18 * 60;

/** When a part of the day begins that is named without a time. */
function minuteOfPart(part: PartOfDay, { workHours }: JotContext): number {
  switch (part) {
    case 'morning':
      return workHours.from;
    case 'noon':
      return NOON;
    case 'afternoon':
      return NOON + 2 * 60;
    case 'end':
      return workHours.to;
    case 'evening':
      return Math.max(EVENING, workHours.to);
    case 'night':
      return EVENING + 2 * 60;
    case 'midnight':
      return 24 * 60;
  }
}

/** A time with the part of the day that was said besides: "tonight 7" is 19:00. */
function inPart(time: TimeMeant, part: PartOfDay): TimeMeant {
  const isLate = part === 'afternoon' || part === 'evening' || part === 'night';
  const shift =
    isLate && time.from < NOON
      ? NOON
      : part === 'morning' && time.isOpen && time.from >= NOON + 60
        ? -NOON
        : 0;
  return { ...time, from: time.from + shift, to: time.to === null ? null : time.to + shift };
}

export interface When {
  day: DayMeant;
  /** Null for the whole day. */
  time: TimeMeant | null;
  /** Wall ms, where both ends were said with their days. */
  end: WallMs | null;
}

/** "Thu 22:00 to Fri 2:00" is a night, and no day and a half. */
function endOfStretch({ fromDay, from, toDay, to }: Meaning & { kind: 'stretch' }): MinuteOfDay {
  const isNight = toDay === fromDay.day + 1 && from.from >= EVENING;
  return isNight && to.isOpen && to.from >= NOON ? to.from - NOON : to.from;
}

export function whenSaid(said: Said, context: JotContext): When {
  const { stretch, soon, time, partOfDay, day } = said;
  if (stretch?.isList) {
    const also = [{ day: stretch.toDay, minute: stretch.to.from }];
    return { day: { ...stretch.fromDay, also }, time: stretch.from, end: null };
  }
  if (stretch)
    return {
      day: stretch.fromDay,
      time: stretch.from,
      end: stretch.toDay * DAY + endOfStretch(stretch) * MINUTE,
    };
  if (soon) {
    const at = context.now + soon.minutes * MINUTE;
    const on = dayOfWall(at);
    const from = Math.floor((at - on * DAY) / MINUTE);
    return { day: { day: on }, time: { from, to: null, isOpen: false }, end: null };
  }
  const on = day?.day ?? partOfDay?.day ?? { day: context.day };
  if (time) {
    const { time: meant } = time;
    return { day: on, time: meant && partOfDay ? inPart(meant, partOfDay.part) : meant, end: null };
  }
  if (!partOfDay) return { day: on, time: null, end: null };
  const from = partOfDay.minute ?? minuteOfPart(partOfDay.part, context);
  return { day: on, time: { from, to: null, isOpen: true }, end: null };
}

const MOST_ONE_BY_ONE = 14;

/** Days with hours are that many dates, each at those hours: "10-11 Dec 9-17"; a list is so with any time. */
export function dayByDay(when: When, { length }: Said): When {
  const { day, time, end } = when;
  const { day: first, lastDay, isList, isWeek, isWeekdays } = day;
  const many = lastDay === undefined ? 0 : lastDay - first;
  if (!time || end !== null || many < 1 || many >= MOST_ONE_BY_ONE || isWeek || isWeekdays)
    return when;
  if (!isList && (time.to === null || length)) return when;
  const also = Array.from({ length: many }, (_, i) => ({ day: first + i + 1 }));
  return { ...when, day: { ...day, lastDay: undefined, also } };
}

/** Where an event lies. Times are wall ms; the end is exclusive. */
export interface Times {
  wholeDay: boolean;
  start: number;
  end: number;
  /** It lasts so long, since the line does not say when it ends. */
  lasts?: true;
}

/** Where an event lies by what was said; a weekday whose time is over is the next one. */
export function timesMeant({ day, time, end }: When, said: Said, context: JotContext): Times {
  const { length } = said;
  if (!time) {
    const days = length?.wholeDays ? length.minutes / (24 * 60) : 1;
    const lastDay = day.lastDay ?? day.day + days - 1;
    const start = day.day * DAY;
    // Nobody begins at midnight: an hour is asked for, see `isHourOpen` in `jot.ts`.
    if (length && !length.wholeDays)
      return lasting(start + context.workHours.from * MINUTE, length.minutes);
    return { wholeDay: true, start, end: (lastDay + 1) * DAY };
  }
  const isOver =
    day.weekday !== undefined &&
    day.day === dayOfWall(context.now) &&
    day.day * DAY + time.from * MINUTE < context.now;
  const on = isOver ? day.day + 7 : day.day + (isPast({ day, time, end }, said, context) ? 1 : 0);
  const start = on * DAY + time.from * MINUTE;
  if (end !== null) return { wholeDay: false, start, end };
  // A week with a time is its first day.
  const many = day.isWeek ? undefined : day.lastDay;
  // Several days with a time go on until the last one's work is over.
  if (many !== undefined && !length)
    return {
      wholeDay: false,
      start,
      end: many * DAY + (time.to ?? Math.max(context.workHours.to, time.from + 60)) * MINUTE,
    };
  if (time.to !== null) return { wholeDay: false, start, end: on * DAY + time.to * MINUTE };
  return lasting(start, length?.minutes ?? usualLength(said, context));
}

/** Whether a time of today is over of which nobody said that it is today: it is tomorrow's. */
function isPast({ day, time }: When, said: Said, context: JotContext): boolean {
  if (context.keepsPast) return false;
  if (said.day ?? said.soon ?? said.stretch ?? said.partOfDay?.day) return false;
  const today = dayOfWall(context.now);
  // What goes on now began earlier.
  return day.day === today && today * DAY + (time!.to ?? time!.from) * MINUTE < context.now;
}

const lasting = (start: number, minutes: number): Times => ({
  wholeDay: false,
  start,
  end: start + minutes * MINUTE,
  lasts: true,
});

function usualLength({ calendar }: Said, context: JotContext): number {
  const id = calendar?.id ?? context.defaultCalendarId;
  return context.calendars.find((one) => one.id === id)?.defaultLength ?? context.defaultLength;
}

/** When its further dates start: at their own time, or at that of the first. */
export const alsoAt = ({ also = [] }: DayMeant, { start }: Times): WallMs[] =>
  also.map(({ day, minute }) => day * DAY + (minute === undefined ? start % DAY : minute * MINUTE));
