import { wallOf } from '../../model/common';
import type { CalendarEvent } from '../../model/event';
import { uidOf } from '../../model/event';
import { DAY, dayOfWall } from '../../time/civil';
import { dateAsEvent, timesAt } from './dates';
import type { Scope } from './edit';
import { editSeries } from './edit';
import { isFirstDate, splitSeries } from './split';

/** Where a copied series goes: its name, calendar, and the day (day number) that its first copied date is on. */
export interface CopyTarget {
  day: number;
  calendarId: string;
  id: string;
  /** Epoch ms */
  now: number;
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
  const before = { ...dateAsEvent(copied, key), changedDates: {} };
  const planned = timesAt(copied, wallOf(before.start));
  const wall = wallOf(planned.start) + (day - dayOfWall(wallOf(planned.start))) * DAY;
  if (wall === wallOf(planned.start)) return { ...copied, ...stamps };
  const edit = {
    before: { ...before, ...planned },
    after: { ...before, ...planned, ...timesAt(copied, wall) },
  };
  const plan = { scope: 'every' as const, fate: 'follow' as const, names, now };
  return { ...editSeries(copied, key, edit, plan)[0]!.after, ...stamps };
}
