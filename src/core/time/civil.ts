/**
 * The proleptic Gregorian calendar in integers.
 *
 * Two units run through the whole core:
 * - **day number**: whole days since 1970-01-01 (a plain date, no zone);
 * - **wall ms**: milliseconds since 1970-01-01T00:00 on a wall clock, as if that clock never
 *   changed. It names a plain date and time, not an instant; `zones.ts` turns one into the other.
 */

import type { DayNumber, MinuteOfDay, WallMs } from './units';

export const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;
export const DAYS_A_WEEK = 7;

/** Weekdays as this project counts them: 0 is Monday, 6 is Sunday (ISO 8601 order). */
export type Weekday = 0 | 1 | 2 | 3 | 4 | 5 | 6;

export interface CivilDate {
  year: number;
  /** 1 to 12 */
  month: number;
  /** 1 to 31 */
  day: number;
}

/** Day number of a date. `month` may lie outside 1–12 and is carried into the year. */
export function dayNumber(year: number, month: number, day: number): DayNumber {
  const carried = year + Math.floor((month - 1) / 12);
  const m = ((((month - 1) % 12) + 12) % 12) + 1;
  const y = m <= 2 ? carried - 1 : carried;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (m + (m > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra =
    yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146_097 + dayOfEra - 719_468;
}

/** The date of a day number. */
export function civilDate(day: DayNumber): CivilDate {
  const z = day + 719_468;
  const era = Math.floor(z / 146_097);
  const dayOfEra = z - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear =
    dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const mp = Math.floor((5 * dayOfYear + 2) / 153);
  const month = mp < 10 ? mp + 3 : mp - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * mp + 2) / 5) + 1,
  };
}

export function isLeapYear(year: number): boolean {
  return (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
}

const MONTH_LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Number of days in a month (1–12) of a year. */
export function daysInMonth(year: number, month: number): number {
  return month === 2 && isLeapYear(year) ? 29 : MONTH_LENGTHS[month - 1]!;
}

/** Weekday of a day number, 0 = Monday. */
export function weekdayOf(day: DayNumber): Weekday {
  return ((((day + 3) % 7) + 7) % 7) as Weekday;
}

/** The day number on which the week that holds `day` begins. */
export function startOfWeek(day: DayNumber, firstWeekday: Weekday = 0): DayNumber {
  return day - ((weekdayOf(day) - firstWeekday + 7) % 7);
}

/** Day number of the first day of week 1 of a year: the week that holds at least four of its days. */
export function firstWeekStart(year: number, firstWeekday: Weekday = 0): DayNumber {
  return startOfWeek(dayNumber(year, 1, 4), firstWeekday);
}

/** Week number of a day with its week-year (ISO 8601 when the week starts on Monday). */
export function weekNumber(
  day: DayNumber,
  firstWeekday: Weekday = 0,
): { year: number; week: number } {
  const start = startOfWeek(day, firstWeekday);
  // The fourth day of a week decides which year the week belongs to.
  const year = civilDate(start + 3).year;
  return { year, week: (start - firstWeekStart(year, firstWeekday)) / 7 + 1 };
}

const THURSDAY = 3;

/**
 * The number that offices give to the week that holds a day, whatever day weeks begin on: that of its
 * Thursday (ISO 8601), so that weeks from Sunday, Saturday and Monday bear the same number.
 */
export function officeWeek(day: DayNumber, firstWeekday: Weekday): { year: number; week: number } {
  const start = startOfWeek(day, firstWeekday);
  return weekNumber(start + ((THURSDAY - firstWeekday + 7) % 7));
}

/** The first day of the nth week of a year, as offices number weeks (see `officeWeek`). */
export function officeWeekStart(year: number, nth: number, firstWeekday: Weekday): DayNumber {
  return startOfWeek(firstWeekStart(year) + (nth - 1) * 7 + THURSDAY, firstWeekday);
}

/** The day number part of a wall time. */
export function dayOfWall(wall: WallMs): DayNumber {
  return Math.floor(wall / DAY);
}

/** Minutes after midnight of a wall time (fractions kept). */
export function minuteOfDay(wall: WallMs): MinuteOfDay {
  return (wall - dayOfWall(wall) * DAY) / MINUTE;
}

const DATE_PATTERN = /^(\d{4})-(\d{2})-(\d{2})$/;
const LOCAL_PATTERN = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})(?::(\d{2}))?$/;

/**
 * Day number of `YYYY-MM-DD`.
 * @throws RangeError when the text is not a date that exists.
 */
export function parseDate(text: string): DayNumber {
  const m = DATE_PATTERN.exec(text);
  if (!m) throw new RangeError(`Not a date: ${text}`);
  return checkedDay(Number(m[1]), Number(m[2]), Number(m[3]), text);
}

function checkedDay(year: number, month: number, day: number, text: string): DayNumber {
  if (month < 1 || month > 12 || day < 1 || day > daysInMonth(year, month)) {
    throw new RangeError(`No such date: ${text}`);
  }
  return dayNumber(year, month, day);
}

/** The digits of a text from one place to before another as a number; -1 when one of them is none. */
function digitsAt(text: string, from: number, to: number): number {
  let value = 0;
  for (let i = from; i < to; i++) {
    const digit = text.charCodeAt(i) - 48;
    if (digit < 0 || digit > 9) return -1;
    value = value * 10 + digit;
  }
  return value;
}

/** `YYYY-MM-DDTHH:mm:ss` in full, by which stores and files are full: read many times as fast as by pattern. Null for other forms. */
function plainLocal(text: string): number | null {
  const isPlain =
    text.length === 19 &&
    text[4] === '-' &&
    text[7] === '-' &&
    text[10] === 'T' &&
    text[13] === ':' &&
    text[16] === ':';
  if (!isPlain) return null;
  const year = digitsAt(text, 0, 4);
  const month = digitsAt(text, 5, 7);
  const day = digitsAt(text, 8, 10);
  const hour = digitsAt(text, 11, 13);
  const minute = digitsAt(text, 14, 16);
  const second = digitsAt(text, 17, 19);
  if (Math.min(year, month, day, hour, minute, second) < 0) return null;
  // What is out of bounds goes the long way, which says so.
  if (hour > 23 || minute > 59 || second > 59) return null;
  return checkedDay(year, month, day, text) * DAY + hour * HOUR + minute * MINUTE + second * 1000;
}

/**
 * Wall ms of `YYYY-MM-DDTHH:mm[:ss]`; a date alone gives its midnight.
 * @throws RangeError when the text is not a date and time that exist. A 60th second counts as the 59th (RFC 5545 §3.3.12).
 */
export function parseLocal(text: string): WallMs {
  const plain = plainLocal(text);
  if (plain !== null) return plain;
  const m = LOCAL_PATTERN.exec(text);
  if (!m) return parseDate(text) * DAY;
  const hour = Number(m[4]);
  const minute = Number(m[5]);
  const second = Math.min(Number(m[6] ?? 0), 59);
  if (hour > 23 || minute > 59 || Number(m[6] ?? 0) > 60)
    throw new RangeError(`No such time: ${text}`);
  return (
    checkedDay(Number(m[1]), Number(m[2]), Number(m[3]), text) * DAY +
    hour * HOUR +
    minute * MINUTE +
    second * 1000
  );
}

const pad = (value: number, width = 2) => String(value).padStart(width, '0');

/** `YYYY-MM-DD` of a day number. */
export function formatDate(day: DayNumber): string {
  const { year, month, day: d } = civilDate(day);
  return `${pad(year, 4)}-${pad(month)}-${pad(d)}`;
}

/** `YYYY-MM-DDTHH:mm:ss` of a wall time. */
export function formatLocal(wall: WallMs): string {
  const day = dayOfWall(wall);
  const seconds = Math.floor((wall - day * DAY) / 1000);
  return `${formatDate(day)}T${pad(Math.floor(seconds / 3600))}:${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`;
}
