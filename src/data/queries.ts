import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import type { Window } from '@/core/agenda/occurrence';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { RemoteEngine } from '@/engine/client';
import { useEngine } from './engineContext';

export const OCCURRENCES = 'occurrences';

/** A query of the engine, asked once it is there. */
function useEngineQuery<T>(
  key: readonly unknown[],
  ask: (engine: RemoteEngine) => Promise<T>,
  { enabled = true, keep = true } = {},
) {
  const { engine } = useEngine();
  return useQuery({
    queryKey: key,
    queryFn: () => ask(engine!),
    enabled: engine !== null && enabled,
    placeholderData: keep ? keepPreviousData : undefined,
  });
}

const occurrencesKey = ({ fromDay, toDay, zone }: Window) => [OCCURRENCES, fromDay, toDay, zone];

/** What happens in a window on the shown calendars. */
export function useOccurrences(window: Window) {
  return useEngineQuery(occurrencesKey(window), (engine) => engine.occurrences(window));
}

/** Asks for the windows before and after one, so that they are here when they are gone to. */
export function usePrefetchAround(window: Window, isReady: boolean): void {
  const client = useQueryClient();
  const { engine } = useEngine();
  const { fromDay, toDay, zone } = window;
  useEffect(() => {
    if (!engine || !isReady) return;
    const days = toDay - fromDay;
    for (const shift of [-days, days]) {
      const next = { fromDay: fromDay + shift, toDay: toDay + shift, zone };
      void client.prefetchQuery({
        queryKey: occurrencesKey(next),
        queryFn: () => engine.occurrences(next),
      });
    }
  }, [client, engine, isReady, fromDay, toDay, zone]);
}

/** Booked minutes of weeks, for the ruler. */
export function useWeeklyLoad(fromDay: number, weeks: number, zone: string) {
  return useEngineQuery(['load', fromDay, weeks, zone], (engine) =>
    engine.weeklyLoad(fromDay, weeks, zone),
  );
}

export function useCalendars() {
  const { data } = useEngineQuery(['calendars'], (engine) => engine.calendars());
  return useMemo(() => data ?? [], [data]);
}

export function useSettings() {
  const { data } = useEngineQuery(['settings'], (engine) => engine.settings());
  return data ?? DEFAULT_SETTINGS;
}

/** One event; nothing of another is shown while it comes. */
export function useEvent(id: string | null) {
  return useEngineQuery(['event', id], (engine) => engine.event(id!), {
    enabled: id !== null,
    keep: false,
  });
}

export function useRemoved() {
  return useEngineQuery(['removed'], (engine) => engine.removed());
}

export function useEventCounts() {
  return useEngineQuery(['counts'], (engine) => engine.eventCounts());
}

export function useSetAside() {
  return useEngineQuery(['setAside'], (engine) => engine.setAside());
}
