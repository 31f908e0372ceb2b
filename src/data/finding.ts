import { useMemo } from 'react';
import { isMonthFirst } from '@/core/time/words';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { Filter } from '@/core/model/filter';
import { partsSet } from '@/core/query/filterParts';
import { dayOfWall } from '@/core/time/civil';
import { useEngineQuery } from './engineQuery';
import { useNow, useWallNow } from './now';
import { usePreferences } from './preferences';

/** Results in so far as a screen lists them; more are counted. */
const LISTED_RESULTS = 200;

/** What typed words may ask for. */
export function useSuggestions(typed: string) {
  const { clock, wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const context = { today, firstWeekday, isMonthFirst: isMonthFirst(wording) };
  return useEngineQuery(
    ['suggest', typed, context],
    (engine) => engine.finding.suggest(typed, context),
    { enabled: typed.trim() !== '' },
  );
}

/** A filter as a question of all calendars. */
export const questionOf = (filter: Filter, now: number): EventQuery => ({
  ...EVERYTHING,
  filter,
  now,
});

/** What a filter finds on all calendars, what comes and what is over. */
export function useFound(filter: Filter) {
  const { clock: zone } = usePreferences();
  const now = useNow();
  const query = useMemo(() => questionOf(filter, now), [filter, now]);
  return useEngineQuery(
    ['results', filter, zone, now],
    (engine) => engine.finding.find(query, { zone, now, most: LISTED_RESULTS }),
    { enabled: partsSet(filter) > 0 },
  );
}

export function useQuestions() {
  const { data } = useEngineQuery(['questions'], (engine) => engine.queries.questions());
  return useMemo(() => data ?? [], [data]);
}
