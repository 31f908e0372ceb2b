import type { CalendarEvent } from '../../model/event';
import { wallOf, zoneOf } from '../../model/common';
import { sayRule } from '../../recurrence/sayRule';
import { countDates } from '../../recurrence/walk';
import { civilDate, dayOfWall, minuteOfDay } from '../../time/civil';
import type { Wording } from '../../time/words';
import { count, sayMinute } from '../../time/words';
import { wallFromInstant } from '../../time/zones';
import type { EpochMs } from '../../time/units';
import { seriesOf } from './dates';
import type { DateEdit, Scope } from './edit';
import { editSeries } from './edit';
import type { ScopeChoice } from './scopes';

export const SCOPE_NAMES: Record<Scope, string> = {
  this: 'Only this date',
  later: 'This date and later',
  every: 'Every date',
};

/** How many dates a scope touches, in words: "14 dates, 3 of them past", "no end, 52 dates past". */
export function sayReach({ scope, dates, past, changed }: ScopeChoice): string {
  const hand = changed ? `${changed} changed by hand` : '';
  if (scope === 'this') return changed ? '1 date, changed by hand before' : '1 date';
  const total = dates.isEndless
    ? `without an end${past ? `, ${count(past, 'date')} past` : ''}`
    : `${dates.isCut ? 'more than ' : ''}${count(dates.count, 'date')}${past ? `, ${past} of them past` : ''}`;
  return [total, hand].filter(Boolean).join(' · ');
}

/** A series' rule in words with how many dates are left from now (epoch ms) on; null for an event without a rule. */
export function saySeries(event: CalendarEvent, now: EpochMs, wording: Wording): string | null {
  if (event.rule === undefined) return null;
  const zone = zoneOf(event.start);
  const wall = wallFromInstant(now, zone ?? 'UTC');
  const left = countDates(seriesOf(event), wall);
  return sayRule(event.rule, {
    start: wallOf(event.start),
    zone,
    wording,
    thisYear: civilDate(dayOfWall(wall)).year,
    left: left.isEndless || left.isCut ? null : left.count,
  });
}

/** What the dates of a scope become: the rule and time after the edit, in words; null where nothing of that changes. */
export function sayOutcome(
  event: CalendarEvent,
  key: string,
  edit: DateEdit,
  scope: Scope,
  wording: Wording,
  now: EpochMs,
): string | null {
  if (scope === 'this') return null;
  const plan = { scope, fate: 'keep' as const, names: { id: 'new', uid: 'new' }, now };
  const after = editSeries(event, key, edit, plan).at(-1)!.after;
  if (after.rule === event.rule && after.start === event.start) return null;
  const said = saySeries(after, now, wording);
  if (said === null) return 'Becomes a single event';
  if (after.start.kind === 'date') return `Becomes: ${said}`;
  return `Becomes: ${said}, ${sayMinute(minuteOfDay(wallOf(after.start)), wording.hourCycle)}`;
}
