import type { EventTime } from '../../model/common';
import { wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import { durationOf, isWholeDay } from '../../model/event';
import type { Rule } from '../../recurrence/rule';
import { untilAt, writeRule } from '../../recurrence/writeRule';
import { DAY, dayOfWall, parseLocal } from '../../time/civil';
import type { WallMs } from '../../time/units';
import { movedTimes, withLength } from '../times';
import { instantAt, keyOfWall, seriesOf, timeAt } from './dates';
import type { Fitted } from './fit';
import { fitted, RefusedEdit } from './fit';
import type { Shifted } from './shift';
import { isWithinDays, shiftsOf } from './shift';

/** A rule with an end where the moved dates end, said as the old one said it. */
function withEnd(rule: Rule, old: Rule, event: CalendarEvent, { count, last }: Fitted): Rule {
  if (old.count !== undefined) return { ...rule, count: count ?? old.count };
  if (!old.until) return rule;
  // More dates than are gone through one by one: the end stays where it is, rather than none.
  if (last === null) return { ...rule, until: old.until };
  const kind = { wholeDay: isWholeDay(event), zone: zoneOf(event.start) };
  return { ...rule, until: untilAt(last, kind, instantAt(event, last)) };
}

/** The wall time that a planned date has once its event onTurnedDay into whole days, or got hours. */
function onTurnedDay(wall: WallMs, before: EventTime, after: EventTime): number {
  const wasDate = before.kind === 'date';
  const isDate = after.kind === 'date';
  if (wasDate === isDate) return wall;
  const day = dayOfWall(wall) * DAY;
  return isDate ? day : day + (wallOf(after) - dayOfWall(wallOf(after)) * DAY);
}

/** When all dates of a series are to be, as an edit of one of them says. */
export interface Goal {
  /** Start and end of the edited date, on the clock that the series is to have. */
  times: Pick<CalendarEvent, 'start' | 'end'>;
  /** Whether the edit says how long a date lasts. */
  setsLength: boolean;
}

/**
 * The goal of an edit. A zone or a length that the edited date had for itself is not the series';
 * only what the person changed about it is.
 */
export function goalOf(
  event: CalendarEvent,
  { before, after }: Record<'before' | 'after', Pick<CalendarEvent, 'start' | 'end'>>,
): Goal {
  const turns = isWholeDay(before) !== isWholeDay(after);
  const setsLength = turns || durationOf(before) !== durationOf(after);
  const [own, zone] = [zoneOf(after.start), zoneOf(event.start)];
  const keepsZone = own === zoneOf(before.start) && own !== null && zone !== null && own !== zone;
  const model = keepsZone ? { start: event.start, end: event.end } : after;
  const start = keepsZone ? movedTimes(model, wallOf(after.start), own).start : after.start;
  const length = durationOf(setsLength ? after : event);
  return { times: withLength({ start, end: model.end }, length), setsLength };
}

/** The first of a series' possible shifts whose rule gives the dates that it should. */
function shiftThatFits(
  event: CalendarEvent,
  key: string,
  { start: to }: Goal['times'],
): { shifted: Shifted; fit: Fitted } {
  const series = seriesOf(event);
  const at = parseLocal(key);
  const turns = isWholeDay(event) !== (to.kind === 'date');
  if (turns && to.kind === 'date' && series.rule && isWithinDays(series.rule))
    throw new RefusedEdit('It repeats several times a day, so its dates can’t last whole days.');
  // Hours come and go by themselves; what is shifted then is the day.
  const goal = turns ? at + (dayOfWall(wallOf(to)) - dayOfWall(at)) * DAY : wallOf(to);
  const turn = (wall: WallMs) => onTurnedDay(wall, event.start, to);
  for (const shifted of shiftsOf(series, at, goal)) {
    const fit = fitted(series, shifted, zoneOf(to), turn);
    if (fit) return { shifted, fit };
  }
  throw new RefusedEdit('This repeat has no single day to move: change how it repeats instead.');
}

/** A series whose rule is about to be replaced: its dates all move alike, whatever the old rule says. */
function uniformShift(
  event: CalendarEvent,
  key: string,
  { start: to }: Goal['times'],
): { shifted: Shifted; fit: Fitted } {
  const series = seriesOf(event);
  const by = dayOfWall(wallOf(to)) * DAY - dayOfWall(parseLocal(key)) * DAY;
  const isTurned = isWholeDay(event) !== (to.kind === 'date');
  const clock = isTurned ? 0 : wallOf(to) - parseLocal(key) - by;
  const map = (wall: WallMs) => wall + by + clock;
  const start = onTurnedDay(map(series.start), event.start, to);
  return {
    shifted: { rule: series.rule, map },
    fit: { start, rule: series.rule, count: null, last: null, surplus: [] },
  };
}

/** What becomes of a series' dates when they move. */
export interface Moving {
  /** Whether the rule is about to be replaced, so that the old one needs not follow. */
  isRuleReplaced?: boolean;
  /** Whether changed dates with times of their own move along; else they stay where they are. */
  takesChanges?: boolean;
}

/**
 * All dates of a series moved as the goal for one of them (`key`) says. The dates keep their names'
 * order: skipped, added and changed dates go where the rule's dates go.
 * @throws RefusedEdit when the rule can't be moved that way.
 */
export function retimed(
  event: CalendarEvent,
  key: string,
  { times: goal, setsLength }: Goal,
  { isRuleReplaced = false, takesChanges = false }: Moving = {},
): CalendarEvent {
  const find = isRuleReplaced ? uniformShift : shiftThatFits;
  const { shifted, fit } = find(event, key, goal);
  const moved: CalendarEvent = {
    ...event,
    ...movedTimes(goal, fit.start, zoneOf(goal.start) ?? 'UTC'),
    ...(setsLength ? { clockDays: undefined } : {}),
  };
  const goes = (wall: WallMs) => {
    const to = shifted.map(wall);
    return to === null ? null : onTurnedDay(to, event.start, goal.start);
  };
  const series = seriesOf(event);
  const extraDates = event.extraDates.map((date, i) => {
    const wall = series.extra[i]!;
    const start = timeAt(moved.start, goes(wall) ?? wall);
    if (!date.end || setsLength) return { start };
    return withLength({ start, end: moved.end }, durationOf({ start: date.start, end: date.end }));
  });
  const nameAt = (wall: WallMs) => keyOfWall(moved, wall);
  const skipped = event.skippedDates
    .map(parseLocal)
    .map(goes)
    .filter((wall) => wall !== null);
  const changedDates = Object.entries(event.changedDates).map(([old, change]) => {
    const wall = parseLocal(old);
    // One whose planned date is gone stays as an extra date (see `settled`).
    const to = goes(wall) ?? wall;
    const own = takesChanges ? movedChange(change, to - wall) : change;
    return [nameAt(to), own] as const;
  });
  return {
    ...moved,
    rule: fit.rule ? writeRule(withEnd(fit.rule, series.rule!, moved, fit)) : undefined,
    extraDates,
    skippedDates: [...new Set([...skipped, ...fit.surplus].map(nameAt))].sort(),
    changedDates: Object.fromEntries(changedDates),
  };
}

/** A changed date whose own times, if it has any, lie a number of ms later. */
export function movedChange(change: ChangedDate, by: number): ChangedDate {
  const { start, end } = change;
  if (!start || !end) return change;
  return { ...change, ...movedTimes({ start, end }, wallOf(start) + by, zoneOf(start) ?? 'UTC') };
}
