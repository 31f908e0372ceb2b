import type { EventIndex } from '@/core/agenda/eventIndex';
import { placed } from '@/core/agenda/series';
import { dateAsEvent, keyOfWall, seriesOf } from '@/core/editing/series/dates';
import type { ForeseenDate } from '@/core/editing/foresight';
import { OUTLOOK_DATES, foresightOf } from '@/core/editing/foresight';
import type { CalendarEvent } from '@/core/model/event';
import { isWholeDay } from '@/core/model/event';
import { zoneOf } from '@/core/model/common';
import type { Workweek } from '@/core/model/others';
import { nextStarts } from '@/core/recurrence/walk';
import { DAY, dayOfWall } from '@/core/time/civil';
import { instantFromWall, wallFromInstant } from '@/core/time/zones';
import type { EpochMs } from '@/core/time/units';

/** What the next dates of a series are looked at with. */
export interface ForesightSetting {
  index: EventIndex;
  /** Ids of the calendars that are shown, and of those that hold closures. */
  shown: ReadonlySet<string>;
  closures: ReadonlySet<string>;
  workweek: Workweek;
  /** Epoch ms, and the clock that looks at it. */
  now: EpochMs;
  zone: string;
}

/** The next dates of an event, stored or not, each with what it would meet. */
export function foresight(event: CalendarEvent, setting: ForesightSetting): ForeseenDate[] {
  const { index, shown, closures, workweek, now, zone } = setting;
  const own = zoneOf(event.start) ?? zone;
  const from = wallFromInstant(now, own);
  const wanted = new Set([...shown, ...closures]);
  return nextStarts(seriesOf(event), from, OUTLOOK_DATES).map((wall) => {
    const date = dateAsEvent(event, keyOfWall(event, wall));
    const place = placed(date);
    const onWall = place.basis === 'wall';
    const startMs = onWall ? instantFromWall(place.from, zone) : place.from;
    const endMs = onWall ? instantFromWall(place.to, zone) : place.to;
    const start = wallFromInstant(startMs, zone);
    const end = wallFromInstant(endMs, zone);
    const fromDay = dayOfWall(start);
    // A day's worth is enough to tell; a date that lasts for weeks is looked at where it begins.
    const toDay = Math.min(dayOfWall(Math.max(start, end - 1)) + 1, fromDay + 31);
    const around = index
      .query({ fromDay, toDay, zone }, wanted)
      .occurrences.filter(({ eventId }) => eventId !== event.id);
    const span = {
      start,
      end: Math.max(end, isWholeDay(date) ? start + DAY : end),
      startMs,
      endMs,
      wholeDay: isWholeDay(date),
      isBooked: date.availability !== 'free',
      travelBefore: date.travelBefore,
      travelAfter: date.travelAfter,
    };
    return foresightOf(span, around, closures, workweek);
  });
}
