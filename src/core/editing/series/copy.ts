import { wallOf } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { isWholeDay, uidOf } from '../../model/event';
import { ruleStarts } from '../../recurrence/expand';
import { explicitRule } from '../../recurrence/explicitRule';
import { untilAt, writeRule } from '../../recurrence/writeRule';
import { DAY, dayOfWall, parseLocal } from '../../time/civil';
import type { DayNumber, EpochMs, WallMs } from '../../time/units';
import { dateAsEvent, instantAt, keyOfWall, seriesOf, timesAt } from './dates';
import type { Scope } from './edit';
import { RefusedEdit } from './fit';
import { movedChange, retimed } from './retime';
import { isFirstDate, splitSeries } from './split';

/** Where a copied series goes: its name, calendar, and the day (day number) that its first copied date is on. */
export interface CopyTarget {
  day: DayNumber;
  calendarId: string;
  id: string;
  /** Epoch ms */
  now: EpochMs;
}

/**
 * A copy of a series as a new one: from the date of `key` on, or every date, as `scope` says. The
 * date of `key` goes to the given day, at its hours, and the others with it; a rule that has no
 * single day to move keeps its days, from that day on.
 */
export function copySeriesTo(
  event: CalendarEvent,
  key: string,
  scope: Exclude<Scope, 'this'>,
  { day, calendarId, id, now }: CopyTarget,
): CalendarEvent {
  const names = { id, uid: uidOf(id) };
  const isAll = scope === 'every' || isFirstDate(event, key);
  const part = isAll ? { ...event, ...names } : splitSeries(event, key, names).tail;
  const properties = part.passthrough?.properties.filter(([name]) => name !== 'related-to');
  const { removedAt: _removedAt, ...kept } = part;
  const copied: CalendarEvent = {
    ...kept,
    calendarId,
    ...(part.passthrough && properties ? { passthrough: { ...part.passthrough, properties } } : {}),
  };
  const stamps = { created: now, updated: now, revision: 0 };
  const at = parseLocal(key);
  const shown = dateAsEvent(copied, key);
  const by = (day - dayOfWall(wallOf(shown.start))) * DAY;
  return { ...movedBy(copied, key, at + by), ...stamps };
}

/** A series whose date of `key` goes to `to` (wall ms), or whose days are kept, from there on. */
function movedBy(event: CalendarEvent, key: string, to: number): CalendarEvent {
  const at = parseLocal(key);
  if (to === at) return event;
  const goal = { times: timesAt(event, to), setsLength: false };
  try {
    return retimed(event, key, goal, { takesChanges: true });
  } catch (error) {
    if (error instanceof RefusedEdit) return onItsDays(event, to - at);
    throw error;
  }
}

/** The first day from a wall time on, at its hour, on which no date of a series lies. */
function freeFrom(wall: WallMs, taken: ReadonlyMap<number, number>): number {
  const walls = new Set(taken.values());
  let free = wall;
  while (walls.has(free)) free += DAY;
  return free;
}

/** A series on the days that its rule names, from `by` ms after its start on; as many dates as it has. */
function onItsDays(event: CalendarEvent, by: number): CalendarEvent {
  const series = seriesOf(event);
  const { count, until, ...rule } = explicitRule(series.rule!, series.start);
  const ends = count !== undefined || until !== undefined;
  const far = [...series.skipped, ...Object.keys(event.changedDates).map(parseLocal)];
  const old = ruleStarts(series, -Infinity, ends ? Infinity : Math.max(0, ...far) + 1).starts;
  const begin = { ...series, rule, start: series.start + by };
  const dates = ruleStarts(begin, begin.start, Infinity, Math.max(1, old.length)).starts;
  const [start = begin.start] = dates;
  const last = dates.at(-1) ?? start;
  const to = new Map(old.map((wall, i) => [wall, dates[i]!]));
  const goes = (wall: WallMs) => to.get(wall) ?? freeFrom(wall + (start - series.start), to);
  const kind = { wholeDay: isWholeDay(event), zone: series.zone };
  const end = {
    ...(count === undefined ? {} : { count: dates.length }),
    ...(until ? { until: untilAt(last, kind, instantAt(event, last)) } : {}),
  };
  return {
    ...event,
    ...timesAt(event, start),
    rule: writeRule({ ...rule, ...end }),
    extraDates: event.extraDates.map((extra, i) => {
      const times = timesAt(
        { start: extra.start, end: extra.end ?? extra.start },
        goes(series.extra[i]!),
      );
      return extra.end ? times : { start: times.start };
    }),
    skippedDates: event.skippedDates.map((name) => keyOfWall(event, goes(parseLocal(name)))),
    changedDates: Object.fromEntries(
      Object.entries(event.changedDates).map(([name, change]) => {
        const wall = parseLocal(name);
        return [keyOfWall(event, goes(wall)), movedChange(change, goes(wall) - wall)];
      }),
    ),
  };
}
