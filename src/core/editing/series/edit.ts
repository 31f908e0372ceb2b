import type { EventTime } from '../../model/common';
import { wallOf, zoneOf } from '../../model/common';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import { durationOf, isWholeDay } from '../../model/event';
import { ruleStarts } from '../../recurrence/expand';
import type { Rule } from '../../recurrence/rule';
import { parseRule } from '../../recurrence/rule';
import { untilAt, writeRule } from '../../recurrence/writeRule';
import { DAY, dayOfWall, parseLocal } from '../../time/civil';
import { revised } from '../edits';
import { movedTimes } from '../times';
import { instantAt, keyOfWall, passthroughOfDate, seriesOf, timeAt, timesAt } from './dates';
import { shiftedLast, shiftedStart, shiftSeries } from './shift';
import type { NewNames } from './split';
import { isFirstDate, splitSeries } from './split';

/** Which dates of a series an edit reaches. */
export type Scope = 'this' | 'later' | 'every';

/** Whether dates that were changed by hand keep what they have, where the edit says otherwise. */
export type ChangedDatesFate = 'keep' | 'follow';

/** What a person did to one date of a series, shown to them as an event of its own. */
export interface DateEdit {
  /** The date as it stood (see `dateAsEvent`), and as it is to be. */
  before: CalendarEvent;
  after: CalendarEvent;
  /**
   * The rule that was chosen, when another one was; undefined in it ends the repeat. `keepsEnd` tells
   * that COUNT or UNTIL were left as they are.
   */
  repeat?: { rule: string | undefined; keepsEnd: boolean };
}

/** An event before and after; null where it is new. */
export interface EventEdit {
  before: CalendarEvent | null;
  after: CalendarEvent;
}

/** Fields that one date may have for itself, without its times. */
const DATE_FIELDS = [
  'title',
  'place',
  'notes',
  'link',
  'availability',
  'visibility',
  'importance',
  'categoryIds',
  'attendees',
  'reminders',
] as const;

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Whether an edit touched when the date is. */
export function movesTimes({ before, after }: DateEdit): boolean {
  return !isSame([before.start, before.end], [after.start, after.end]);
}

/** The fields, besides times, that an edit touched. */
function touchedFields({ before, after }: DateEdit): (typeof DATE_FIELDS)[number][] {
  return DATE_FIELDS.filter((field) => !isSame(before[field], after[field]));
}

/** The fields of a changed date that an edit of the whole series would contradict. */
export function contradicted(change: ChangedDate, edit: DateEdit): boolean {
  return (
    (movesTimes(edit) && change.start !== undefined) ||
    touchedFields(edit).some((field) => change[field] !== undefined)
  );
}

/** Whether a changed date has anything of its own, and not only what came along with it. */
function saysSomething(event: CalendarEvent, change: Record<string, unknown>): boolean {
  return Object.entries(change).some(([field, value]) => {
    if (field === 'revision' || field === 'andLater') return false;
    return field !== 'passthrough' || !isSame(value, passthroughOfDate(event));
  });
}

/** A changed date without what an edit gives to all dates; null when nothing of its own is left. */
function followed(event: CalendarEvent, change: ChangedDate, edit: DateEdit): ChangedDate | null {
  const { start, end, ...rest } = change;
  const kept: Record<string, unknown> = movesTimes(edit) ? rest : change;
  const result = Object.fromEntries(
    Object.entries(kept).filter(
      ([field]) => !touchedFields(edit).includes(field as (typeof DATE_FIELDS)[number]),
    ),
  );
  return saysSomething(event, result) ? (result as ChangedDate) : null;
}

/** What the date of `key` itself has to say after an edit of it alone; null when it is as planned again. */
function changeOf(event: CalendarEvent, key: string, edit: DateEdit): ChangedDate | null {
  const old = event.changedDates[key];
  const passthrough = passthroughOfDate(event);
  const was: Record<string, unknown> = old ? { ...old } : passthrough ? { passthrough } : {};
  for (const field of touchedFields(edit)) was[field] = edit.after[field];
  if (movesTimes(edit)) Object.assign(was, { start: edit.after.start, end: edit.after.end });
  for (const field of DATE_FIELDS) if (isSame(was[field], event[field])) delete was[field];
  const planned = timesAt(event, parseLocal(key));
  if (isSame([was['start'], was['end']], [planned.start, planned.end])) {
    delete was['start'];
    delete was['end'];
  }
  return saysSomething(event, was) ? { ...was, revision: (old?.revision ?? 0) + 1 } : null;
}

function withChange(event: CalendarEvent, key: string, change: ChangedDate | null): CalendarEvent {
  const { [key]: _old, ...others } = event.changedDates;
  return { ...event, changedDates: change ? { ...others, [key]: change } : others };
}

/** One date on another calendar: it leaves its series and becomes an event of its own. */
function detach(
  event: CalendarEvent,
  key: string,
  after: CalendarEvent,
  names: NewNames,
  now: number,
): EventEdit[] {
  const passthrough = after.passthrough ?? { properties: [], components: [] };
  const properties = passthrough.properties.filter(([name]) => name !== 'recurrence-id');
  const alone: CalendarEvent = {
    ...after,
    ...names,
    created: now,
    updated: now,
    revision: 0,
    passthrough: {
      ...passthrough,
      properties: [...properties, ['related-to', { reltype: 'SIBLING' }, 'text', event.uid]],
    },
  };
  const left = withChange(event, key, null);
  const skippedDates = [...new Set([...event.skippedDates, key])].sort();
  return [
    { before: event, after: revised(left, { skippedDates }, now) },
    { before: null, after: alone },
  ];
}

/** A rule with the end that the old one had, put where the moved dates end. */
function withEnd(rule: Rule, old: Rule, event: CalendarEvent, last: number | null): Rule {
  if (old.count !== undefined) return { ...rule, count: old.count };
  if (last === null) return rule;
  const kind = { wholeDay: isWholeDay(event), zone: zoneOf(event.start) };
  return { ...rule, until: untilAt(last, kind, instantAt(event, last)) };
}

/** The wall time that a planned date has once its event turned into whole days, or got hours. */
function turned(wall: number, before: EventTime, after: EventTime): number {
  const wasDate = before.kind === 'date';
  const isDate = after.kind === 'date';
  if (wasDate === isDate) return wall;
  const day = dayOfWall(wall) * DAY;
  return isDate ? day : day + (wallOf(after) - dayOfWall(wallOf(after)) * DAY);
}

/**
 * All dates of a series with the times of an edit. The dates keep their names' order: skipped and
 * changed dates go where the rule's dates go.
 * @throws RangeError when the rule can't be moved that way (see `shiftSeries`).
 */
function withTimes(
  event: CalendarEvent,
  key: string,
  after: CalendarEvent,
  isRuleReplaced: boolean,
): CalendarEvent {
  const series = seriesOf(event);
  const at = parseLocal(key);
  const toDate = after.start.kind === 'date';
  const goal = toDate ? dayOfWall(wallOf(after.start)) * DAY : wallOf(after.start);
  // Hours come and go by themselves; what is shifted then is the day.
  const turns = (event.start.kind === 'date') !== toDate;
  const to = turns ? at + (dayOfWall(goal) - dayOfWall(at)) * DAY : goal;
  const uniform = { rule: series.rule, map: (wall: number) => wall + (to - at) };
  const shifted = shiftSeries(series, at, to) ?? (isRuleReplaced ? uniform : null);
  if (!shifted) throw new RangeError('This repeat can’t be moved to other days as a whole.');
  const map = (wall: number) => {
    const moved = shifted.map(wall);
    return moved === null ? null : turned(moved, event.start, after.start);
  };
  const start = turned(shiftedStart(series, shifted), event.start, after.start);
  const length = durationOf(after);
  const model = { start: after.start, end: after.end };
  const times = movedTimes(model, start, zoneOf(after.start) ?? 'UTC');
  const moved: CalendarEvent = { ...event, ...times };
  const lastWall = shiftedLast(series, shifted);
  const last = lastWall === null ? null : turned(lastWall, event.start, after.start);
  const rename = (old: string) => {
    const wall = map(parseLocal(old));
    return wall === null ? null : keyOfWall(moved, wall);
  };
  const extra = event.extraDates.map((date) => {
    const wall = map(wallOf(date.start));
    const at = timeAt(times.start, wall ?? wallOf(date.start));
    return date.end && length === durationOf(event) && !turns
      ? movedTimes({ start: date.start, end: date.end }, wallOf(at), zoneOf(at) ?? 'UTC')
      : { start: at };
  });
  return {
    ...moved,
    rule:
      series.rule && shifted.rule
        ? writeRule(withEnd(shifted.rule, series.rule, moved, last))
        : undefined,
    extraDates: extra,
    skippedDates: event.skippedDates.map(rename).filter((name) => name !== null),
    ...renamedChanges(event, rename),
  };
}

/** Changed dates by their new names. One whose planned date is gone stays as an extra date. */
function renamedChanges(event: CalendarEvent, rename: (key: string) => string | null) {
  return {
    changedDates: Object.fromEntries(
      Object.entries(event.changedDates).map(([key, change]) => [rename(key) ?? key, change]),
    ),
  };
}

/** An event whose changed dates are all dates of it: those that the rule doesn't give are added, or dropped. */
function settled(event: CalendarEvent, fate: ChangedDatesFate): CalendarEvent {
  const series = seriesOf(event);
  const isPlanned = (key: string) => {
    const wall = parseLocal(key);
    return series.extra.includes(wall) || ruleStarts(series, wall, wall + 1, 1).starts.length > 0;
  };
  const stray = Object.keys(event.changedDates).filter((key) => !isPlanned(key));
  const skippedDates = event.skippedDates.filter(isPlanned);
  if (!stray.length) return { ...event, skippedDates };
  if (fate === 'keep') {
    const added = stray.map((key) => ({ start: timeAt(event.start, parseLocal(key)) }));
    return { ...event, skippedDates, extraDates: [...event.extraDates, ...added] };
  }
  const changedDates = Object.fromEntries(
    Object.entries(event.changedDates).filter(([key]) => !stray.includes(key)),
  );
  return { ...event, skippedDates, changedDates };
}

/** A series with another rule, from its start on; the start goes to the rule's first date. */
function withRule(event: CalendarEvent, rule: string, keepsEnd: boolean): CalendarEvent {
  const { count, until, ...parsed } = parseRule(rule);
  const old = keepsEnd && event.rule !== undefined ? parseRule(event.rule) : { count, until };
  const ended: Rule = {
    ...parsed,
    ...(old.count === undefined ? {} : { count: old.count }),
    ...(old.until ? { until: old.until } : {}),
  };
  const series = { ...seriesOf(event), rule: ended };
  const [first = series.start] = ruleStarts(series, series.start, Infinity, 1).starts;
  return { ...event, ...timesAt(event, first), rule: writeRule(ended) };
}

/** An edit of every date of a series. */
function rewritten(
  event: CalendarEvent,
  key: string,
  edit: DateEdit,
  fate: ChangedDatesFate,
): CalendarEvent {
  const { after } = edit;
  if (edit.repeat && edit.repeat.rule === undefined) return onlyThisDate(event, after);
  let result = movesTimes(edit) ? withTimes(event, key, after, edit.repeat !== undefined) : event;
  for (const field of touchedFields(edit)) result = { ...result, [field]: after[field] };
  const { calendarId, keptHours, icon, inkOverride } = after;
  result = { ...result, calendarId, keptHours, icon, inkOverride };
  // The date that was edited is where the person put it: the edit speaks for it.
  const own = movesTimes(edit) ? keyOfWall(result, wallOf(after.start)) : key;
  const changes = Object.entries(result.changedDates).flatMap(([name, change]) => {
    const kept = name === own || fate === 'follow' ? followed(event, change, edit) : change;
    return kept ? [[name, kept] as const] : [];
  });
  result = { ...result, changedDates: Object.fromEntries(changes) };
  if (edit.repeat?.rule !== undefined)
    result = withRule(result, edit.repeat.rule, edit.repeat.keepsEnd);
  return settled(result, fate);
}

/** A series that was made to repeat no more: the date that was edited is what is left. */
function onlyThisDate(event: CalendarEvent, after: CalendarEvent): CalendarEvent {
  const { rule: _rule, ...rest } = event;
  return { ...rest, ...after, id: event.id, uid: event.uid, rule: undefined };
}

/** How an edit of one date of a series is carried out. */
export interface EditPlan {
  scope: Scope;
  fate: ChangedDatesFate;
  /** Names for an event that the edit may have to make. */
  names: NewNames;
  /** Epoch ms */
  now: number;
}

/**
 * Edits a series through one of its dates (`key`): that date alone, it and all later ones (the
 * series is split there, RFC 5545 §3.8.4.5 linking the two), or every date.
 * @throws RangeError when the rule can't be moved to other days as a whole.
 */
export function editSeries(
  event: CalendarEvent,
  key: string,
  edit: DateEdit,
  { scope, fate, names, now }: EditPlan,
): EventEdit[] {
  if (scope === 'this') {
    if (edit.after.calendarId !== event.calendarId)
      return detach(event, key, edit.after, names, now);
    const after = withChange(event, key, changeOf(event, key, edit));
    return [{ before: event, after: revised(after, {}, now) }];
  }
  if (scope === 'every' || isFirstDate(event, key))
    return [{ before: event, after: revised(rewritten(event, key, edit, fate), {}, now) }];
  const { head, tail } = splitSeries(event, key, names);
  const after = { ...rewritten(tail, key, edit, fate), created: now, updated: now };
  return [
    { before: event, after: revised(head, {}, now) },
    { before: null, after },
  ];
}
