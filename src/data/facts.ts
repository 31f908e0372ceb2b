import { useMemo } from 'react';
import { byDay } from '@/core/agenda/byDay';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import type { DayNumber } from '@/core/time/units';
import { useEngineQuery } from './engineQuery';

export type FactsOn = (day: DayNumber) => readonly Occurrence[];

const NONE: readonly Occurrence[] = [];

/** The facts of the days of a window, of those calendars that are shown. */
export function useFacts(
  { fromDay, toDay, zone }: Window,
  calendars: readonly Calendar[],
  isWanted: boolean,
): { factsOn: FactsOn; hasFacts: boolean } {
  const ids = calendars.flatMap(({ id, isFacts, shown }) => (isFacts && shown ? [id] : []));
  const enabled = isWanted && ids.length > 0;
  const { data } = useEngineQuery(
    ['facts', fromDay, toDay, zone, ids],
    (engine) => engine.queries.facts({ fromDay, toDay, zone }, ids),
    { enabled },
  );
  return useMemo(() => {
    const days = byDay((enabled && data) || NONE);
    return { factsOn: (day: DayNumber) => days.get(day) ?? NONE, hasFacts: days.size > 0 };
  }, [enabled, data]);
}
