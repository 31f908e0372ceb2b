import { wallOf, zoneOf } from '../model/common';
import { keyOfWall } from '../editing/series/dates';
import type { CalendarEvent, ChangedDate } from '../model/event';
import { DATE_CONTENT } from '../model/eventFields';
import { durationOf, isSeries, isWholeDay } from '../model/event';
import { plainRule } from '../recurrence/rule';
import { writeRule } from '../recurrence/writeRule';
import { DAY, DAYS_A_WEEK } from '../time/civil';
import { UserError } from '../userError';

const WEEK = DAYS_A_WEEK * DAY;

/** The rule of dates that lie evenly apart by days or weeks; null when they don't. */
function evenRule(walls: readonly number[]): string | null {
  const step = walls[1]! - walls[0]!;
  const isEven = walls.every((wall, i) => i === 0 || wall - walls[i - 1]! === step);
  if (!isEven || step % DAY !== 0) return null;
  const isWeekly = step % WEEK === 0;
  return writeRule({
    ...plainRule(isWeekly ? 'WEEKLY' : 'DAILY'),
    interval: step / (isWeekly ? WEEK : DAY),
    count: walls.length,
  });
}

/**
 * Single events of the same kind as one series: by a rule where they lie evenly apart, else by dates
 * of their own. The first gives the series; what others say otherwise stays with their dates.
 * @throws UserError, in words for the person, when they can't be one series.
 */
export function asSeries(events: readonly CalendarEvent[]): CalendarEvent {
  const sorted = events.toSorted((a, b) => wallOf(a.start) - wallOf(b.start));
  const [first, ...others] = sorted;
  if (!first || !others.length)
    throw new UserError('refused', 'A series needs two events or more.');
  if (sorted.some(isSeries)) throw new UserError('refused', 'One of them is a series already.');
  const isAlike = (event: CalendarEvent) =>
    isWholeDay(event) === isWholeDay(first) &&
    zoneOf(event.start) === zoneOf(first.start) &&
    durationOf(event) === durationOf(first);
  if (!sorted.every(isAlike))
    throw new UserError('refused', 'They last differently long, or are in different zones.');
  const walls = sorted.map(({ start }) => wallOf(start));
  if (new Set(walls).size < walls.length)
    throw new UserError('refused', 'Two of them are at the same time.');
  const rule = evenRule(walls);
  const changedDates = Object.fromEntries(
    others.flatMap((event) => {
      const change = differences(first, event);
      return Object.keys(change).length ? [[keyOfWall(first, wallOf(event.start)), change]] : [];
    }),
  );
  return rule === null
    ? { ...first, extraDates: others.map(({ start }) => ({ start })), changedDates }
    : { ...first, rule, changedDates };
}

/** What an event says otherwise than the first of its series, as a date may have it of its own. */
function differences(first: CalendarEvent, event: CalendarEvent): ChangedDate {
  const differing = DATE_CONTENT.filter(
    (field) => JSON.stringify(event[field] ?? null) !== JSON.stringify(first[field] ?? null),
  );
  // Null: this date has none, though the first has one.
  return Object.fromEntries(differing.map((field) => [field, event[field] ?? null])) as ChangedDate;
}
