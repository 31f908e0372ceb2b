import type { Weekday } from '../time/civil';
import { DAY, dayNumber, daysInMonth, HOUR, MINUTE } from '../time/civil';
import type { EpochMs, WallMs } from '../time/units';
import { errorOf } from '../userError';

export type Frequency =
  'YEARLY' | 'MONTHLY' | 'WEEKLY' | 'DAILY' | 'HOURLY' | 'MINUTELY' | 'SECONDLY';

/** One BYDAY entry: a weekday (0 = Monday), with `nth` when only the nth (or nth last) counts. */
export interface RuleDay {
  weekday: Weekday;
  /** 0 = every one; 2 = the second; -1 = the last */
  nth: number;
}

/** UNTIL is a plain date, a wall time, or an instant, as its form in the text says (RFC 5545 §3.3.10). */
export type Until =
  | { kind: 'date'; day: number }
  | { kind: 'wall'; wall: WallMs }
  | { kind: 'instant'; epochMs: EpochMs };

/** A recurrence rule (RFC 5545 §3.3.10), with SKIP of RFC 7529 for the Gregorian calendar. */
export interface Rule {
  frequency: Frequency;
  interval: number;
  count?: number;
  until?: Until;
  weekStart: Weekday;
  bySecond: number[];
  byMinute: number[];
  byHour: number[];
  byDay: RuleDay[];
  byMonthDay: number[];
  byYearDay: number[];
  byWeekNo: number[];
  byMonth: number[];
  bySetPos: number[];
  skip: 'OMIT' | 'BACKWARD' | 'FORWARD';
}

/** A rule that can't be read; the message says which part, in words for the person. */
export class RuleError extends errorOf('rule') {}

const FREQUENCIES: readonly string[] = [
  'YEARLY',
  'MONTHLY',
  'WEEKLY',
  'DAILY',
  'HOURLY',
  'MINUTELY',
  'SECONDLY',
];
const DAY_CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

function numbers(part: string, value: string, low: number, high: number): number[] {
  return value.split(',').map((text) => {
    const n = Number(text);
    if (!/^[+-]?\d+$/.test(text) || Math.abs(n) < (low < 0 ? 1 : low) || Math.abs(n) > high) {
      throw new RuleError(`${part} can't be ${text}`);
    }
    if (low >= 0 && n < low) throw new RuleError(`${part} can't be ${text}`);
    return n;
  });
}

function weekday(code: string): Weekday {
  const index = DAY_CODES.indexOf(code);
  if (index < 0) throw new RuleError(`${code} is not a weekday`);
  return index as Weekday;
}

function ruleDays(value: string): RuleDay[] {
  return value.split(',').map((text) => {
    const m = /^([+-]?\d{1,2})?([A-Z]{2})$/.exec(text);
    if (!m) throw new RuleError(`BYDAY can't be ${text}`);
    const nth = m[1] ? Number(m[1]) : 0;
    if (m[1] && (nth === 0 || Math.abs(nth) > 53)) throw new RuleError(`BYDAY can't be ${text}`);
    return { weekday: weekday(m[2]!), nth };
  });
}

function positive(part: string, value: string): number {
  if (!/^\d+$/.test(value) || Number(value) < 1) throw new RuleError(`${part} can't be ${value}`);
  return Number(value);
}

/**
 * Reads UNTIL: `YYYYMMDD`, `YYYYMMDDTHHMMSS` (wall time) or the same with `Z` (UTC).
 * @throws RuleError when it is none of them.
 */
function readUntil(value: string): Until {
  const m = /^(\d{4})(\d{2})(\d{2})(?:T(\d{2})(\d{2})(\d{2})(Z)?)?$/.exec(value);
  const [year, month, day] = m ? [Number(m[1]), Number(m[2]), Number(m[3])] : [0, 0, 0];
  if (!m || month < 1 || month > 12 || day < 1 || day > daysInMonth(year, month)) {
    throw new RuleError(`UNTIL can't be ${value}`);
  }
  const number = dayNumber(year, month, day);
  if (m[4] === undefined) return { kind: 'date', day: number };
  const ms = number * DAY + Number(m[4]) * HOUR + Number(m[5]) * MINUTE + Number(m[6]) * 1000;
  return m[7] ? { kind: 'instant', epochMs: ms } : { kind: 'wall', wall: ms };
}

/** One reader a rule part (RFC 5545 §3.3.10); a part not listed here is refused. */
const READERS: Record<string, (rule: Rule, value: string) => void> = {
  INTERVAL: (rule, value) => (rule.interval = positive('INTERVAL', value)),
  COUNT: (rule, value) => (rule.count = positive('COUNT', value)),
  UNTIL: (rule, value) => (rule.until = readUntil(value)),
  WKST: (rule, value) => (rule.weekStart = weekday(value)),
  BYSECOND: (rule, value) =>
    (rule.bySecond = numbers('BYSECOND', value, 0, 60).map((second) => Math.min(second, 59))),
  BYMINUTE: (rule, value) => (rule.byMinute = numbers('BYMINUTE', value, 0, 59)),
  BYHOUR: (rule, value) => (rule.byHour = numbers('BYHOUR', value, 0, 23)),
  BYDAY: (rule, value) => (rule.byDay = ruleDays(value)),
  BYMONTHDAY: (rule, value) => (rule.byMonthDay = numbers('BYMONTHDAY', value, -1, 31)),
  BYYEARDAY: (rule, value) => (rule.byYearDay = numbers('BYYEARDAY', value, -1, 366)),
  BYWEEKNO: (rule, value) => (rule.byWeekNo = numbers('BYWEEKNO', value, -1, 53)),
  BYMONTH: (rule, value) => (rule.byMonth = numbers('BYMONTH', value, 1, 12)),
  BYSETPOS: (rule, value) => (rule.bySetPos = numbers('BYSETPOS', value, -1, 366)),
  RSCALE: (_rule, value) => {
    if (value !== 'GREGORIAN')
      throw new RuleError(`The ${value} calendar of a repeat is not supported`);
  },
  SKIP: (rule, value) => {
    if (value !== 'OMIT' && value !== 'BACKWARD' && value !== 'FORWARD')
      throw new RuleError(`SKIP can't be ${value}`);
    rule.skip = value;
  },
};

/** A rule of a frequency with nothing else said. */
export function plainRule(frequency: Frequency): Rule {
  return {
    frequency,
    interval: 1,
    weekStart: 0,
    bySecond: [],
    byMinute: [],
    byHour: [],
    byDay: [],
    byMonthDay: [],
    byYearDay: [],
    byWeekNo: [],
    byMonth: [],
    bySetPos: [],
    skip: 'OMIT',
  };
}

const read = new Map<string, Rule>();

/**
 * Reads an RRULE value, for example `FREQ=WEEKLY;BYDAY=MO,WE`. Rules are kept by their text, so
 * reading the same one again costs nothing; treat the result as read-only.
 * @throws RuleError naming the part that doesn't fit.
 */
export function parseRule(text: string): Rule {
  const kept = read.get(text);
  if (kept) return kept;
  const parts = text
    .trim()
    .toUpperCase()
    .replace(/^RRULE:/, '')
    .split(';')
    .filter(Boolean)
    .map((part): [string, string] => {
      const at = part.indexOf('=');
      if (at < 0) throw new RuleError(`“${part}” in the repeat has no value`);
      return [part.slice(0, at), part.slice(at + 1)];
    });
  const frequency = parts.find(([name]) => name === 'FREQ')?.[1];
  if (!frequency || !FREQUENCIES.includes(frequency)) {
    throw new RuleError(frequency ? `FREQ can't be ${frequency}` : 'The repeat has no FREQ');
  }
  const rule = plainRule(frequency as Frequency);
  for (const [name, value] of parts) {
    if (name === 'FREQ') continue;
    const reader = READERS[name];
    if (!reader) throw new RuleError(`“${name}” is not a part of a repeat`);
    reader(rule, value);
  }
  if (read.size > 5000) read.clear();
  read.set(text, rule);
  return rule;
}
