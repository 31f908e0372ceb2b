import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo } from 'react';
import type { Window } from '@/core/agenda/occurrence';
import type { Offer } from '@/core/model/offer';
import type { Person } from '@/core/model/person';
import { directory } from '@/core/people/directory';
import type { DirectoryEntry } from '@/core/people/directory';
import { MINUTE } from '@/core/time/civil';
import type { OpeningRequest, PersonTime, Suits } from '@/engine/people/people';
import { useDo } from './commands';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { useNow } from './now';
import { usePreferences } from './preferences';

const NO_TIME: PersonTime[] = [];
/** What others do is asked for again after so many ms. */
const FRESH = 5 * MINUTE;

/** People whom the person works with, in their order. */
export function usePeople(): readonly Person[] {
  const { data } = useEngineQuery(['people'], (engine) => engine.people.all());
  return useMemo(() => data ?? [], [data]);
}

/** What some of them do in a window, as far as they let it be seen; held while it is looked at. */
export function usePeopleTime(
  ids: readonly string[],
  { fromDay, toDay, zone }: Window,
  enabled = true,
): { times: readonly PersonTime[]; isAsking: boolean } {
  const now = useNow();
  const turn = Math.floor(now / FRESH);
  const isAsked = enabled && ids.length > 0;
  const { data, isPending } = useEngineQuery(
    ['peopleTime', fromDay, toDay, zone, ids, turn],
    (engine) => engine.people.timeOf(ids, { fromDay, toDay, zone }, Date.now()),
    { enabled: isAsked },
  );
  return { times: (isAsked && data) || NO_TIME, isAsking: isAsked && isPending };
}

/** Asks for somebody's time again. */
export function useAskAgain(): (personId: string) => Promise<void> {
  const { engine } = useEngine();
  const client = useQueryClient();
  return useCallback(
    async (personId) => {
      await engine?.people.forget(personId);
      await client.invalidateQueries({
        queryKey: ['peopleTime'],
      });
    },
    [engine, client],
  );
}

/** When each of some people is next clear for an hour of their work. */
export function useNextClear(ids: readonly string[]): ReadonlyMap<string, number | null> {
  const { clock, settings } = usePreferences();
  const { slot } = settings;
  const turn = Math.floor(useNow() / FRESH);
  const { data } = useEngineQuery(
    ['nextClear', ids, clock, slot, turn],
    (engine) => engine.people.nextClear(ids, { now: Date.now(), clock, slot }),
    { enabled: ids.length > 0 },
  );
  return useMemo(() => new Map(data?.map(({ id, start }) => [id, start])), [data]);
}

/** How a time (instants) suits some people; nothing while it is null. */
export function useSuits(
  ids: readonly string[],
  span: { start: number; end: number } | null,
): ReadonlyMap<string, Suits> {
  const turn = Math.floor(useNow() / FRESH);
  const { data } = useEngineQuery(
    ['suits', ids, span, turn],
    (engine) => engine.people.suits(ids, { ...span!, now: Date.now() }),
    { enabled: span !== null && ids.length > 0 },
  );
  return useMemo(() => new Map(data?.map((one) => [one.id, one])), [data]);
}

/** Times at which all who are asked could meet. */
export function useOpenings(request: Omit<OpeningRequest, 'now' | 'clock'> | null) {
  const { clock } = usePreferences();
  const turn = Math.floor(useNow() / FRESH);
  return useEngineQuery(
    ['openings', request, clock, turn],
    (engine) => engine.people.openings({ ...request!, clock, now: Date.now() }),
    { enabled: request !== null },
  );
}

/** Times that are held for others to choose from. */
export function useOffers(): readonly Offer[] {
  const { data } = useEngineQuery(['offers'], (engine) => engine.people.offers());
  return useMemo(() => data ?? [], [data]);
}

/** Lets go of held times that nobody took, once they have begun. */
export function useOffersOver(): void {
  const act = useDo();
  const now = useNow();
  const offers = useOffers();
  const isAnyOver = offers.some(({ times }) => times.some(({ start }) => start <= now));
  useEffect(() => {
    if (isAnyOver) void act({ kind: 'letGoPast' });
    // Once for each time that is over, however often what does it is made anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isAnyOver]);
}

/** Everybody in the office of the demo; one's own data has no office. */
export function useDirectory(): readonly DirectoryEntry[] {
  const { store } = useEngine();
  const { data } = useQuery({
    queryKey: ['directory'],
    queryFn: async () => {
      const response = await fetch('/office/directory', {
        headers: { 'X-Orderly-Week': 'office' },
      });
      if (!response.ok) throw new Error(`The office answered ${response.status}.`);
      return directory.parse(await response.json());
    },
    enabled: store === 'demo',
    retry: false,
  });
  return useMemo(() => data ?? [], [data]);
}
