import { extraWall } from '../../agenda/series';
import { zoneOf } from '../../model/common';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import { fieldsOfDate, isWholeDay } from '../../model/event';
import { nextStarts, lastRuleStart } from '../../recurrence/walk';
import { ruleStarts } from '../../recurrence/expand';
import { explicitRule } from '../../recurrence/explicitRule';
import { untilAt, writeRule } from '../../recurrence/writeRule';
import { parseLocal } from '../../time/civil';
import type { WallMs } from '../../time/units';
import { fieldsOfLater, instantAt, keyOfWall, laterChangeAt, seriesOf, timesAt } from './dates';

export interface Halves {
  head: CalendarEvent;
  tail: CalendarEvent;
}

/** The names of the event that a split makes. */
export interface NewNames {
  id: string;
  uid: string;
}

/** Lists and changes of a series, those before `at` or those from it on. */
function partOf(event: CalendarEvent, keeps: (wall: WallMs) => boolean) {
  const zone = zoneOf(event.start);
  return {
    extraDates: event.extraDates.filter((extra) => keeps(extraWall(zone, extra.start))),
    skippedDates: event.skippedDates.filter((key) => keeps(parseLocal(key))),
    changedDates: Object.fromEntries(
      Object.entries(event.changedDates).filter(([key]) => keeps(parseLocal(key))),
    ),
  };
}

/** An event whose rule gives no date any more: the first extra date becomes its start. */
function onExtrasAlone(event: CalendarEvent): CalendarEvent {
  const { rule: _rule, ...rest } = event;
  const zone = zoneOf(event.start);
  const wallOfExtra = (extra: CalendarEvent['extraDates'][number]) => extraWall(zone, extra.start);
  const skipped = new Set(event.skippedDates.map(parseLocal));
  const [first, ...others] = event.extraDates
    .filter((extra) => !skipped.has(wallOfExtra(extra)))
    .sort((a, b) => wallOfExtra(a) - wallOfExtra(b));
  if (!first) return rest;
  const wall = wallOfExtra(first);
  const times = first.end ? { start: first.start, end: first.end } : timesAt(event, wall);
  if (others.length) return { ...rest, ...times, extraDates: others };
  // One date is no series: what was changed about it is the event itself.
  const change = fieldsOfDate(event.changedDates[keyOfWall(event, wall)] ?? {});
  return { ...rest, ...times, ...change, extraDates: [], skippedDates: [], changedDates: {} };
}

/** The series up to before `at` (wall ms): its rule ends with COUNT or UNTIL, as it did before. */
function headOf(event: CalendarEvent, at: number): CalendarEvent {
  const head = { ...event, ...partOf(event, (wall) => wall < at) };
  const series = seriesOf(event);
  if (!series.rule) return head;
  const last = lastRuleStart(series, at);
  if (last === null) return onExtrasAlone(head);
  const { count, until: _until, ...rule } = explicitRule(series.rule, series.start);
  const ended =
    count === undefined
      ? {
          ...rule,
          until: untilAt(
            last,
            { wholeDay: isWholeDay(event), zone: series.zone },
            instantAt(event, last),
          ),
        }
      : { ...rule, count: ruleStarts(series, series.start, at, Infinity).starts.length };
  return { ...head, rule: writeRule(ended) };
}

/**
 * What a change that reaches from the head into the tail (RANGE=THISANDFUTURE) becomes there: the
 * same change, on the tail's first date that has none of its own.
 */
function carriedChange(event: CalendarEvent, at: number): Record<string, ChangedDate> {
  const later = laterChangeAt(event, at - 1);
  if (!later) return {};
  const own = Object.keys(event.changedDates).length;
  const wall = nextStarts(seriesOf(event), at, own + 1).find(
    (start) => event.changedDates[keyOfWall(event, start)] === undefined,
  );
  if (wall === undefined) return {};
  const fields = fieldsOfLater(event, later, wall);
  return { [keyOfWall(event, wall)]: { ...fields, andLater: true } };
}

/** The series from `at` (wall ms) on, as an event of its own that names the one it came from. */
function tailOf(event: CalendarEvent, at: number, names: NewNames): CalendarEvent {
  const series = seriesOf(event);
  const part = partOf(event, (wall) => wall >= at);
  const passthrough = event.passthrough ?? { properties: [], components: [] };
  const tail: CalendarEvent = {
    ...event,
    ...part,
    ...names,
    changedDates: { ...part.changedDates, ...carriedChange(event, at) },
    revision: 0,
    // RFC 5545 §3.8.4.5: which other entry this one belongs to.
    passthrough: {
      ...passthrough,
      properties: [
        ...passthrough.properties,
        ['related-to', { reltype: 'SIBLING' }, 'text', event.uid],
      ],
    },
  };
  const [first] = series.rule ? ruleStarts(series, at, Infinity, 1).starts : [];
  if (first === undefined || !series.rule) return onExtrasAlone(tail);
  const rule = explicitRule(series.rule, series.start);
  const gone = ruleStarts(series, series.start, at, rule.count === undefined ? 0 : Infinity);
  const left = rule.count === undefined ? {} : { count: rule.count - gone.starts.length };
  return { ...tail, ...timesAt(event, first), rule: writeRule({ ...rule, ...left }) };
}

/**
 * Splits a series at one of its dates, which must not be its first: `head` keeps the event's name
 * and the dates before, `tail` is a new event with that date and all later ones. Together they have
 * exactly the dates of before; COUNT and UNTIL, extra, skipped and changed dates go where they belong.
 */
export function splitSeries(event: CalendarEvent, key: string, names: NewNames): Halves {
  const at = parseLocal(key);
  return { head: headOf(event, at), tail: tailOf(event, at, names) };
}

/** The series without the date of `key` and all later ones. */
export function endBefore(event: CalendarEvent, key: string): CalendarEvent {
  return headOf(event, parseLocal(key));
}

/** Whether no date of a series, skipped ones aside, lies before the one of `key`. */
export function isFirstDate(event: CalendarEvent, key: string): boolean {
  const [first] = nextStarts(seriesOf(event), -Infinity, 1);
  return first === undefined || parseLocal(key) <= first;
}
