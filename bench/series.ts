import ICAL from 'ical.js';
import { RRule } from 'rrule';
import { RRuleTemporal } from 'rrule-temporal';
import { Temporal } from 'temporal-polyfill';
import { expandSeries, ruleStarts } from '../src/core/recurrence/expand';
import type { Series } from '../src/core/recurrence/expand';
import { parseRule } from '../src/core/recurrence/rule';
import {
  civilDate,
  DAY,
  dayOfWall,
  formatLocal,
  HOUR,
  MINUTE,
  parseLocal,
} from '../src/core/time/civil';
import { instantFromWall } from '../src/core/time/zones';
import { report } from './report';

/** Zones of the series, on both sides of the equator, with and without clock changes. */
const ZONES = [
  'Europe/London',
  'Europe/Lisbon',
  'America/Halifax',
  'America/New_York',
  'Asia/Tokyo',
  'Asia/Kolkata',
  'Australia/Sydney',
  'America/Sao_Paulo',
];

/** Kinds of rule, as many series of each. */
const KINDS: Record<string, string[]> = {
  'weekly by day': ['FREQ=WEEKLY;BYDAY=MO,WE,FR', 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,TH'],
  daily: ['FREQ=DAILY', 'FREQ=DAILY;INTERVAL=3'],
  'monthly by nth weekday': ['FREQ=MONTHLY;BYDAY=2TH', 'FREQ=MONTHLY;BYDAY=-1FR'],
  'monthly by day': ['FREQ=MONTHLY;BYMONTHDAY=15', 'FREQ=MONTHLY;BYMONTHDAY=-1'],
  yearly: ['FREQ=YEARLY', 'FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU'],
};
const OF_EACH_KIND = 200;
/** The window begins here, DTSTART three years before. */
const WINDOW = parseLocal('2026-11-23');
const START = parseLocal('2023-11-20');
const WINDOWS = [7, 42, 366];

interface Mixed {
  kind: string;
  rule: string;
  start: number;
  zone: string;
}

function mixedSeries(): Mixed[] {
  return Object.entries(KINDS).flatMap(([kind, rules]) =>
    Array.from({ length: OF_EACH_KIND }, (_, i) => ({
      kind,
      rule: rules[i % rules.length]!,
      start: START + (i % 28) * DAY + 8 * HOUR + (i % 37) * 15 * MINUTE,
      zone: ZONES[i % ZONES.length]!,
    })),
  );
}

/** Time that `work` takes, in ms. */
function timed(work: () => void): number {
  const before = performance.now();
  work();
  return performance.now() - before;
}

/** Every instant of some series in a window, by this core. */
function ownInstants(series: readonly Series[], to: number): number {
  let found = 0;
  for (const one of series)
    for (const wall of expandSeries(one, WINDOW, to).starts)
      if (instantFromWall(wall, one.zone!) > 0) found++;
  return found;
}

const compiled = (mixed: readonly Mixed[]): Series[] =>
  mixed.map(({ start, zone, rule }) => ({
    start,
    zone,
    rule: parseRule(rule),
    extra: [],
    skipped: new Set(),
  }));

/** The same by rrule-temporal in UTC, with the same zone table. */
function temporalInstants(
  rules: readonly { rule: RRuleTemporal; zone: string }[],
  to: number,
): number {
  let found = 0;
  const [from, until] = [new Date(WINDOW), new Date(to - 1)];
  for (const { rule, zone } of rules)
    for (const date of rule.between(from, until, true))
      if (instantFromWall(date.epochMilliseconds, zone) > 0) found++;
  return found;
}

const temporalRules = (mixed: readonly Mixed[]) =>
  mixed.map(({ rule, start, zone }) => ({
    zone,
    rule: new RRuleTemporal({
      rruleString: `RRULE:${rule}`,
      dtstart: Temporal.PlainDateTime.from(formatLocal(start)).toZonedDateTime('UTC'),
    } as never),
  }));

/** A smaller share by rrule, whose results are wall times like those above. */
function rruleInstants(mixed: readonly Mixed[], to: number): number {
  let found = 0;
  for (const { rule, start, zone } of mixed) {
    const made = new RRule({ ...RRule.parseString(rule), dtstart: new Date(start) });
    for (const date of made.between(new Date(WINDOW), new Date(to - 1), true))
      if (instantFromWall(date.getTime(), zone) > 0) found++;
  }
  return found;
}

/** The same share by ical.js, which walks from DTSTART. */
function icalInstants(mixed: readonly Mixed[], to: number): number {
  let found = 0;
  for (const { rule, start, zone } of mixed) {
    const iterator = ICAL.Recur.fromString(rule).iterator(
      ICAL.Time.fromDateTimeString(formatLocal(start)),
    );
    for (let next = iterator.next(); next; next = iterator.next()) {
      const wall = parseLocal(next.toString());
      if (wall >= to) break;
      if (wall >= WINDOW && instantFromWall(wall, zone) > 0) found++;
    }
  }
  return found;
}

/** Time that a piece of work takes once the compiler has settled, in ms: the least of some runs, which other work on the machine lengthens least. */
const settled = (work: () => void, runs: number) => {
  for (let i = 0; i < Math.min(runs, 10); i++) work();
  return Math.min(...Array.from({ length: runs }, () => timed(work)));
};

function benchWindows(mixed: readonly Mixed[]): void {
  const series = compiled(mixed);
  const rules = temporalRules(mixed);
  for (const days of WINDOWS) {
    const to = WINDOW + days * DAY;
    const dates = ownInstants(series, to);
    if (temporalInstants(rules, to) !== dates)
      throw new Error(`rrule-temporal finds other dates in ${days} days.`);
    const own = settled(() => ownInstants(series, to), 60);
    const other = settled(() => temporalInstants(rules, to), 8);
    report(`1,000 series over ${days} days (${dates} dates), this core`, own, 'ms');
    report('  by rrule-temporal', other, 'ms');
    report('  times as fast', other / own, '×', days === 7 ? { atLeast: 1 } : { atLeast: 20 });
  }
}

function benchKinds(mixed: readonly Mixed[]): void {
  const to = WINDOW + 366 * DAY;
  for (const kind of Object.keys(KINDS)) {
    const some = mixed.filter((one) => one.kind === kind);
    const [series, rules] = [compiled(some), temporalRules(some)];
    const own = settled(() => ownInstants(series, to), 60);
    const other = settled(() => temporalInstants(rules, to), 8);
    report(`${kind}, 366 days: times as fast as rrule-temporal`, other / own, '×', { atLeast: 1 });
  }
}

function benchOthers(mixed: readonly Mixed[]): void {
  const share = mixed.filter((_, i) => i % 20 === 0);
  const series = compiled(share);
  const to = WINDOW + 42 * DAY;
  const own = settled(() => ownInstants(series, to), 60);
  report(`${share.length} series over 42 days, this core`, own, 'ms');
  report('  times as fast as rrule', settled(() => rruleInstants(share, to), 8) / own, '×');
  report('  times as fast as ical.js', settled(() => icalInstants(share, to), 8) / own, '×');
}

/** The first week's instants in all eight zones, while no table has been built. */
export function benchFirstWeek(): void {
  // The machine's own date formats load once a process, whoever asks first.
  const formats = timed(() =>
    new Intl.DateTimeFormat('en-US', { timeZone: 'Etc/GMT-1' }).format(0),
  );
  report('the machine’s own formats, loaded once', formats, 'ms');
  const cold = timed(() => {
    for (const zone of ZONES)
      for (let hour = 0; hour < 7 * 24; hour++) instantFromWall(WINDOW + hour * HOUR, zone);
  });
  report('the first week in eight zones, tables built meanwhile', cold, 'ms', 30);
}

function benchZones(): void {
  const walls = Array.from({ length: 20_000 }, (_, i) => START + i * 97 * MINUTE);
  let sum = 0;
  const own = settled(() => {
    for (let i = 0; i < walls.length; i++) sum += instantFromWall(walls[i]!, ZONES[i % 8]!);
  }, 60);
  const plain = walls.map((wall) => {
    const { year, month, day } = civilDate(dayOfWall(wall));
    const minute = Math.floor((wall % DAY) / MINUTE);
    return new Temporal.PlainDateTime(year, month, day, Math.floor(minute / 60), minute % 60);
  });
  const polyfill = settled(() => {
    for (let i = 0; i < plain.length; i++)
      sum += plain[i]!.toZonedDateTime(ZONES[i % 8]!).epochMilliseconds;
  }, 8);
  if (sum === 0) throw new Error('Nothing was converted.');
  report('20,000 wall times to instants, this core', own, 'ms');
  report('  by the Temporal polyfill', polyfill, 'ms');
  report('  times as fast', polyfill / own, '×', { atLeast: 50 });
}

/** Recurrence and zones against named libraries, in the same run. */
export function benchSeries(): void {
  const mixed = mixedSeries();
  benchWindows(mixed);
  benchKinds(mixed);
  benchOthers(mixed);
  benchZones();
}

/** Rules that name millions of times, or none; each is asked for some dates and for a far window. */
const HARD = [
  'FREQ=SECONDLY;BYHOUR=9;COUNT=20000',
  'FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30;COUNT=3',
  'FREQ=SECONDLY;INTERVAL=7;BYHOUR=1;BYMONTH=6;COUNT=1000000',
  'FREQ=MINUTELY;INTERVAL=7;BYHOUR=9;BYDAY=MO;COUNT=5000',
  'FREQ=YEARLY;BYYEARDAY=1,100,200,-1;COUNT=5000',
  'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=29;BYDAY=SU;COUNT=900',
  'FREQ=MONTHLY;BYMONTH=2;BYMONTHDAY=30',
  `FREQ=YEARLY;BYMONTH=1,7;BYMONTHDAY=${upTo(31)};BYHOUR=${upTo(23)};BYMINUTE=${upTo(59)};BYSECOND=${upTo(59)};BYSETPOS=-1,1,366;COUNT=300`,
];

function upTo(last: number): string {
  return Array.from({ length: last }, (_, i) => i + 1).join(',');
}

/** The longest that any hard rule takes, counted anew. */
export function benchHardRules(): void {
  const far = parseLocal('2090-01-01');
  const times = HARD.map((text) => {
    const series = { start: START + 9 * HOUR, zone: null, rule: parseRule(text) };
    return timed(() => {
      ruleStarts(series, START, Infinity, 50);
      ruleStarts(series, far, far + 128 * DAY);
    });
  });
  report('the slowest of rules that count millions', Math.max(...times), 'ms', 100);
}
