import { partsOfId } from '../../agenda/occurrence';
import { skipDates, removeDates } from '../../editing/series/skips';
import { keyOfWall, seriesOf } from '../../editing/series/dates';
import type { CalendarEvent } from '../../model/event';
import { isSeries } from '../../model/event';
import { wallOf, zoneOf } from '../../model/common';
import { titleOf } from '../../model/titleOf';
import { ruleStarts } from '../../recurrence/expand';
import { isEndless, nextStarts } from '../../recurrence/walk';
import { DAY } from '../../time/civil';
import { count } from '../../time/words';
import { wallFromInstant } from '../../time/zones';
import { findSweep } from '../sweep';
import type { Check, World } from './check';
import { keyOf } from './check';

const YEAR = 365 * DAY;
/** Dates that are looked back at, and how many of them skipped say that nobody needs the rest. */
const LOOKED_BACK = 10;
const MOSTLY = 6;
/** Days ahead in which dates on closures are looked for. */
const AHEAD = 180;

const nowOn = (event: CalendarEvent, { now }: World) =>
  wallFromInstant(now, zoneOf(event.start) ?? 'UTC');

/** Of the last ten dates that a series planned, how many were skipped. */
function skippedLately(event: CalendarEvent, world: World): number {
  const series = seriesOf(event);
  if (!series.skipped.size || !series.rule) return 0;
  const to = nowOn(event, world);
  const { starts } = ruleStarts(series, to - YEAR, to, Infinity);
  return starts.slice(-LOOKED_BACK).filter((wall) => series.skipped.has(wall)).length;
}

/** Series that go on and that nobody seems to need. */
export const stale: Check = {
  find: (world) =>
    world.events.flatMap((event) => {
      if (!isSeries(event) || !isEndless(seriesOf(event))) return [];
      const isOld =
        event.updated < world.now - YEAR && wallOf(event.start) < nowOn(event, world) - YEAR;
      const skipped = skippedLately(event, world);
      if (!isOld && skipped < MOSTLY) return [];
      return {
        key: keyOf(event.id),
        ids: [event.id],
        title: titleOf(event),
        reason:
          skipped >= MOSTLY
            ? `${skipped} of its last ${LOOKED_BACK} dates were skipped`
            : 'It has no end, and nothing about it was changed for a year',
        ways: [{ how: 'end', label: 'End it now' }],
      };
    }),
  mend({ ids }, _how, world, hand) {
    const event = hand.event(ids[0]!);
    if (!event) return;
    const [next] = nextStarts(seriesOf(event), nowOn(event, world), 1);
    if (next === undefined) return;
    hand.putEvent(removeDates(event, keyOfWall(event, next), 'later', world.now));
  },
};

/** Series that run on through closures. */
export const overClosures: Check = {
  find(world) {
    const blockers = new Set(world.calendars.flatMap((c) => (c.isClosures ? [c.id] : [])));
    if (!blockers.size) return [];
    const own = new Set(world.calendars.flatMap((c) => (c.kind === 'own' ? [c.id] : [])));
    const around = world.occurrencesIn(world.today, world.today + AHEAD);
    const bySeries = new Map<string, { id: string; blockedBy: string; title: string }[]>();
    for (const { date, blockedBy } of findSweep(around, blockers, (o) => own.has(o.calendarId))) {
      const list = bySeries.get(date.eventId) ?? [];
      list.push({ id: date.id, blockedBy, title: date.title });
      bySeries.set(date.eventId, list);
    }
    return [...bySeries].map(([eventId, dates]) => ({
      key: keyOf(eventId, ...dates.map(({ id }) => id)),
      ids: dates.map(({ id }) => id),
      title: titleOf(dates[0]!),
      reason: `${count(dates.length, 'date')} on ${[...new Set(dates.map(({ blockedBy }) => `“${titleOf({ title: blockedBy })}”`))].join(', ')}`,
      ways: [
        { how: 'skip', label: `Skip ${count(dates.length, 'date')}` },
        { how: 'sweep', label: 'Move them …' },
      ],
    }));
  },
  mend({ ids }, _how, { now }, hand) {
    const event = hand.event(partsOfId(ids[0]!).eventId);
    const keys = ids.map((id) => partsOfId(id).dateKey!);
    if (event) hand.putEvent(skipDates(event, keys, now));
  },
};
