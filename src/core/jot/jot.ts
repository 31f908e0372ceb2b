import type { CalendarEvent } from '../model/event';
import type { Repeat, RepeatEnd, RepeatPattern } from '../recurrence/repeat';
import { firstStart, NO_REPEAT } from '../recurrence/repeat';
import { civilDate, DAY, dayOfWall, formatDate, MINUTE, weekdayOf } from '../time/civil';
import type { DayNumber, MinuteOfDay, WallMs } from '../time/units';
import type { DayMeant, Meaning, OpenPattern, PartOfDay, Reading, TimeMeant } from './meanings';
import { impossible } from './impossible';
import type { Extras } from './extras';
import { extrasOf } from './extras';
import { remindersOf } from './reminders';
import { otherReadings } from './otherReadings';
import { understood } from './readings';
import { datesWithin, lastDayWithin, without } from './bounds';
import type { JotContext } from './rule';
import { withoutParts } from './title';
import { unread } from './unread';

export type JotPartKind =
  | 'when'
  | 'length'
  | 'place'
  | 'calendar'
  | 'category'
  | 'guests'
  | 'link'
  | 'repeat'
  | 'reminder'
  | 'extra';

/** Words of a jotted line, by position. */
export interface JotPart {
  kind: JotPartKind;
  from: number;
  to: number;
}

/** What a jotted line was understood to mean. Times are wall ms; the end is exclusive. */
export interface Jot {
  title: string;
  wholeDay: boolean;
  start: number;
  end: number;
  /** It lasts so long, since the line does not say when it ends. */
  lasts?: true;
  /** Minutes, when the line says how long. */
  length: number | null;
  /** Whether the line names a day, or a time; without either it means the whole of the given day. */
  saysDay: boolean;
  saysTime: boolean;
  /** The zone whose clock the times are on, where the line names one. */
  zone: string | null;
  place: string;
  calendarId: string;
  categoryIds: string[];
  /** Known people whom the line is with; their names stay in the title. */
  guestIds: string[];
  /** Web address; empty for none. */
  link: string;
  repeat: Repeat;
  /** Starts (wall ms) of further dates that it names one by one. */
  alsoAt: WallMs[];
  /** Days that it says a repeat leaves out, as `YYYY-MM-DD`. */
  exceptDays: string[];
  /** The reminders that the line asks for; null where it says nothing of them. */
  reminders: CalendarEvent['reminders'];
  /** What it says of the way there, how much it matters, and whether it may be disturbed. */
  extras: Extras;
  /** Whether it is a task and no event: "task: …" says so, "due Friday" may. */
  task: 'said' | 'maybe' | null;
  /** Which words said what, in order; for showing how the line was read. */
  parts: JotPart[];
}

const PART_KINDS: Readonly<Record<Meaning['kind'], JotPartKind>> = {
  day: 'when',
  time: 'when',
  stretch: 'when',
  soon: 'when',
  partOfDay: 'when',
  zone: 'when',
  length: 'length',
  repeat: 'repeat',
  end: 'repeat',
  except: 'repeat',
  season: 'repeat',
  place: 'place',
  calendar: 'calendar',
  category: 'category',
  guests: 'guests',
  link: 'link',
  reminder: 'reminder',
  travel: 'extra',
  importance: 'extra',
  quiet: 'extra',
  availability: 'extra',
  private: 'extra',
  notes: 'extra',
  task: 'extra',
};

const NOON = 12 * 60;
const EVENING = 18 * 60;

/** What was said of each kind, of those that are said once. */
type Said = { [Kind in Meaning['kind']]?: Meaning & { kind: Kind } };

function saidBy(readings: readonly Reading[]): Said {
  const said: Record<string, Meaning> = {};
  for (const { meaning } of readings) said[meaning.kind] ??= meaning;
  return said as Said;
}

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

interface When {
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

function whenSaid(said: Said, context: JotContext): When {
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
function dayByDay(when: When, { length }: Said): When {
  const { day, time, end } = when;
  const { day: first, lastDay, isList, isWeek, isWeekdays } = day;
  const many = lastDay === undefined ? 0 : lastDay - first;
  if (!time || end !== null || many < 1 || many >= MOST_ONE_BY_ONE || isWeek || isWeekdays)
    return when;
  if (!isList && (time.to === null || length)) return when;
  const also = Array.from({ length: many }, (_, i) => ({ day: first + i + 1 }));
  return { ...when, day: { ...day, lastDay: undefined, also } };
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

type Times = Pick<Jot, 'wholeDay' | 'start' | 'end' | 'lasts'>;

/** Where an event lies by what was said; a weekday whose time is over is the next one. */
function timesMeant({ day, time, end }: When, said: Said, context: JotContext): Times {
  const { length } = said;
  if (!time) {
    const days = length?.wholeDays ? length.minutes / (24 * 60) : 1;
    const lastDay = day.lastDay ?? day.day + days - 1;
    const start = day.day * DAY;
    // Nobody begins at midnight: an hour is asked for, see `hints.ts`.
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

/** How it repeats, and its first date: from the first day on that its words fit. */
function repeated(
  times: Times,
  said: Said,
  open: OpenPattern,
  context: JotContext,
): Times & Pick<Jot, 'repeat'> {
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

/** When its further dates start: at their own time, or at that of the first. */
const alsoAt = ({ also = [] }: DayMeant, { start }: Times): WallMs[] =>
  also.map(({ day, minute }) => day * DAY + (minute === undefined ? start % DAY : minute * MINUTE));

/** The pattern that was said, or that weekdays with a time mean: "mon-fri 9:15". */
function patternOf(said: Said, { time }: When): OpenPattern | null {
  const weekdays = said.day?.day.isWeekdays;
  const isDaily = said.repeat?.pattern.kind === 'daily' && said.repeat.pattern.interval === 1;
  if (said.repeat && !(weekdays && isDaily)) return said.repeat.pattern;
  return weekdays && time ? { kind: 'weekly', interval: 1, weekdays, weekStart: 0 } : null;
}

/** Blanks, or the letter between a date and a time as devices write them. */
const BETWEEN = /^(?:\s*|T)$/i;

/** Parts of one kind with only blanks between them are one. */
function joined(line: string, parts: readonly JotPart[]): JotPart[] {
  const all: JotPart[] = [];
  for (const part of parts) {
    const last = all.at(-1);
    if (last?.kind === part.kind && BETWEEN.test(line.slice(last.to, part.from))) last.to = part.to;
    else all.push({ ...part });
  }
  return all;
}

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
function bounded(all: Said, pattern: OpenPattern | null, today: DayNumber): Said {
  const said = inSeason(all, today);
  const meant = said.day?.day;
  if (!pattern || !meant || meant.isWeekdays || said.end || !isWithin(meant, pattern)) return said;
  return {
    ...said,
    day: { kind: 'day', day: { day: meant.day } },
    end: { kind: 'end', end: { kind: 'on', day: meant.lastDay! } },
  };
}

function jotOf(
  line: string,
  readings: readonly Reading[],
  origin: readonly number[],
  context: JotContext,
): Jot {
  const all = saidBy(readings);
  const said = bounded(all, all.repeat?.pattern ?? null, dayOfWall(context.now));
  const when = dayByDay(whenSaid(said, context), said);
  const pattern = patternOf(said, when);
  const times = timesMeant(
    pattern && when.day.isWeekdays ? { ...when, day: { day: context.day } } : when,
    said,
    context,
  );
  const dated = pattern ? repeated(times, said, pattern, context) : { ...times, repeat: NO_REPEAT };
  const parts = joined(
    line,
    readings.map(({ meaning, from, to }): JotPart => ({
      kind: PART_KINDS[meaning.kind],
      from: origin[from]!,
      to: origin[to - 1]! + 1,
    })),
  );
  return {
    title: withoutParts(
      line,
      parts.filter(({ kind }) => kind !== 'guests'),
    ),
    length: said.length?.minutes ?? null,
    saysDay: Boolean(said.day ?? said.stretch ?? said.soon ?? said.partOfDay?.day),
    saysTime: Boolean(said.time ?? said.stretch ?? said.soon ?? said.partOfDay),
    zone: said.zone?.zone ?? null,
    place: said.place?.place ?? '',
    calendarId: said.calendar?.id ?? context.defaultCalendarId,
    categoryIds: readings.flatMap(({ meaning }) =>
      meaning.kind === 'category' ? [meaning.id] : [],
    ),
    guestIds: said.guests?.ids ?? [],
    link: said.link?.link ?? '',
    parts,
    reminders: remindersOf(
      readings.flatMap(({ meaning }) =>
        meaning.kind === 'reminder'
          ? [meaning.reminder, ...(meaning.also ? [meaning.also] : [])]
          : [],
      ),
      dated,
    ),
    extras: extrasOf(readings.map(({ meaning }) => meaning)),
    task: said.task ? (said.task.isSure ? 'said' : 'maybe') : null,
    alsoAt: alsoAt(when.day, dated),
    exceptDays: (said.except?.days ?? []).map(formatDate),
    ...dated,
  };
}

/** A day and a length make no hour. */
const guessesOf = ({ saysTime, length, wholeDay }: Jot): string[] =>
  length !== null && !saysTime && !wholeDay
    ? ['No time is said: it begins when your hours do.']
    : [];

/** A line as it was read. */
export interface ReadJot extends Jot {
  /** What it may well mean instead; null where it is plain. */
  other: Jot | null;
  /** Times and days in it that there are not, in sentences. */
  problems: string[];
  /** Words of the title that say when or how often, and were not understood; in sentences. */
  unread: string[];
  /** What was filled in of what it does not say, in sentences. */
  guesses: string[];
}

/**
 * Reads one line of ordinary English as an event: "Freight call Thu 14:00 for 90 min at Quay 3 in
 * Clients". Whatever says nothing of when, how long, how often, where or which calendar is the title.
 * A line without a time lasts the whole day; one that repeats begins on the first day that fits.
 */
export function readJot(line: string, context: JotContext): ReadJot {
  const { text, readings, loose } = understood(line, context);
  const other = otherReadings(text.text, readings, loose);
  const jot = jotOf(line, readings, text.origin, context);
  const impossibles = impossible(text.text, readings);
  return {
    ...jot,
    other: other && jotOf(line, other, text.origin, context),
    problems: impossibles,
    unread: impossibles.length ? [] : unread(jot.title),
    guesses: guessesOf(jot),
  };
}
