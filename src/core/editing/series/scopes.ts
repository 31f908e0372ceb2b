import type { CalendarEvent } from '../../model/event';
import type { DateCount } from '../../recurrence/walk';
import { countDates } from '../../recurrence/walk';
import { expandSeries } from '../../recurrence/expand';
import { parseLocal } from '../../time/civil';
import type { WallMs } from '../../time/units';
import { seriesOf } from './dates';
import type { DateEdit, Scope } from './edit';
import { contradicted, editSeries } from './edit';
import { RefusedEdit } from './fit';
import { isFirstDate } from './split';

/** What an edit would reach with one scope. */
export interface ScopeChoice {
  scope: Scope;
  dates: DateCount;
  /** How many of them are over; of an endless series too. */
  past: number;
  /** How many of them were changed by hand. */
  changed: number;
  /** How many of those have something of their own where the edit says otherwise. */
  contradicted: number;
  /** Why the edit can't be done with this scope, in words; null when it can. */
  refusal: string | null;
}

/** Changed dates of a series planned at or after `from` (wall ms), without skipped ones. */
function changedIn(event: CalendarEvent, from: number) {
  const skipped = new Set(event.skippedDates);
  return Object.entries(event.changedDates).filter(
    ([key]) => parseLocal(key) >= from && !skipped.has(key),
  );
}

/** Why an edit can't be done with a scope, in words; null when it can. */
function refusalOf(
  event: CalendarEvent,
  key: string,
  edit: DateEdit | null,
  scope: Scope,
): string | null {
  if (!edit) return null;
  try {
    const names = { id: event.id, uid: event.uid };
    editSeries(event, key, edit, { scope, fate: 'keep', names, now: event.updated });
    return null;
  } catch (error) {
    if (error instanceof RefusedEdit) return error.message;
    throw error;
  }
}

/**
 * The scopes that an action on one date of a series can have, with what each touches. `edit` is null
 * for actions that change no field, such as removing. A date that is the first has no *this and later*;
 * another rule can't be for one date alone. `now` is wall ms on the series' clock.
 */
export function scopeChoices(
  event: CalendarEvent,
  key: string,
  edit: DateEdit | null,
  now: WallMs,
): ScopeChoice[] {
  const series = seriesOf(event);
  const at = parseLocal(key);
  const own = (change: CalendarEvent['changedDates'][string]) =>
    edit !== null && contradicted(change, edit);
  const reaching = (scope: Scope, from: number): ScopeChoice => {
    const changes = changedIn(event, from);
    return {
      scope,
      dates: countDates(series, from),
      past: from < now ? expandSeries(series, from, now).starts.length : 0,
      changed: changes.length,
      contradicted: changes.filter(([name, change]) => name !== key && own(change)).length,
      refusal: refusalOf(event, key, edit, scope),
    };
  };
  const alone: ScopeChoice = {
    scope: 'this',
    dates: { count: 1, isEndless: false, isCut: false },
    past: at < now ? 1 : 0,
    changed: event.changedDates[key] ? 1 : 0,
    contradicted: 0,
    refusal: null,
  };
  return [
    ...(edit?.repeat ? [] : [alone]),
    ...(isFirstDate(event, key) ? [] : [reaching('later', at)]),
    reaching('every', -Infinity),
  ];
}
