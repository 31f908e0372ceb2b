import type { SharedThing } from '@/core/model/share';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { EpochMs } from '@/core/time/units';
import type { Asked } from '../queries/asked';

/** The events that a share is of, as things are at `now`; none where what it is of is gone. */
export function sharedQuery(
  records: Pick<Asked['records'], 'get'>,
  { kind, id }: SharedThing,
  now: EpochMs,
): EventQuery {
  if (kind === 'calendar') return { ...EVERYTHING, calendars: [id] };
  const view = records.get('lens', id)?.view;
  if (!view) return { ...EVERYTHING, calendars: [] };
  return { calendars: view.calendarIds ?? 'shown', eventIds: null, filter: view.filter, now };
}
