import type { EventTime } from '../../model/common';
import { zoneOf } from '../../model/common';
import { parseRule } from '../../recurrence/rule';
import { DAY, formatLocal } from '../../time/civil';
import { instantFromWall, utcWall } from '../../time/zones';

/** Our own: UNTIL as the app has it, where files have to say it in UTC. */
export const UNTIL_PROPERTY = 'x-orderly-until';

const UNTIL = /(^|;)UNTIL=([^;]*)/i;

/**
 * A rule as a file says it: UNTIL of a start with a zone is in UTC, of a date it is a date, and of a
 * floating start it has no zone (RFC 5545 §3.3.10). `until` is what it was, where that is another.
 */
export function ruleForFile(rule: string, start: EventTime): { rule: string; until?: string } {
  const said = UNTIL.exec(rule)?.[2];
  const { until } = parseRule(rule);
  if (said === undefined || !until || start.kind !== 'zoned' || until.kind === 'instant')
    return { rule };
  const zone = zoneOf(start);
  // The last second that a date includes.
  const wall = until.kind === 'date' ? (until.day + 1) * DAY - 1000 : until.wall;
  const instant = zone === null ? wall : instantFromWall(wall, zone);
  const utc = `${formatLocal(utcWall(instant)).replaceAll(/[-:]/g, '')}Z`;
  return { rule: withUntil(rule, utc), until: said };
}

const withUntil = (rule: string, until: string) =>
  rule.replace(UNTIL, (_all, before: string) => `${before}UNTIL=${until}`);

/** A rule of a file as the app had it, where it wrote the file (`until`) and nobody changed it since. */
export function ruleFromFile(rule: string, start: EventTime, until: string): string {
  if (!until || !/^[\dTZ]+$/i.test(until)) return rule;
  const before = withUntil(rule, until);
  try {
    return ruleForFile(before, start).rule === rule ? before : rule;
  } catch {
    return rule; // What says it is of this app is a claim like the rest of a file.
  }
}
