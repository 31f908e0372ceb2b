import type { ParsedComponents, ParsedResult } from 'chrono-node';
import { casual } from 'chrono-node/en';
import { civilDate, DAY, dayNumber, dayOfWall, HOUR, minuteOfDay, MINUTE } from '../time/civil';
import type { JotContext } from './context';
import type { JotPart } from './parts';
import { blankOut } from './words';

export interface When {
  hasTime: boolean;
  /** Wall ms */
  start: number;
  end: number | null;
  parts: JotPart[];
}

const SHORT_DAYS = 'mon|tue|tues|wed|thu|thur|thurs|fri|sat|sun';
/** "9-10:30" and "14–15" are spans of hours, for which chrono wants a word before. */
const BARE_SPAN =
  /(?<![\d:.\-/])([01]?\d|2[0-3])(:[0-5]\d)?\s*(?:-|–|to)\s*([01]?\d|2[0-3])(:[0-5]\d)?(?:\s*(am|pm))?(?![\d:.\-/]|\s*(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec|days?|weeks?|min|hours?|h\b))/iu;

/** A Date whose local fields are those of a wall time: how chrono is told what the clock shows. */
export function localDate(wall: number): Date {
  const { year, month, day } = civilDate(dayOfWall(wall));
  const minutes = minuteOfDay(wall);
  return new Date(year, month - 1, day, Math.floor(minutes / 60), Math.floor(minutes % 60));
}

/** The day number that chrono read. */
export const dayOfParts = (c: ParsedComponents) =>
  dayNumber(c.get('year')!, c.get('month')!, c.get('day')!);

const saysDay = (result: ParsedResult) =>
  result.start.isCertain('day') ||
  result.start.isCertain('weekday') ||
  result.start.isCertain('month');

/** A small bare hour means the afternoon, in an office: "at 3", not "03:00" or "3 am". */
function officeMinutes(components: ParsedComponents, written: string): number {
  const minutes = components.get('hour')! * 60 + (components.get('minute') ?? 0);
  const isBare = !components.isCertain('meridiem') && !/\b0\d/.test(written);
  return isBare && minutes > 0 && minutes < 7 * 60 ? minutes + 720 : minutes;
}

/** A duration from now, such as "in 2 hours", already names an exact time. */
const isRelative = (text: string) => /^\s*(in|after|within|now)\b/i.test(text);

interface Hours {
  from: number;
  /** Minutes of the first day; past 1440 on later ones. */
  to: number | null;
}

function hoursOf(result: ParsedResult): Hours {
  const exact = isRelative(result.text);
  const minutes = (c: ParsedComponents) =>
    exact ? c.get('hour')! * 60 + (c.get('minute') ?? 0) : officeMinutes(c, result.text);
  const from = minutes(result.start);
  if (!result.end) return { from, to: null };
  const days = Math.max(0, dayOfParts(result.end) - dayOfParts(result.start));
  let to = minutes(result.end) + (days > 1 ? days * 1440 : 0);
  if (to <= from && to + 720 > from && to + 720 <= 1440 && !/am|pm/i.test(result.text)) to += 720;
  if (to <= from) to += 1440;
  return { from, to };
}

/** Reads "9-10:30" by itself; the words in `line` are replaced by what chrono then skips. */
function readBareSpan(line: string): { hours: Hours; part: JotPart } | null {
  const match = BARE_SPAN.exec(line);
  if (!match) return null;
  const [whole, h1, m1, h2, m2, meridiem] = match;
  const minutes = (hour: string, minute: string | undefined) =>
    Number(hour) * 60 + Number(minute?.slice(1) ?? 0);
  let from = minutes(h1!, m1);
  let to = minutes(h2!, m2);
  if (meridiem?.toLowerCase() === 'pm' && to < 720) to += 720;
  const isMorning = meridiem?.toLowerCase() === 'am' || /^0/.test(h1!);
  if (!isMorning && from < 7 * 60) from += 720;
  if (to <= from && to + 720 > from) to += 720;
  if (to <= from) to += 1440;
  const lead = /(?:\b(?:from|at|between)\s+)$/i.exec(line.slice(0, match.index))?.[0].length ?? 0;
  return {
    hours: { from, to },
    part: { kind: 'when', from: match.index - lead, to: match.index + whole.length },
  };
}

/** Words that chrono takes for dates but that, alone, are more often names or verbs. */
const isUnlikely = (text: string) =>
  /^(?:may|march|sun|sat|second|now|wed|mar)$/i.test(text.trim()) &&
  !new RegExp(`^(?:${SHORT_DAYS})$`, 'i').test(text.trim());

/** The day (day number) that words such as "30 April", "March" or "Friday" name, on from `day`; a month alone is its first. */
export function readDay(
  words: string,
  { now }: Pick<JotContext, 'now'>,
): { day: number; isMonth: boolean; to: number } | null {
  const [found] = casual.parse(words, localDate(now), { forwardDate: true });
  if (!found || found.index > 4 || !saysDay(found)) return null;
  const isMonth = !found.start.isCertain('day') && !found.start.isCertain('weekday');
  return { day: dayOfParts(found.start), isMonth, to: found.index + found.text.length };
}

/** When a line says that something is. Without a date it is the day shown; without hours, no time. */
export function readWhen(line: string, { now, day }: JotContext): When {
  const span = readBareSpan(line);
  const rest = span ? blankOut(line, span.part) : line;
  const found = casual
    .parse(rest, localDate(now), { forwardDate: true })
    .filter((result) => !isUnlikely(result.text));
  const dated = found.find(saysDay);
  const timed = span ? undefined : found.find((result) => result.start.isCertain('hour'));
  const hours = span?.hours ?? (timed ? hoursOf(timed) : null);
  const relative = timed && isRelative(timed.text) ? timed : undefined;
  const anchor = dated ?? relative;
  const onDay = anchor ? dayOfParts(anchor.start) : day;
  const used = [...new Set([dated, timed].filter((result) => result !== undefined))];
  const parts = used.map((result): JotPart => ({
    kind: 'when',
    from: result.index,
    to: result.index + result.text.length,
  }));
  if (span) parts.push(span.part);
  if (!hours) {
    const lastDay = dated?.end ? dayOfParts(dated.end) : null;
    return {
      hasTime: false,
      start: onDay * DAY,
      end: lastDay === null ? null : lastDay * DAY,
      parts,
    };
  }
  return {
    hasTime: true,
    start: onDay * DAY + hours.from * MINUTE,
    end:
      hours.to === null
        ? null
        : onDay * DAY + Math.floor(hours.to / 60) * HOUR + (hours.to % 60) * MINUTE,
    parts,
  };
}
