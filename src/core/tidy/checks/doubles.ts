import { wallOnClock } from '../../editing/times';
import { isSeries, isWholeDay } from '../../model/event';
import { titleOf } from '../../model/titleOf';
import { dayOfWall } from '../../time/civil';
import { count } from '../../time/words';
import { findDoubles, joinDoubles, keptOf } from '../doubles';
import type { Check } from './check';
import { keyOf } from './check';
import { whenOf } from './words';

/** Events that are there twice, as after an import. */
export const doubles: Check = {
  find: (world) =>
    findDoubles(world.events, ({ start }) => dayOfWall(wallOnClock(start, world.zone))).map(
      (group) => {
        const kept = keptOf(group);
        const ids = group.map(({ id }) => id);
        const calendars = new Set(group.map(({ calendarId }) => calendarId)).size;
        const isMixed = group.some((one) => isWholeDay(one) !== isWholeDay(kept));
        const isNearly = new Set(group.map(({ title }) => title)).size > 1;
        const how = isMixed
          ? 'a whole day and hours on it'
          : isNearly
            ? 'nearly the same title at the same time'
            : 'the same title at the same time';
        return {
          key: keyOf(...ids.toSorted()),
          ids,
          title: titleOf(kept),
          reason: `${count(group.length, isSeries(kept) ? 'series' : 'event', isSeries(kept) ? 'series' : 'events')}, ${how}${calendars > 1 ? `, on ${calendars} calendars` : ''} · ${whenOf(kept, world)}`,
          ways: [{ how: 'join', label: 'Join' }],
        };
      },
    ),
  mend({ ids }, _how, { now }, hand) {
    const group = ids.flatMap((id) => hand.event(id) ?? []);
    if (group.length < 2) return;
    const kept = keptOf(group);
    hand.putEvent(joinDoubles(group, {}, now));
    for (const { id } of group) if (id !== kept.id) hand.removeEvent(id);
  },
};
