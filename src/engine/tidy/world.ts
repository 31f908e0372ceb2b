import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence } from '@/core/agenda/occurrence';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { World } from '@/core/tidy/checks/check';
import { dayOfWall } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import type { Repository } from '../repository';

/** Who looks, and when. */
export interface Looking {
  /** Epoch ms */
  now: EpochMs;
  /** The home zone. */
  zone: string;
  wording: Wording;
}

export interface Looked {
  records: Pick<Repository, 'get' | 'all'>;
  index: EventIndex;
}

/** Everything that checks look at, as it is. */
export function worldOf({ records, index }: Looked, { now, zone, wording }: Looking): World {
  const calendars = records.all('calendar').filter(({ removedAt }) => removedAt === undefined);
  const own = new Set(calendars.flatMap(({ id, kind }) => (kind === 'own' ? [id] : [])));
  const all = new Set(calendars.map(({ id }) => id));
  const asked = new Map<string, readonly Occurrence[]>();
  return {
    events: records
      .all('event')
      .filter(({ removedAt, calendarId }) => removedAt === undefined && own.has(calendarId)),
    calendars,
    categories: records.all('category'),
    people: records.all('person'),
    settings: records.get('settings', 'mine') ?? DEFAULT_SETTINGS,
    now,
    zone,
    today: dayOfWall(wallFromInstant(now, zone)),
    wording,
    occurrencesIn(fromDay, toDay) {
      const name = `${fromDay} ${toDay}`;
      let found = asked.get(name);
      if (!found) asked.set(name, (found = index.query({ fromDay, toDay, zone }, all).occurrences));
      return found;
    },
  };
}
