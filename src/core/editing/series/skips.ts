import type { CalendarEvent } from '../../model/event';
import { parseLocal } from '../../time/civil';
import type { EpochMs } from '../../time/units';
import { revised } from '../../model/event';
import { hasDates } from './dates';
import type { Scope } from './edit';
import { endBefore, isFirstDate } from './split';

const added = (keys: readonly string[], more: readonly string[]) =>
  [...new Set([...keys, ...more])].sort();

/** A series without some of its dates (EXDATE, RFC 5545 §3.8.5.1). What was changed about them is kept for restoring. */
export function skipDates(
  event: CalendarEvent,
  keys: readonly string[],
  now: EpochMs,
): CalendarEvent {
  return revised(event, { skippedDates: added(event.skippedDates, keys) }, now);
}

/** A skipped date back in its series, with whatever was changed about it. */
export function restoreSkipped(event: CalendarEvent, key: string, now: EpochMs): CalendarEvent {
  const skippedDates = event.skippedDates.filter((skipped) => skipped !== key);
  return revised(event, { skippedDates }, now);
}

/** A changed date as its series plans it again. */
export function restoreChanged(event: CalendarEvent, key: string, now: EpochMs): CalendarEvent {
  const { [key]: _gone, ...changedDates } = event.changedDates;
  return revised(event, { changedDates }, now);
}

/**
 * Removes a date of a series: it is skipped, or the series ends before it, or all of it goes. A
 * series that has no date left is removed whole.
 */
export function removeDates(
  event: CalendarEvent,
  key: string,
  scope: Scope,
  now: EpochMs,
): CalendarEvent {
  const gone = revised(event, { removedAt: now }, now);
  if (scope === 'every' || (scope === 'later' && isFirstDate(event, key))) return gone;
  const rest =
    scope === 'this' ? skipDates(event, [key], now) : revised(endBefore(event, key), {}, now);
  return hasDates(rest) ? rest : gone;
}

/** Skipped and changed dates of a series, for a list of them, in order of their planned time. */
export function exceptionsOf(event: CalendarEvent): { key: string; isSkipped: boolean }[] {
  const skipped = new Set(event.skippedDates);
  const changed = Object.keys(event.changedDates).filter((key) => !skipped.has(key));
  return [
    ...event.skippedDates.map((key) => ({ key, isSkipped: true })),
    ...changed.map((key) => ({ key, isSkipped: false })),
  ].sort((a, b) => parseLocal(a.key) - parseLocal(b.key));
}
