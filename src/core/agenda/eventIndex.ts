import type { CalendarEvent, ChangedDate } from '../model/event';
import { MAX_DATES } from '../recurrence/expand';
import { fieldsOfDate, isChangedByHand, isWholeDay } from '../model/event';
import { zoneOf } from '../model/common';
import { DAY } from '../time/civil';
import { instantFromWall, wallFromInstant } from '../time/zones';
import type { EpochMs, WallMs } from '../time/units';
import type { Extent } from './extent';
import { extentOf, ZONE_REACH } from './extent';
import type { Occurrence, Window } from './occurrence';
import { byStart, dateId } from './occurrence';
import { wallOfEnd } from './onClock';
import type { Basis } from './series';
import { compileSeries, placed } from './series';
import { SeriesDates } from './seriesDates';

const WEEK = 7 * DAY;
/** Events that last longer than this are kept aside instead of in every week they touch. */
const LONG = 8 * WEEK;

interface Single {
  event: CalendarEvent;
  basis: Basis;
  from: number;
  to: number;
}

/** How many dates of a day are shown of all series together that have very many; of few days, at least so many in all. */
const MANY_A_DAY = 100;
const MANY_AT_LEAST = 1000;

/** How many dates a day are shown of all series together; of few or very many days, these in all. */
const WHOLE_A_DAY = 200;
const WHOLE_AT_LEAST = 3000;
const WHOLE_AT_MOST = 12_000;
/** Past that, so many series more are shown by a single date; the rest is only told. */
const SINGLY_SHOWN = 500;

/** Of more series than this no stretches are kept: they would be too many. */
const MOST_KEPT = 2000;
/** About so many dates are worked out in stretches for one question; other series wait for the next. */
const MOST_PLANNED = 8_000;

const mostInAll = ({ fromDay, toDay }: Window) =>
  Math.min(WHOLE_AT_MOST, Math.max(WHOLE_AT_LEAST, (toDay - fromDay) * WHOLE_A_DAY));

const mostOfMany = ({ fromDay, toDay }: Window) =>
  Math.min(MAX_DATES, Math.max(MANY_AT_LEAST, (toDay - fromDay) * MANY_A_DAY));

/** A window with its ends on both lines. */
interface Ends {
  zone: string;
  instantFrom: EpochMs;
  instantTo: EpochMs;
  wallFrom: WallMs;
  wallTo: WallMs;
}

function endsOf({ fromDay, toDay, zone }: Window): Ends {
  const wallFrom = fromDay * DAY;
  const wallTo = toDay * DAY;
  return {
    zone,
    wallFrom,
    wallTo,
    instantFrom: instantFromWall(wallFrom, zone),
    instantTo: instantFromWall(wallTo, zone),
  };
}

function touches(ends: Ends, basis: Basis, from: number, to: number): boolean {
  const [low, high] =
    basis === 'wall' ? [ends.wallFrom, ends.wallTo] : [ends.instantFrom, ends.instantTo];
  return from < high && (to > low || (to === from && from >= low));
}

/**
 * All events, kept so that "what happens between A and B" costs little however many there are:
 * single events by the weeks they touch, series expanded from their rules on demand.
 * Removed events are not in it.
 */
export class EventIndex {
  private readonly weeks = new Map<number, Set<Single>>();
  private readonly long = new Set<Single>();
  private readonly singles = new Map<string, Single>();
  private readonly series = new Map<string, { event: CalendarEvent; dates: SeriesDates }>();

  get size(): number {
    return this.singles.size + this.series.size;
  }

  /**
   * Adds an event, or replaces the one with its id. A removed event is taken out. Answers with the
   * days on which something may be different now.
   */
  put(event: CalendarEvent): Extent[] {
    const before = this.remove(event.id);
    if (event.removedAt !== undefined) return before;
    const series = compileSeries(event);
    if (series) {
      const dates = new SeriesDates(series);
      this.series.set(event.id, { event, dates });
      return [...before, dates.extent];
    }
    const single: Single = { event, ...placed(event) };
    this.singles.set(event.id, single);
    for (const bucket of this.bucketsOf(single)) bucket.add(single);
    return [...before, extentOf(single)];
  }

  /** Takes an event out; the days that it touched. */
  remove(id: string): Extent[] {
    const series = this.series.get(id);
    if (series) {
      this.series.delete(id);
      return [series.dates.extent];
    }
    const single = this.singles.get(id);
    if (!single) return [];
    this.singles.delete(id);
    for (const bucket of this.bucketsOf(single)) bucket.delete(single);
    return [extentOf(single)];
  }

  private bucketsOf(single: Single): Set<Single>[] {
    if (single.to - single.from > LONG) return [this.long];
    const buckets: Set<Single>[] = [];
    const last = Math.floor(single.to / WEEK);
    for (let week = Math.floor(single.from / WEEK); week <= last; week++) {
      let bucket = this.weeks.get(week);
      if (!bucket) this.weeks.set(week, (bucket = new Set()));
      buckets.push(bucket);
    }
    return buckets;
  }

  /**
   * What happens in a window, in order of start. `calendarIds` null means every calendar.
   * A series with too many dates in the window is cut; its id is then in `cut`.
   */
  query(
    window: Window,
    calendarIds: ReadonlySet<string> | null,
  ): { occurrences: Occurrence[]; cut: string[] } {
    const ends = endsOf(window);
    const occurrences: Occurrence[] = [];
    const cut: string[] = [];
    for (const single of this.singlesIn(ends)) {
      if (calendarIds && !calendarIds.has(single.event.calendarId)) continue;
      occurrences.push(occurrence(ends.zone, single.event, single));
    }
    const asked = [...this.series.values()].filter(
      ({ event }) => !calendarIds || calendarIds.has(event.calendarId),
    );
    const most = mostOfMany(window);
    // Those of very many dates share what there is room for, so that each is seen.
    const share = Math.ceil(most / asked.filter(({ dates }) => dates.isMany).length);
    const full = occurrences.length + mostInAll(window);
    let singly = 0;
    let planned = 0;
    for (const { event, dates } of asked) {
      const isFull = occurrences.length >= full;
      const limit = isFull ? 1 : dates.isMany ? share : most;
      const isLeft = isFull && ++singly > SINGLY_SHOWN;
      const mayKeep = !isFull && asked.length <= MOST_KEPT;
      const isKept = mayKeep && (planned += dates.costOfKeeping(aroundOf(ends))) <= MOST_PLANNED;
      if (isLeft || datesIn(ends, event, dates, { found: occurrences, limit, isKept }))
        cut.push(event.id);
    }
    return { occurrences: occurrences.sort(byStart), cut };
  }

  /** The dates of one event in a window, in order of start, as many as can be shown. */
  datesOf(id: string, window: Window): Occurrence[] {
    const ends = endsOf(window);
    const single = this.singles.get(id);
    if (single)
      return touches(ends, single.basis, single.from, single.to)
        ? [occurrence(ends.zone, single.event, single)]
        : [];
    const series = this.series.get(id);
    if (!series) return [];
    const found: Occurrence[] = [];
    const limit = mostOfMany(window);
    // Long stretches that are asked for once would put those of the weeks in sight out of what is kept.
    const isKept = window.toDay - window.fromDay <= LONG / DAY;
    datesIn(ends, series.event, series.dates, { found, limit, isKept });
    return found.sort(byStart);
  }

  private *singlesIn(ends: Ends): Generator<Single> {
    const seen = new Set<Single>();
    const low = Math.floor((ends.wallFrom - ZONE_REACH) / WEEK);
    const high = Math.floor((ends.wallTo + ZONE_REACH) / WEEK);
    for (let week = low; week <= high; week++) {
      for (const single of this.weeks.get(week) ?? []) {
        if (seen.has(single) || !touches(ends, single.basis, single.from, single.to)) continue;
        seen.add(single);
        yield single;
      }
    }
    for (const single of this.long) {
      if (touches(ends, single.basis, single.from, single.to)) yield single;
    }
  }
}

/** Whether the dates of an event can be worked out, so that an index can hold it. */
export function canBeIndexed(event: CalendarEvent): boolean {
  try {
    new EventIndex().put(event);
    return true;
  } catch {
    return false; // What is wrong with it is for whoever asks to say.
  }
}

/** Where dates are looked for: as far out as zones lie apart. */
const aroundOf = ({ wallFrom, wallTo }: Ends) => ({
  from: wallFrom - ZONE_REACH,
  to: wallTo + ZONE_REACH,
});

/** Adds the dates of a series that touch the window; true when there were too many. */
function datesIn(
  ends: Ends,
  event: CalendarEvent,
  planned: SeriesDates,
  { found, limit, isKept }: { found: Occurrence[]; limit: number; isKept: boolean },
): boolean {
  const { series } = planned;
  for (const change of series.changes) {
    if (!touches(ends, change.basis, change.from, change.to)) continue;
    if (series.skipped.has(change.nominal)) continue;
    found.push(occurrence(ends.zone, event, change, { key: change.key, change: change.change }));
  }
  const { basis, zone } = series;
  const near =
    zone === null
      ? { from: ends.wallFrom, to: ends.wallTo }
      : {
          from: wallFromInstant(ends.instantFrom, zone),
          to: wallFromInstant(ends.instantTo, zone),
        };
  return planned.visitAround(
    {
      ...aroundOf(ends),
      near,
      limit: Math.min(limit, MAX_DATES),
      isKept,
    },
    ({ key, from, to, change }) => {
      if (touches(ends, basis, from, to))
        found.push(occurrence(ends.zone, event, { basis, from, to }, { key, change }));
    },
  );
}

/** How it stands with others: whether the person has answered, how many guests come, who else changed it. */
function partIn(
  { invited, organizer, attendees, changedBy }: CalendarEvent,
  key: string | null,
): Pick<Occurrence, 'isUnanswered' | 'tally' | 'changedBy'> {
  const isChanged = changedBy && (changedBy.key === null || changedBy.key === key);
  const by = isChanged ? { changedBy: changedBy.name } : {};
  if (invited) return { ...by, isUnanswered: invited === 'unanswered' };
  if (!organizer) return by;
  // Whoever passed it on is not expected any more: who comes for them is.
  const guests = attendees.filter(
    ({ address, answer }) => address !== organizer.address && answer !== 'delegated',
  );
  const accepted = guests.filter(({ answer }) => answer === 'accepted').length;
  return guests.length ? { ...by, tally: { accepted, guests: guests.length } } : by;
}

function occurrence(
  viewZone: string,
  event: CalendarEvent,
  place: { basis: Basis; from: number; to: number },
  date?: { key: string; change?: ChangedDate },
): Occurrence {
  const of = date?.change ? { ...event, ...fieldsOfDate(date.change) } : event;
  const wall = place.basis === 'wall';
  const wholeDay = isWholeDay(of);
  return {
    id: date ? dateId(event.id, date.key) : event.id,
    eventId: event.id,
    calendarId: event.calendarId,
    dateKey: date?.key ?? null,
    changed: date?.change !== undefined && isChangedByHand(date.change),
    title: of.title,
    place: of.place,
    room: of.room,
    wholeDay,
    availability: of.availability,
    visibility: of.visibility,
    importance: of.importance,
    travelBefore: wholeDay ? 0 : of.travelBefore,
    travelAfter: wholeDay ? 0 : of.travelAfter,
    isQuiet: of.isQuiet,
    reminders: of.reminders,
    ink: of.inkOverride,
    icon: of.icon,
    categoryIds: of.categoryIds,
    ...((of.organizer || of.changedBy) && partIn(of, date?.key ?? null)),
    zone: zoneOf(of.start),
    startMs: wall ? instantFromWall(place.from, viewZone) : place.from,
    endMs: wall ? instantFromWall(place.to, viewZone) : place.to,
    start: wall ? place.from : wallFromInstant(place.from, viewZone),
    end: wall ? place.to : wallOfEnd(place, viewZone),
  };
}
