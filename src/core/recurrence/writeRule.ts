import { dayOfWall, formatDate, formatLocal } from '../time/civil';
import type { EpochMs, WallMs } from '../time/units';
import { utcWall } from '../time/zones';
import type { Rule, RuleDay, Until } from './rule';

const DAY_CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

const bare = (text: string) => text.replaceAll(/[-:]/g, '');

function writeUntil(until: Until): string {
  switch (until.kind) {
    case 'date':
      return bare(formatDate(until.day));
    case 'wall':
      return bare(formatLocal(until.wall));
    case 'instant':
      return `${bare(formatLocal(utcWall(until.epochMs)))}Z`;
  }
}

const writeDay = ({ weekday, nth }: RuleDay) => `${nth === 0 ? '' : nth}${DAY_CODES[weekday]!}`;

/** The RRULE value of a rule (RFC 5545 §3.3.10, with SKIP of RFC 7529); `parseRule` reads it back. */
export function writeRule(rule: Rule): string {
  const list = (name: string, values: readonly (number | string)[]) =>
    values.length ? [`${name}=${values.join(',')}`] : [];
  return [
    ...(rule.skip === 'OMIT' ? [] : ['RSCALE=GREGORIAN']),
    `FREQ=${rule.frequency}`,
    ...(rule.interval === 1 ? [] : [`INTERVAL=${rule.interval}`]),
    ...list('BYMONTH', rule.byMonth),
    ...list('BYWEEKNO', rule.byWeekNo),
    ...list('BYYEARDAY', rule.byYearDay),
    ...list('BYMONTHDAY', rule.byMonthDay),
    ...list('BYDAY', rule.byDay.map(writeDay)),
    ...list('BYHOUR', rule.byHour),
    ...list('BYMINUTE', rule.byMinute),
    ...list('BYSECOND', rule.bySecond),
    ...list('BYSETPOS', rule.bySetPos),
    ...(rule.weekStart === 0 ? [] : [`WKST=${DAY_CODES[rule.weekStart]!}`]),
    ...(rule.count === undefined ? [] : [`COUNT=${rule.count}`]),
    ...(rule.until ? [`UNTIL=${writeUntil(rule.until)}`] : []),
    ...(rule.skip === 'OMIT' ? [] : [`SKIP=${rule.skip}`]),
  ].join(';');
}

/**
 * The UNTIL that ends a series with its date at `wall` (wall ms in `zone`), in the form that the
 * series' start asks for: a date for whole days, UTC where there is a zone, else wall time
 * (RFC 5545 §3.3.10). `instant` is that date's epoch ms.
 */
export function untilAt(
  wall: WallMs,
  kind: { wholeDay: boolean; zone: string | null },
  instant: EpochMs,
): Until {
  if (kind.wholeDay) return { kind: 'date', day: dayOfWall(wall) };
  return kind.zone === null ? { kind: 'wall', wall } : { kind: 'instant', epochMs: instant };
}
