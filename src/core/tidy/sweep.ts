import type { Occurrence } from '../agenda/occurrence';
import { byDay } from '../agenda/byDay';
import { isBooked } from '../agenda/occurrence';
import { dateAsEvent, passthroughOfDate } from '../editing/series/dates';
import { skipDates } from '../editing/series/skips';
import { revised } from '../model/event';
import { movedTimes } from '../editing/times';
import type { CalendarEvent } from '../model/event';
import type { Workweek } from '../model/others';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall } from '../time/civil';
import type { EpochMs } from '../time/units';

/** What becomes of a date that falls on a closure. */
export type SweepAction = 'skip' | 'next' | 'previous' | 'leave';

/** A date of a series with what it falls on. */
export interface SweepItem {
  date: Occurrence;
  /** Title of the closure or leave. */
  blockedBy: string;
}

/** An item with what is to become of it; `target` is where it would go, wall ms, null when nowhere. */
export interface SweepStep extends SweepItem {
  action: SweepAction;
  target: { start: number; end: number } | null;
}

/** How many days are looked through for a clear one. */
const REACH = 60;

const overlap = (a: { start: number; end: number }, b: { start: number; end: number }) =>
  a.start < b.end && b.start < a.end;

/**
 * The dates of series, among `occurrences`, that fall on an event of the chosen calendars. Dates
 * of those calendars themselves are left alone.
 */
export function findSweep(
  occurrences: readonly Occurrence[],
  blockerIds: ReadonlySet<string>,
  isWanted: (date: Occurrence) => boolean,
): SweepItem[] {
  const blockers = occurrences.filter((o) => blockerIds.has(o.calendarId));
  return occurrences.flatMap((date) => {
    if (date.dateKey === null || blockerIds.has(date.calendarId) || !isWanted(date)) return [];
    const span = { start: date.start, end: Math.max(date.end, date.start + 1) };
    const blocker = blockers.find((o) => overlap(span, o));
    return blocker ? [{ date, blockedBy: blocker.title }] : [];
  });
}

/** What a moved date must not meet: days off, the chosen calendars, whole days taken, other booked times. */
interface Surroundings {
  occurrences: readonly Occurrence[];
  blockerIds: ReadonlySet<string>;
  workweek: Workweek;
}

type Taken = { start: number; end: number };

function isClear(
  span: Taken,
  item: SweepItem,
  around: readonly Occurrence[],
  taken: readonly Taken[],
  blockerIds: ReadonlySet<string>,
): boolean {
  if (taken.some((other) => overlap(span, other))) return false;
  return around.every((o) => {
    if (o.id === item.date.id || !overlap(span, o)) return true;
    if (blockerIds.has(o.calendarId)) return false;
    if (o.eventId === item.date.eventId) return false;
    return !isBooked(o) || (o.wholeDay && o.availability === 'tentative');
  });
}

/**
 * What each item's action comes to, in order of time. A date that moves goes to the next (or
 * previous) working day that is clear at its time, other moves of the same sweep included; where no
 * day within two months is, its target is null and it stays.
 */
export function planSweep(
  items: readonly SweepItem[],
  actionOf: (item: SweepItem) => SweepAction,
  { occurrences, blockerIds, workweek }: Surroundings,
): SweepStep[] {
  const days = byDay(occurrences);
  const taken: Taken[] = [];
  return items.map((item) => {
    const action = actionOf(item);
    const { date } = item;
    if (action === 'skip' || action === 'leave') return { ...item, action, target: null };
    const step = action === 'next' ? 1 : -1;
    for (let away = 1; away <= REACH; away++) {
      const shift = step * away * DAY;
      const span = { start: date.start + shift, end: date.end + shift };
      const firstDay = dayOfWall(span.start);
      const lastDay = dayOfWall(Math.max(span.start, span.end - 1));
      if (!workdayOf(firstDay, workweek).hours) continue;
      const around: Occurrence[] = [];
      for (let day = firstDay; day <= lastDay; day++) around.push(...(days.get(day) ?? []));
      if (!isClear(span, item, around, taken, blockerIds)) continue;
      taken.push(span);
      return { ...item, action, target: span };
    }
    return { ...item, action, target: null };
  });
}

/** The days that a plan must know of around the items that it moves. */
export const SWEEP_REACH = REACH + 1;

/** Steps of a plan that change something. */
export function effective(steps: readonly SweepStep[]): SweepStep[] {
  return steps.filter(({ action, target }) => action === 'skip' || target !== null);
}

/** The events of a plan as they become: dates skipped, or changed to their new place. */
export function sweepEvents(
  steps: readonly SweepStep[],
  eventOf: (id: string) => CalendarEvent | null,
  zone: string,
  now: EpochMs,
): { before: CalendarEvent; after: CalendarEvent }[] {
  const byEvent = new Map<string, SweepStep[]>();
  for (const step of effective(steps)) {
    const list = byEvent.get(step.date.eventId);
    if (list) list.push(step);
    else byEvent.set(step.date.eventId, [step]);
  }
  return [...byEvent].flatMap(([id, list]) => {
    const before = eventOf(id);
    if (!before) return [];
    const skipped = list.filter(({ action }) => action === 'skip').map(({ date }) => date.dateKey!);
    let after = skipped.length ? skipDates(before, skipped, now) : revised(before, {}, now);
    for (const { date, target } of list) {
      if (!target) continue;
      const key = date.dateKey!;
      const own = dateAsEvent(before, key);
      const times = movedTimes(own, target.start, zone);
      const passthrough = passthroughOfDate(before);
      const old = after.changedDates[key] ?? (passthrough ? { passthrough } : {});
      const change = { ...old, ...times };
      after = { ...after, changedDates: { ...after.changedDates, [key]: change } };
    }
    return [{ before, after }];
  });
}
