import { useMemo } from 'react';
import type { Person } from '@/core/model/person';
import type { PersonStanding } from '@/core/people/standing';
import { standingOf } from '@/core/people/standing';
import { dayOfWall } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { useNow } from '@/data/now';
import { usePeopleTime } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import type { PersonTime } from '@/engine/people/people';

/** What is known of somebody now. */
export interface PersonNow {
  time: PersonTime;
  /** Null where nothing is known of their time. */
  standing: PersonStanding | null;
}

/** Days from yesterday on that are looked at: what began there may last until now. */
const DAYS = 4;

/** How it stands with some people now, by their id. */
export function usePeopleNow(people: readonly Person[]): ReadonlyMap<string, PersonNow> {
  const { clock } = usePreferences();
  const now = useNow();
  const fromDay = dayOfWall(wallFromInstant(now, clock)) - 1;
  const ids = useMemo(() => people.map(({ id }) => id), [people]);
  const { times } = usePeopleTime(ids, { fromDay, toDay: fromDay + DAYS, zone: clock });
  return useMemo(
    () =>
      new Map(
        times.flatMap((time): [string, PersonNow][] => {
          const person = people.find(({ id }) => id === time.personId);
          const isKnown = person !== undefined && time.problem === null;
          const standing = isKnown ? standingOf(person, time.occurrences, now) : null;
          return [[time.personId, { time, standing }]];
        }),
      ),
    [times, people, now],
  );
}
