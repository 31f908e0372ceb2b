import { isTravelClock, zoneOnDay } from './sheetClock';
import { cityOf } from './zoneNames';
import type { Weekday } from './civil';
import { civilDate, DAY, dayOfWall, minuteOfDay, weekdayOf } from './civil';
import type { DayNumber, WallMs } from './units';

export type HourCycle = '12' | '24';

/** How dates and times are written for a person. */
export interface Wording {
  /** BCP 47 tag, for the order of date parts. */
  locale: string;
  hourCycle: HourCycle;
  /** The clock that spans are on, and the home zone: on days on which it is another zone's, that is said. */
  clocks?: { sheet: string; home: string };
}

/** The zone in which a day is spent, where that is not home; a sheet seen as in one zone tells of none. */
export const travelZone = (day: DayNumber, wording: Pick<Wording, 'clocks'>): string | null =>
  wording.clocks && isTravelClock(wording.clocks.sheet) ? awayZone(day, wording) : null;

/** The zone whose clock counts on a day, where that is not home's; null at home. */
function awayZone(day: DayNumber, { clocks }: Pick<Wording, 'clocks'>): string | null {
  const zone = clocks ? zoneOnDay(clocks.sheet, day) : null;
  return zone === clocks?.home ? null : zone;
}

/** Whose clock the hours of a day are on, to be put behind them: " in Lisbon". Empty at home. */
export function formatAway(day: DayNumber, wording: Pick<Wording, 'clocks'>): string {
  const zone = awayZone(day, wording);
  return zone === null ? '' : ` in ${cityOf(zone)}`;
}

/** The same wording for spans on a sheet's clock, which is named on days on which it is not home's. */
export const withClocks = (wording: Wording, sheet: string, home: string): Wording => ({
  ...withoutClocks(wording),
  ...(sheet !== home && { clocks: { sheet, home } }),
});

/** The same wording for spans on clocks of their own: no zone is named. */
export const withoutClocks = ({ locale, hourCycle }: Wording): Wording => ({ locale, hourCycle });

/** Which part of a date comes first. */
export const DATE_ORDERS = ['day', 'month', 'year'] as const;
type DateOrder = (typeof DATE_ORDERS)[number];

const LOCALES: Record<DateOrder, string> = { day: 'en-GB', month: 'en-US', year: 'en-CA' };

/** English as it is written where dates have that order: "24 Nov 2026", "Nov 24, 2026", "2026-11-24" in figures. */
export const localeOf = (order: DateOrder): string => LOCALES[order];

/** Which parts of a date are written, and how. */
export type DayParts = Pick<
  Intl.DateTimeFormatOptions,
  'weekday' | 'day' | 'month' | 'year' | 'dateStyle'
>;

/** Whether the month of a date in figures stands before its day. */
export function isMonthFirst({ locale }: Pick<Wording, 'locale'>): boolean {
  const { format } = writer(locale, { day: 'numeric', month: 'numeric' });
  const parts = format.formatToParts(0);
  return parts.find(({ type }) => type === 'day' || type === 'month')?.type === 'month';
}

/** A way to write dates, with the days that it has written lately: a week says each a hundred times. */
interface Writer {
  format: Intl.DateTimeFormat;
  said: Map<number, string>;
}

/** Days whose words a writer keeps; more than a year of them is seldom in sight. */
const KEPT_DAYS = 1000;

const writers = new Map<string, Writer>();

function writer(locale: string, options: DayParts): Writer {
  const key = `${locale} ${options.weekday} ${options.day} ${options.month} ${options.year} ${options.dateStyle}`;
  let made = writers.get(key);
  if (!made) {
    // Day numbers stand for dates without a zone; UTC keeps them where they are.
    const format = new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' });
    writers.set(key, (made = { format, said: new Map() }));
  }
  return made;
}

/** A date of a day number, in the parts that `options` asks for. */
export function sayDay(
  day: DayNumber,
  { locale }: Pick<Wording, 'locale'>,
  options: DayParts,
): string {
  const { format, said } = writer(locale, options);
  let words = said.get(day);
  if (words === undefined) {
    if (said.size >= KEPT_DAYS) said.clear();
    said.set(day, (words = format.format(day * DAY)));
  }
  return words;
}

export const LONG_DAY = {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
} as const;
export const DATED_DAY = {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
} as const;
export const SHORT_DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;

/** The days from `from` to before `to`: "23 – 29 November", or "… Nov" when it is to be short, with the year when it isn't `thisYear`. */
export function sayDays(
  from: number,
  to: number,
  wording: Pick<Wording, 'locale'>,
  thisYear: number,
  isShort = false,
): string {
  const years = [civilDate(from).year, civilDate(to - 1).year];
  const withYear = years.some((year) => year !== thisYear);
  const options: DayParts = { day: 'numeric', month: 'long' };
  if (withYear) options.year = 'numeric';
  const short: DayParts = { ...options, month: 'short' };
  const sameMonth =
    !isShort && civilDate(from).month === civilDate(to - 1).month && years[0] === years[1];
  return writer(wording.locale, sameMonth ? options : short)
    .format.formatRange(from * DAY, (to - 1) * DAY)
    .replaceAll(/\s*–\s*/g, ' – ');
}

/** A minute of the day: "9:05" and "14:30", or "9:05 am" and "2:30 pm"; 1440 is midnight again. */
export function sayMinute(minute: number, hourCycle: HourCycle): string {
  const whole = Math.floor(minute) % 1440;
  const hour = Math.floor(whole / 60);
  const rest = String(whole % 60).padStart(2, '0');
  if (hourCycle === '24') return `${String(hour).padStart(2, '0')}:${rest}`;
  return `${hour % 12 || 12}:${rest} ${hour < 12 ? 'am' : 'pm'}`;
}

/** An hour on an axis: "9", or "9 am". */
export function sayHour(hour: number, hourCycle: HourCycle): string {
  return hourCycle === '24' ? String(hour % 24) : `${hour % 12 || 12}${hour % 24 < 12 ? 'a' : 'p'}`;
}

/** The span of an event in wall ms, as short as it stays clear. */
export function saySpan(
  { start, end, wholeDay }: { start: number; end: number; wholeDay: boolean },
  wording: Wording,
  dayOptions: DayParts = SHORT_DAY,
): string {
  const first = dayOfWall(start);
  const last = wholeDay ? dayOfWall(end) - 1 : dayOfWall(end);
  const day = (d: number) => sayDay(d, wording, dayOptions);
  if (wholeDay) return last > first ? `${day(first)} – ${day(last)}` : day(first);
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const nextMidnight = last === first + 1 && minuteOfDay(end) === 0;
  const away = formatAway(first, wording);
  if (last === first || nextMidnight) return `${day(first)}, ${at(start)} – ${at(end)}${away}`;
  const there = formatAway(last, wording);
  // Where the clock is another one's at the end, each is named with its own.
  const from = there === away ? '' : away;
  return `${day(first)}, ${at(start)}${from} – ${day(last)}, ${at(end)}${there}`;
}

/** A span as somebody says it who stands at `now`: with its year where that is another, and whether it is over. */
export function saySpanFrom(
  now: WallMs,
  span: { start: WallMs; end: WallMs; wholeDay: boolean },
  wording: Wording,
): string {
  const yearOf = (wall: WallMs) => civilDate(dayOfWall(wall)).year;
  const isOver = span.end <= (span.wholeDay ? dayOfWall(now) * DAY : now);
  const hasYear = isOver || yearOf(span.start) !== yearOf(now);
  const said = saySpan(span, wording, hasYear ? { ...SHORT_DAY, year: 'numeric' } : SHORT_DAY);
  return isOver ? `${said} · in the past` : said;
}

/** Minutes as people say a length: "45 min", "1 h 30 min", "2 days". */
export function sayLength(minutes: number): string {
  if (minutes >= 1440 && minutes % 1440 === 0)
    return minutes === 1440 ? '1 day' : `${minutes / 1440} days`;
  const hours = Math.floor(minutes / 60);
  const rest = Math.round(minutes % 60);
  return [hours ? `${hours} h` : '', rest || !hours ? `${rest} min` : ''].filter(Boolean).join(' ');
}

/** Minutes as hours, exact to the quarter: "31.5 h", "0.25 h"; what is no quarter is told in minutes: "1 h 10 min". */
export function sayHours(minutes: number): string {
  return minutes % 15 === 0 ? `${minutes / 60} h` : sayLength(minutes);
}

/** The same where there is little room: "31.5h", "1.17h". */
export function sayHoursTight(minutes: number): string {
  return `${Math.round((minutes / 60) * 100) / 100}h`;
}

/** Names of the weekdays from Monday on, in English as all of the app's words are. */
export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

/** "Mon" */
export const shortWeekday = (weekday: Weekday) => WEEKDAYS[weekday].slice(0, 3);

export const weekdayName = (day: DayNumber) => shortWeekday(weekdayOf(day));

const numbers = new Intl.NumberFormat('en');

/** A number with its noun: "1 event", "3 events". */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${numbers.format(n)} ${n === 1 ? one : many}`;
}

/** Words in a row: "a", "a and b", "a, b and c". */
export function joinWords(words: readonly string[]): string {
  return words.length < 2
    ? (words[0] ?? '')
    : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** A text with a capital at its beginning. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
