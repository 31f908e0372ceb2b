import fc from 'fast-check';
import type { EventTime } from '../model/common';
import { wallOf, zoneOf } from '../model/common';
import type { CalendarEvent, ChangedDate } from '../model/event';
import { newEvent } from '../model/event';
import type { CivilDate } from '../time/civil';
import {
  civilDate,
  DAY,
  dayNumber,
  dayOfWall,
  daysInMonth,
  formatDate,
  formatLocal,
  HOUR,
  parseDate,
  parseLocal,
  startOfWeek,
  weekdayOf,
} from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { DayNumber, WallMs } from '../time/units';

/**
 * A slow reading of repeat rules, day by day, that shares nothing with the app's own: what tests
 * compare it with. It knows FREQ from DAILY up with BYDAY, BYMONTHDAY, BYMONTH and BYSETPOS.
 */

/** Dates by day number, read once: the same few years are gone through again and again. */
const known = new Map<number, CivilDate & { length: number }>();
function dateOf(day: DayNumber): CivilDate & { length: number } {
  let date = known.get(day);
  if (!date) {
    const { year, month, day: ofMonth } = civilDate(day);
    known.set(day, (date = { year, month, day: ofMonth, length: daysInMonth(year, month) }));
  }
  return date;
}

const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

function partsOf(rule: string): Record<string, string> {
  return Object.fromEntries(rule.split(';').map((part) => part.split('=') as [string, string]));
}

/** Name and number of the period of a FREQ that holds a day. */
function periodOf(day: DayNumber, freq: string, weekStart: DayNumber): number {
  if (freq === 'DAILY') return day;
  if (freq === 'WEEKLY') return Math.round(startOfWeek(day, weekStart as 0) / 7);
  const { year, month } = dateOf(day);
  return freq === 'MONTHLY' ? year * 12 + month : year;
}

function matchesByDay(entry: string, day: DayNumber, isNthOfMonth: boolean): boolean {
  const [, nth, code] = /^(-?\d+)?(\w\w)$/.exec(entry)!;
  if (CODES.indexOf(code!) !== weekdayOf(day)) return false;
  if (!nth) return true;
  if (!isNthOfMonth) throw new Error('Not known to the naive reading.');
  const { day: ofMonth, length } = dateOf(day);
  const fromEnd = length - ofMonth;
  return Number(nth) > 0
    ? Math.ceil(ofMonth / 7) === Number(nth)
    : Math.floor(fromEnd / 7) + 1 === -Number(nth);
}

function matchesDay(parts: Record<string, string>, day: DayNumber, start: number): boolean {
  const { FREQ: freq, BYDAY: byDay, BYMONTHDAY: byMonthDay, BYMONTH: byMonth } = parts;
  const { month, day: ofMonth, length } = dateOf(day);
  const first = dateOf(start);
  if (byMonth && !byMonth.split(',').includes(String(month))) return false;
  if (byMonthDay) {
    const names = [ofMonth, ofMonth - length - 1].map(String);
    if (!byMonthDay.split(',').some((named) => names.includes(named))) return false;
  }
  const isNthOfMonth = freq === 'MONTHLY' || byMonth !== undefined;
  if (byDay && !byDay.split(',').some((entry) => matchesByDay(entry, day, isNthOfMonth)))
    return false;
  if (byDay || byMonthDay) return true;
  if (freq === 'WEEKLY') return weekdayOf(day) === weekdayOf(start);
  if (freq === 'MONTHLY') return ofMonth === first.day;
  return (
    freq === 'DAILY' || (ofMonth === first.day && (byMonth !== undefined || month === first.month))
  );
}

/** UNTIL as a test of wall times. */
function untilOf(text: string | undefined, zone: string | null): (wall: WallMs) => boolean {
  if (!text) return () => true;
  const [, y, m, d, clock] = /^(\d{4})(\d\d)(\d\d)(?:T(\d{6}))?/.exec(text)!;
  const day = dayNumber(Number(y), Number(m), Number(d));
  if (!clock) return (wall) => dayOfWall(wall) <= day;
  const limit = day * DAY + parseLocal(`1970-01-01T${clock.replace(/(..)(..)(..)/, '$1:$2:$3')}`);
  if (!text.endsWith('Z') || zone === null) return (wall) => wall <= limit;
  return (wall) => instantFromWall(wall, zone) <= limit;
}

/** The starts (wall ms) that a rule gives from its start up to before `to`, found day by day. */
export function naiveRuleStarts(
  rule: string,
  start: number,
  zone: string | null,
  to: number,
): number[] {
  const parts = partsOf(rule);
  const freq = parts['FREQ']!;
  const weekStart = parts['WKST'] ? CODES.indexOf(parts['WKST']) : 0;
  const interval = Number(parts['INTERVAL'] ?? 1);
  const startDay = dayOfWall(start);
  const zero = periodOf(startDay, freq, weekStart);
  const allows = untilOf(parts['UNTIL'], zone);
  const byPeriod = new Map<number, number[]>();
  // Whole periods, so that BYSETPOS counts in them; what lies before the start goes afterwards.
  for (let day = startDay - 366; day * DAY < to + 366 * DAY; day++) {
    const period = periodOf(day, freq, weekStart);
    if (period < zero || (period - zero) % interval !== 0) continue;
    if (!matchesDay(parts, day, startDay)) continue;
    byPeriod.set(period, [...(byPeriod.get(period) ?? []), day]);
  }
  const positions = parts['BYSETPOS']?.split(',').map(Number);
  const days = [...byPeriod.values()].flatMap((set) =>
    positions
      ? set.filter((_, i) => positions.includes(i + 1) || positions.includes(i - set.length))
      : set,
  );
  const walls = days
    .sort((a, b) => a - b)
    .map((day) => day * DAY + (start - startDay * DAY))
    .filter((wall) => wall >= start);
  const counted = parts['COUNT'] ? walls.slice(0, Number(parts['COUNT'])) : walls;
  return counted.filter((wall) => wall < to && allows(wall));
}

/** One date of an event as a person meets it. */
export interface NaiveDate {
  key: string | null;
  /** Epoch ms; wall ms where there is no zone. */
  from: number;
  to: number;
  title: string;
  reminders: number[];
  icon?: string;
  ink?: string;
}

const instantOfTime = (time: EventTime) => {
  const zone = zoneOf(time);
  return zone === null ? wallOf(time) : instantFromWall(wallOf(time), zone);
};

function seenDate(event: CalendarEvent, change: ChangedDate, span: [number, number]) {
  const [from, to] =
    change.start && change.end ? [instantOfTime(change.start), instantOfTime(change.end)] : span;
  const icon = change.icon === undefined ? event.icon : (change.icon ?? undefined);
  const ink =
    change.inkOverride === undefined ? event.inkOverride : (change.inkOverride ?? undefined);
  return {
    from,
    to,
    title: change.title ?? event.title,
    // Null is its calendar's, which is not here.
    reminders: ((change.reminders === undefined ? event : change).reminders ?? []).map((one) =>
      'at' in one ? NaN : one.minutes,
    ),
    ...(icon && { icon }),
    ...(ink && { ink }),
  };
}

/** All dates of an event up to a day, in order. THISANDFUTURE is not among what it knows. */
export function naiveDates(event: CalendarEvent, toDay: DayNumber): NaiveDate[] {
  const zone = zoneOf(event.start);
  const start = wallOf(event.start);
  const at = (wall: WallMs) => (zone === null ? wall : instantFromWall(wall, zone));
  const length = instantOfTime(event.end) - instantOfTime(event.start);
  const ruled = event.rule
    ? naiveRuleStarts(event.rule, start, zone, toDay * DAY)
    : event.extraDates.length
      ? [start]
      : [start];
  const spans = new Map(
    ruled.map((wall) => [wall, [at(wall), at(wall) + length] as [number, number]]),
  );
  for (const extra of event.extraDates) {
    const own = zoneOf(extra.start);
    const from = instantOfTime(extra.start);
    const wall = own === null || zone === null ? wallOf(extra.start) : wallFromInstant(from, zone);
    spans.set(wall, [from, extra.end ? instantOfTime(extra.end) : from + length]);
  }
  const isSingle = !event.rule && !event.extraDates.length;
  return [...spans]
    .map(([wall, span]): NaiveDate => {
      const key = event.start.kind === 'date' ? formatDate(dayOfWall(wall)) : formatLocal(wall);
      const change = isSingle ? {} : (event.changedDates[key] ?? {});
      return { key: isSingle ? null : key, ...seenDate(event, change, span) };
    })
    .filter(({ key }) => key === null || !event.skippedDates.includes(key))
    .sort((a, b) => a.from - b.from || a.to - b.to);
}

const BASE = parseDate('2026-01-05');

const ruleParts = fc.oneof(
  fc.constant('FREQ=DAILY'),
  fc.constant('FREQ=WEEKLY'),
  fc
    .subarray(CODES, { minLength: 1, maxLength: 5 })
    .map((days) => `FREQ=WEEKLY;BYDAY=${days.join(',')}`),
  fc.constantFrom('FREQ=WEEKLY;BYDAY=TU,SU;WKST=SU', 'FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR'),
  fc.integer({ min: 1, max: 31 }).map((day) => `FREQ=MONTHLY;BYMONTHDAY=${day}`),
  fc.constantFrom(
    'FREQ=MONTHLY;BYMONTHDAY=-1',
    'FREQ=MONTHLY;BYMONTHDAY=3,17',
    'FREQ=MONTHLY;BYDAY=2TU',
    'FREQ=MONTHLY;BYDAY=-1FR',
    'FREQ=MONTHLY;BYDAY=1MO,3WE',
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
    'FREQ=YEARLY;BYMONTH=3;BYMONTHDAY=15',
    'FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
    'FREQ=YEARLY',
  ),
);

/** Where a series' clocks are: a zone with a clock change, one without, none, or whole days. */
const clocks = fc.constantFrom('Europe/London', 'Asia/Tokyo', 'floating', 'days');

interface Seed {
  parts: string;
  interval: number;
  end: { kind: 'none' } | { kind: 'count'; n: number } | { kind: 'until'; n: number };
  begin: number;
  hour: number;
  length: number;
  clock: string;
}

const seeds: fc.Arbitrary<Seed> = fc.record({
  parts: ruleParts,
  interval: fc.constantFrom(1, 1, 1, 2, 3),
  end: fc.oneof(
    fc.constant({ kind: 'none' as const }),
    fc.record({ kind: fc.constant('count' as const), n: fc.integer({ min: 2, max: 7 }) }),
    fc.record({ kind: fc.constant('until' as const), n: fc.integer({ min: 2, max: 9 }) }),
  ),
  begin: fc.integer({ min: 0, max: 90 }),
  hour: fc.integer({ min: 0, max: 22 }),
  length: fc.constantFrom(30, 60, 90, 1500),
  clock: clocks,
});

const bare = (text: string) => text.replaceAll(/[-:]/g, '');

function eventOf({ parts, interval, end, begin, hour, length, clock }: Seed): CalendarEvent {
  const zone = clock.includes('/') ? clock : null;
  const ofDay = clock === 'days' ? 0 : hour * HOUR;
  const rule = interval === 1 ? parts : `${parts};INTERVAL=${interval}`;
  const from = (BASE + begin) * DAY + ofDay;
  const plain = naiveRuleStarts(parts, from, zone, from + 500 * DAY)[0]!;
  const years = rule.includes('YEARLY') ? 14 : 3;
  const starts = naiveRuleStarts(rule, plain, zone, plain + years * 366 * DAY);
  const time = (wall: WallMs): EventTime =>
    clock === 'days'
      ? { kind: 'date', date: formatDate(dayOfWall(wall)) }
      : zone
        ? { kind: 'zoned', local: formatLocal(wall), zone }
        : { kind: 'floating', local: formatLocal(wall) };
  const last = starts[Math.min(end.kind === 'until' ? end.n : 1, starts.length) - 1]!;
  const until =
    clock === 'days'
      ? bare(formatDate(dayOfWall(last)))
      : bare(formatLocal(zone ? instantFromWall(last, zone) : last)) + (zone ? 'Z' : '');
  const ending =
    end.kind === 'none' ? '' : end.kind === 'count' ? `;COUNT=${end.n}` : `;UNTIL=${until}`;
  const to = clock === 'days' ? plain + Math.ceil(length / 1440) * DAY : plain + length * 60_000;
  const endTime =
    zone === null
      ? time(to)
      : time(wallFromInstant(instantFromWall(plain, zone) + length * 60_000, zone));
  return newEvent(
    {
      id: 'round',
      calendarId: 'workshop',
      title: 'Bench round',
      start: time(plain),
      end: endTime,
      rule: rule + ending,
    },
    1,
  );
}

/** How far the dates of `anySeries` are looked at: past the end of all that end, but for yearly ones. */
export const HORIZON = BASE + 4 * 366;

/** Series of common rules with skipped, changed and added dates. */
export const anySeries: fc.Arbitrary<CalendarEvent> = fc
  .record({
    seed: seeds,
    skip: fc.option(fc.integer({ min: 0, max: 5 })),
    change: fc.option(
      fc.record({
        nth: fc.integer({ min: 0, max: 5 }),
        by: fc.option(fc.integer({ min: -30, max: 30 })),
        fields: fc.constantFrom<ChangedDate>(
          { title: 'Long round' },
          { reminders: [{ minutes: -10, from: 'start' }] },
          { icon: 'ferry', inkOverride: '#6D3F7E' },
          { title: 'Twice', reminders: [] },
        ),
      }),
    ),
    extra: fc.option(
      fc.record({
        by: fc.integer({ min: 1, max: 60 }),
        minutes: fc.option(fc.constantFrom(15, 240)),
      }),
    ),
    looks: fc.constantFrom<Partial<CalendarEvent>>(
      {},
      { icon: 'anchor', inkOverride: '#1F5A4C' },
      { reminders: [{ minutes: -15, from: 'start' }] },
    ),
  })
  .map(({ seed, skip, change, extra, looks }) => {
    const event = { ...eventOf(seed), ...looks };
    const keys = naiveDates(event, HORIZON).map(({ key }) => key!);
    const wall = wallOf(event.start);
    const times = (at: number, minutes: number) => {
      const time = (w: number): EventTime =>
        event.start.kind === 'date'
          ? { kind: 'date', date: formatDate(dayOfWall(w)) }
          : { ...event.start, local: formatLocal(w) };
      const days = Math.max(1, Math.round(minutes / 1440));
      return event.start.kind === 'date'
        ? { start: time(at), end: time(at + days * DAY) }
        : { start: time(at), end: time(at + minutes * 60_000) };
    };
    if (extra) {
      const { start, end } = times(
        wall + extra.by * DAY + (seed.clock === 'days' ? 0 : HOUR / 2),
        extra.minutes ?? 30,
      );
      event.extraDates = [extra.minutes ? { start, end } : { start }];
    }
    if (skip !== null && keys[skip] && keys.length > 2) event.skippedDates = [keys[skip]];
    if (change && keys[change.nth]) {
      const key = keys[change.nth]!;
      const moved = change.by === null ? {} : times(parseLocal(key) + change.by * HOUR, 45);
      event.changedDates = { [key]: { ...change.fields, ...moved, revision: 1 } };
    }
    return event;
  });
