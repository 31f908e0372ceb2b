import type { CalendarEvent } from '../../model/event';
import { isWholeDay } from '../../model/event';
import { wallOf } from '../../model/common';
import type { DateCount } from '../../recurrence/walk';
import { countDates } from '../../recurrence/walk';
import { expandSeries } from '../../recurrence/expand';
import { DAY, dayOfWall, parseLocal } from '../../time/civil';
import { seriesOf } from './dates';
import type { DateEdit, Scope } from './edit';
import { contradicted, movesTimes } from './edit';
import { shiftSeries } from './shift';
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

/** Why a series can't follow where one of its dates goes, in words; null when it can. */
function shiftRefusal(event: CalendarEvent, key: string, edit: DateEdit): string | null {
  if (edit.repeat || !movesTimes(edit)) return null;
  const at = parseLocal(key);
  const wall = wallOf(edit.after.start);
  const turns = isWholeDay(event) !== isWholeDay(edit.after);
  const to = turns ? at + (dayOfWall(wall) - dayOfWall(at)) * DAY : wall;
  return shiftSeries(seriesOf(event), at, to)
    ? null
    : 'This repeat has no single day to move: change how it repeats instead.';
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
  now: number,
): ScopeChoice[] {
  const series = seriesOf(event);
  const at = parseLocal(key);
  const own = (change: CalendarEvent['changedDates'][string]) =>
    edit !== null && contradicted(change, edit);
  const refusal = edit ? shiftRefusal(event, key, edit) : null;
  const reaching = (scope: Scope, from: number): ScopeChoice => {
    const changes = changedIn(event, from);
    return {
      scope,
      dates: countDates(series, from),
      past: from < now ? expandSeries(series, from, now).starts.length : 0,
      changed: changes.length,
      contradicted: changes.filter(([name, change]) => name !== key && own(change)).length,
      refusal,
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
