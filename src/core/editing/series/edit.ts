import { wallOf } from '../../model/common';
import type { CalendarEvent, ChangedDate } from '../../model/event';
import type { DateContent } from '../../model/eventFields';
import { DATE_CONTENT } from '../../model/eventFields';
import { ruleStarts } from '../../recurrence/expand';
import type { Rule } from '../../recurrence/rule';
import { parseRule } from '../../recurrence/rule';
import { writeRule } from '../../recurrence/writeRule';
import { parseLocal } from '../../time/civil';
import type { EpochMs } from '../../time/units';
import { revised } from '../../model/event';
import {
  hasDates,
  keyOfWall,
  passthroughOfDate,
  plannedTimes,
  seriesOf,
  timeAt,
  timesAt,
} from './dates';
import { RefusedEdit } from './fit';
import { goalOf, retimed } from './retime';
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

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Whether an edit touched when the date is. */
function movesTimes({ before, after }: DateEdit): boolean {
  return !isSame([before.start, before.end], [after.start, after.end]);
}

/** The fields, besides times, that an edit touched. */
function touchedFields({ before, after }: DateEdit): DateContent[] {
  return DATE_CONTENT.filter((field) => !isSame(before[field], after[field]));
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
    Object.entries(kept).filter(([field]) => !touchedFields(edit).includes(field as DateContent)),
  );
  return saysSomething(event, result) ? (result as ChangedDate) : null;
}

/** A change that says nothing yet, with what it takes along of its series' file. */
function passthroughChange(event: CalendarEvent): ChangedDate {
  const passthrough = passthroughOfDate(event);
  return passthrough ? { passthrough } : {};
}

/** What the date of `key` itself has to say after an edit of it alone; null when it is as planned again. */
function changeOf(event: CalendarEvent, key: string, edit: DateEdit): ChangedDate | null {
  const old = event.changedDates[key];
  const was: Record<string, unknown> = { ...(old ?? passthroughChange(event)) };
  // Null: this date has none, though its series may.
  for (const field of touchedFields(edit)) was[field] = edit.after[field] ?? null;
  if (movesTimes(edit)) Object.assign(was, { start: edit.after.start, end: edit.after.end });
  for (const field of DATE_CONTENT)
    if (isSame(was[field] ?? null, event[field] ?? null)) delete was[field];
  const planned = plannedTimes(event, parseLocal(key));
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
  now: EpochMs,
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
  // One that was skipped as well is not there to be kept.
  const kept = fate === 'keep' ? stray.filter((key) => !event.skippedDates.includes(key)) : [];
  const added = kept.map((key) => ({ start: timeAt(event.start, parseLocal(key)) }));
  const changedDates = Object.fromEntries(
    Object.entries(event.changedDates).filter(
      ([key]) => !stray.includes(key) || kept.includes(key),
    ),
  );
  return { ...event, skippedDates, changedDates, extraDates: [...event.extraDates, ...added] };
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
  const isRuleReplaced = edit.repeat !== undefined;
  let result = movesTimes(edit)
    ? retimed(event, key, goalOf(event, edit), { isRuleReplaced })
    : event;
  for (const field of touchedFields(edit)) result = { ...result, [field]: after[field] };
  const { calendarId, keptHours } = after;
  result = { ...result, calendarId, keptHours };
  // The date that was edited is where the person put it: the edit speaks for it.
  const own = movesTimes(edit) ? keyOfWall(result, wallOf(goalOf(event, edit).times.start)) : key;
  const changes = Object.entries(result.changedDates).flatMap(([name, change]) => {
    const kept = name === own || fate === 'follow' ? followed(event, change, edit) : change;
    return kept ? [[name, kept] as const] : [];
  });
  result = { ...result, changedDates: Object.fromEntries(changes) };
  if (movesTimes(edit)) result = withOwnTimes(result, own, after);
  if (edit.repeat?.rule !== undefined)
    result = withRule(result, edit.repeat.rule, edit.repeat.keepsEnd);
  const kept = settled(result, fate);
  if (!hasDates(kept))
    throw new RefusedEdit('No date would be left: it would end before its first one.');
  return kept;
}

/** A series whose date of `key` is where the person put it, also where it has another length than the rest. */
function withOwnTimes(
  event: CalendarEvent,
  key: string,
  { start, end }: Pick<CalendarEvent, 'start' | 'end'>,
): CalendarEvent {
  const planned = plannedTimes(event, parseLocal(key));
  if (isSame([start, end], [planned.start, planned.end])) return event;
  const change = event.changedDates[key] ?? passthroughChange(event);
  const revision = (change.revision ?? 0) + 1;
  return withChange(event, key, { ...change, start, end, revision });
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
  now: EpochMs;
}

/**
 * Edits a series through one of its dates (`key`): that date alone, it and all later ones (the
 * series is split there, RFC 5545 §3.8.4.5 linking the two), or every date.
 * @throws RefusedEdit when the rule can't be moved to other days as a whole, or no date would be left.
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
