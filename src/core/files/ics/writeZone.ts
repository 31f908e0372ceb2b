import {
  civilDate,
  DAY,
  dayNumber,
  dayOfWall,
  daysInMonth,
  formatLocal,
  weekdayOf,
} from '../../time/civil';
import { offsetAt, offsetChanges } from '../../time/zones';
import type { DayNumber } from '../../time/units';

const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

/** `2026-03-29T01:00:00` → `20260329T010000` */
function compact(local: string): string {
  return local.replaceAll(/[-:]/g, '');
}

function offsetText(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  const part = (value: number) => String(value).padStart(2, '0');
  const rest = seconds % 60;
  return `${ms < 0 ? '-' : '+'}${part(Math.floor(seconds / 3600))}${part(Math.floor(seconds / 60) % 60)}${rest ? part(rest) : ''}`;
}

/** Changes of offset that repeat each year on the same weekday of a month, or one alone. */
interface Observance {
  before: number;
  after: number;
  /** Wall ms, on the clock before the change. */
  onsets: number[];
  /** Days of the year that the changes may follow, as BYMONTH and BYDAY; the candidates left. */
  patterns: string[];
}

/** BYMONTH;BYDAY forms that describe a day: the nth and, near the end, the last weekday of its month. */
function patternsOf(day: DayNumber): string[] {
  const { year, month, day: date } = civilDate(day);
  const weekday = WEEKDAYS[weekdayOf(day)]!;
  const last = date + 7 > daysInMonth(year, month) ? [`BYMONTH=${month};BYDAY=-1${weekday}`] : [];
  return [...last, `BYMONTH=${month};BYDAY=${Math.ceil(date / 7)}${weekday}`];
}

function follows(observance: Observance, change: Observance): boolean {
  const last = observance.onsets.at(-1)!;
  const onset = change.onsets[0]!;
  return (
    observance.before === change.before &&
    observance.after === change.after &&
    last - dayOfWall(last) * DAY === onset - dayOfWall(onset) * DAY &&
    civilDate(dayOfWall(onset)).year === civilDate(dayOfWall(last)).year + 1 &&
    observance.patterns.some((pattern) => change.patterns.includes(pattern))
  );
}

function observancesOf(zone: string, fromYear: number, toYear: number): Observance[] {
  const found: Observance[] = [];
  for (const { at, before, after } of offsetChanges(zone, fromYear, toYear)) {
    const onset = at + before;
    const change = { before, after, onsets: [onset], patterns: patternsOf(dayOfWall(onset)) };
    const earlier = found.find((observance) => follows(observance, change));
    if (!earlier) {
      found.push(change);
      continue;
    }
    earlier.onsets.push(onset);
    earlier.patterns = earlier.patterns.filter((pattern) => change.patterns.includes(pattern));
  }
  return found;
}

function observanceLines(observance: Observance, toYear: number, standard: number): string[] {
  const { before, after, onsets, patterns } = observance;
  const last = onsets.at(-1)!;
  const goesOn = civilDate(dayOfWall(last)).year === toYear;
  // UNTIL is an instant (RFC 5545 §3.6.5); the offset before the change gives it.
  const until = goesOn ? '' : `;UNTIL=${compact(formatLocal(last - before))}Z`;
  const name = after > standard ? 'DAYLIGHT' : 'STANDARD';
  return [
    `BEGIN:${name}`,
    `DTSTART:${compact(formatLocal(onsets[0]!))}`,
    `TZOFFSETFROM:${offsetText(before)}`,
    `TZOFFSETTO:${offsetText(after)}`,
    ...(onsets.length > 1 ? [`RRULE:FREQ=YEARLY;${patterns[0]}${until}`] : []),
    `END:${name}`,
  ];
}

/**
 * The content lines of a VTIMEZONE (RFC 5545 §3.6.5) that holds for the given years. What still
 * repeats in the last of them is taken to go on.
 */
export function zoneLines(zone: string, fromYear: number, toYear: number): string[] {
  const begin = dayNumber(fromYear, 1, 1) * DAY;
  const first = offsetAt(begin, zone);
  const observances = observancesOf(zone, fromYear, toYear);
  const standard = Math.min(first, ...observances.map((o) => Math.min(o.before, o.after)));
  const opening = { before: first, after: first, onsets: [begin], patterns: [] };
  return [
    'BEGIN:VTIMEZONE',
    `TZID:${zone}`,
    ...observanceLines(opening, fromYear, standard),
    ...observances.flatMap((observance) => observanceLines(observance, toYear, standard)),
    'END:VTIMEZONE',
  ];
}
