import type { Grouping } from '../model/view';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { DayNumber } from '../time/units';
import type { Occurrence } from './occurrence';
import { isBooked } from './occurrence';

export interface Totals {
  events: number;
  /** Minutes of timed events other than free ones, within the days of the table; each counts for itself, also where they overlap. */
  minutes: number;
}

export interface Group {
  /** Day number, id or text, by what it is grouped by. */
  key: string;
  occurrences: Occurrence[];
  totals: Totals;
}

/** Minutes that an occurrence takes of [fromDay, toDay), as they really pass. */
export function minutesWithin(o: Occurrence, fromDay: DayNumber, toDay: DayNumber): number {
  if (o.wholeDay || !isBooked(o)) return 0;
  const before = Math.max(0, fromDay * DAY - o.start);
  const after = Math.max(0, o.end - toDay * DAY);
  return Math.max(0, o.endMs - o.startMs - before - after) / MINUTE;
}

export function totalsOf(
  occurrences: readonly Occurrence[],
  fromDay: DayNumber,
  toDay: DayNumber,
): Totals {
  return {
    events: occurrences.length,
    minutes: occurrences.reduce((sum, o) => sum + minutesWithin(o, fromDay, toDay), 0),
  };
}

/** Keys of the groups that an occurrence belongs to: of several categories the first counts, so that totals add up. */
function keyOf(o: Occurrence, by: Grouping, fromDay: DayNumber): string {
  switch (by) {
    case 'none':
      return '';
    case 'day':
      return String(Math.max(fromDay, dayOfWall(o.start)));
    case 'calendar':
      return o.calendarId;
    case 'category':
      return o.categoryIds[0] ?? '';
    case 'place':
      return o.place.trim();
  }
}

/** Groups in order of their first occurrence, each with its totals. */
export function groupOccurrences(
  occurrences: readonly Occurrence[],
  by: Grouping,
  fromDay: DayNumber,
  toDay: DayNumber,
): Group[] {
  const groups = new Map<string, Occurrence[]>();
  for (const o of occurrences) {
    const key = keyOf(o, by, fromDay);
    const group = groups.get(key);
    if (group) group.push(o);
    else groups.set(key, [o]);
  }
  return [...groups].map(([key, found]) => ({
    key,
    occurrences: found,
    totals: totalsOf(found, fromDay, toDay),
  }));
}
