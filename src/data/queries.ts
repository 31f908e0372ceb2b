import type { InfiniteData } from '@tanstack/react-query';
import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef } from 'react';
import type { Window } from '@/core/agenda/occurrence';
import type { CalendarEvent } from '@/core/model/event';
import { DAY } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import type { AgendaPage, AgendaRequest } from '@/engine/queries/agendaPages';
import type { RemoteEngine } from '@/engine/client';
import type { SweepRequest } from '@/engine/commands/sweep';
import type { EventQuery } from '@/core/query/eventQuery';
import { withoutPrivate } from '@/core/view/privacy';
import { ALL_SHOWN, havingWords } from '@/core/query/eventQuery';
import { describeError } from '@/core/userError';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import type { SheetShown } from './sheetShown';
import { useMessages } from './messages';
import { useNow } from './now';
import { usePreferences } from './preferences';
import { useSettings } from './settings';

type PageParam = Omit<AgendaRequest, 'zone'>;

export const OCCURRENCES = 'occurrences';

const occurrencesKey = ({ fromDay, toDay, zone }: Window, query: EventQuery) => [
  OCCURRENCES,
  fromDay,
  toDay,
  zone,
  query,
];

type Found = Awaited<ReturnType<RemoteEngine['queries']['occurrences']>>;

const withoutPrivateOnes = (found: Found): Found => ({
  ...found,
  occurrences: found.occurrences.map(withoutPrivate),
});

/** What happens in a window, as far as it is in sight. */
export function useOccurrences(window: Window, query = ALL_SHOWN, enabled = true) {
  const { hasPrivateTitles } = useSettings();
  return useEngineQuery(
    occurrencesKey(window, query),
    (engine) => engine.queries.occurrences(window, query),
    { enabled, ...(!hasPrivateTitles && { select: withoutPrivateOnes }) },
  );
}

/** How booked the days of a window are. */
export function useDayLoads(window: Window, query: EventQuery, enabled: boolean) {
  const { fromDay, toDay, zone } = window;
  return useEngineQuery(
    ['dayLoads', fromDay, toDay, zone, query],
    (engine) => engine.queries.dayLoads(window, query),
    { enabled },
  );
}

const withoutPrivatePages = (
  agenda: InfiniteData<AgendaPage, PageParam>,
): InfiniteData<AgendaPage, PageParam> => ({
  ...agenda,
  pages: agenda.pages.map((page) => ({
    ...page,
    occurrences: page.occurrences.map(withoutPrivate),
  })),
});

/** The agenda from a day on, and back from it, a page at a time. */
export function useAgenda(day: DayNumber, zone: string, query: EventQuery, enabled: boolean) {
  const { engine } = useEngine();
  const { hasPrivateTitles } = useSettings();
  return useInfiniteQuery({
    ...(!hasPrivateTitles && { select: withoutPrivatePages }),
    queryKey: enabled ? ['agenda', day, zone, query] : ['agenda'],
    // It opens at its day each time: what was scrolled to before is not kept.
    gcTime: 0,
    queryFn: ({ pageParam }) => engine!.queries.agendaPage({ ...pageParam, zone }, query),
    enabled: engine !== null && enabled,
    initialPageParam: { day, direction: 'on' } as PageParam,
    // A page without events has looked through three years of them.
    getNextPageParam: ({ toDay, occurrences }): PageParam | undefined =>
      occurrences.length ? { day: toDay, direction: 'on' } : undefined,
    getPreviousPageParam: ({ fromDay, occurrences }): PageParam | undefined =>
      occurrences.length ? { day: fromDay, direction: 'back' } : undefined,
  });
}

/**
 * Asks for the windows beside the one shown, so that they are here when they are gone to; and again
 * whenever what is shown came anew (`shownAt`, epoch ms; 0 while it isn't there), since they may have
 * changed with it.
 */
export function usePrefetchAround(
  windows: readonly Window[],
  query: EventQuery,
  shownAt: number,
): void {
  const client = useQueryClient();
  const { engine } = useEngine();
  const latest = useRef({ windows, query });
  const said = JSON.stringify([windows, query]);
  useEffect(() => {
    latest.current = { windows, query };
  });
  useEffect(() => {
    if (!engine || !shownAt) return;
    const asked = latest.current;
    for (const window of asked.windows) {
      void client.prefetchQuery({
        queryKey: occurrencesKey(window, asked.query),
        queryFn: () => engine.queries.occurrences(window, asked.query),
      });
    }
  }, [client, engine, shownAt, said]);
}

/** Booked minutes of weeks, for the ruler. */
export function useWeeklyLoad(fromDay: DayNumber, weeks: number, zone: string, query: EventQuery) {
  return useEngineQuery(['load', fromDay, weeks, zone, query], (engine) =>
    engine.queries.weeklyLoad(fromDay, weeks, zone, query),
  );
}

export function useCalendars() {
  const { data } = useEngineQuery(['calendars'], (engine) => engine.queries.calendars());
  return useMemo(() => data ?? [], [data]);
}

/** Whether the calendars are here, be there any or not. */
export function useAreCalendarsOpen(): boolean {
  const { data } = useEngineQuery(['calendars'], (engine) => engine.queries.calendars());
  return data !== undefined;
}

/** One event; nothing of another is shown while it comes. */
export function useEvent(id: string | null) {
  return useEngineQuery(['event', id], (engine) => engine.queries.event(id!), {
    enabled: id !== null,
    keep: false,
  });
}

/** Where an event or a date of it is, and whether the sheet shows it (null: there is no sheet). */
export function useWhereabouts(id: string | null, inSight: SheetShown | null) {
  const { clock: home } = usePreferences();
  const { fromDay, toDay, query, clock } = inSight ?? {
    fromDay: 0,
    toDay: 0,
    query: ALL_SHOWN,
    clock: home,
  };
  return useEngineQuery(
    ['whereabouts', id, fromDay, toDay, query, clock],
    async (engine) => {
      const found = await engine.queries.whereabouts(id!, clock, query);
      if (!found) return null;
      const { start, end } = found.occurrence;
      const isInDays = start < toDay * DAY && end >= fromDay * DAY;
      return { ...found, isInDays };
    },
    { enabled: id !== null, keep: false },
  );
}

/** The next dates of a series, stored or not yet, with what each would meet. */
export function useForesight(event: CalendarEvent, zone: string) {
  const { id, start, end, rule, extraDates, skippedDates, changedDates, availability } = event;
  const said = [id, start, end, rule, extraDates, skippedDates, changedDates, availability];
  return useEngineQuery(['foresight', JSON.stringify(said), zone], (engine) =>
    engine.queries.foresight(event, Date.now(), zone),
  );
}

/** Every zone as people look for it. Made once: it takes the worker a moment. */
export function useZones(enabled: boolean) {
  return useEngineQuery(['zones'], (engine) => engine.queries.zones(Date.now()), { enabled });
}

/** Days of closures that have a name, from today (day number) on. */
export function useNamedDays(today: DayNumber, zone: string) {
  const { data } = useEngineQuery(['namedDays', today, zone], (engine) =>
    engine.queries.namedDays(today, zone),
  );
  return useMemo(() => data ?? [], [data]);
}

/** What an event of the same title had the last time. */
export function useLastLike(title: string) {
  return useEngineQuery(['lastLike', title], (engine) => engine.queries.lastLike(title), {
    enabled: title.length > 2,
    keep: false,
  });
}

export function useSeriesList() {
  return useEngineQuery(['series'], (engine) => engine.queries.series());
}

export function useSweep(request: SweepRequest) {
  return useEngineQuery(['sweep', request], (engine) => engine.queries.sweep(request));
}

export function useRemoved() {
  return useEngineQuery(['removed'], (engine) => engine.queries.removed());
}

export function useRemovedCalendars() {
  return useEngineQuery(['removedCalendars'], (engine) => engine.queries.removedCalendars());
}

export function useCategories() {
  const { data } = useEngineQuery(['categories'], (engine) => engine.queries.categories());
  return useMemo(() => data ?? [], [data]);
}

/** Whether nothing was ever put in; undefined until that is known. */
export function useIsEmpty(): boolean | undefined {
  return useEngineQuery(['isEmpty'], (engine) => engine.queries.isEmpty()).data;
}

export function useLenses() {
  const { data } = useEngineQuery(['lenses'], (engine) => engine.queries.lenses());
  return useMemo(() => data ?? [], [data]);
}

/** The most events that a search lists. */
const FOUND = 60;

/** Events of all calendars whose title, place or notes hold all words of a text. */
export function useFoundEvents(text: string) {
  return useEngineQuery(['found', text], (engine) =>
    engine.queries.findEvents(havingWords(text), FOUND),
  );
}

export function useAttachments() {
  return useEngineQuery(['attachments'], (engine) => engine.queries.attachments());
}

export function useMergePreview(fromId: string, intoId: string | null) {
  return useEngineQuery(['merge', fromId, intoId], (e) => e.queries.mergePreview(fromId, intoId!), {
    enabled: intoId !== null,
    keep: false,
  });
}

/** How many events have the reminders of a calendar, having none of their own. */
export function useFollowers(calendarId: string | null): number {
  const { data } = useEngineQuery(
    ['followers', calendarId],
    (engine) => engine.queries.followers(calendarId!),
    { enabled: calendarId !== null },
  );
  return data ?? 0;
}

/** Has the engine look at the feeds whose time has come, each minute. */
export function useDueFeeds(): void {
  const { engine, status } = useEngine();
  const { complain } = useMessages();
  const now = useNow();
  useEffect(() => {
    if (!engine || !status.ready || status.readOnly) return;
    engine.feeds
      .refreshDue(now)
      .catch((error: Error) =>
        complain(`What followed calendars brought could not be saved. ${describeError(error)}`),
      );
  }, [engine, status.ready, status.readOnly, now, complain]);
}

export function useEventCounts() {
  return useEngineQuery(['counts'], (engine) => engine.queries.eventCounts());
}

/** What is stored, by kind. */
export function useSpace() {
  return useEngineQuery(['space'], (engine) => engine.queries.space());
}

/** What could be taken away to free room, with the events that are over by these ids. */
export function useFreeable(overIds: readonly string[]) {
  return useEngineQuery(['freeable', overIds], (engine) => engine.queries.freeable(overIds));
}

export function useSetAside() {
  return useEngineQuery(['setAside'], (engine) => engine.queries.setAside());
}

/** The last changes that can be undone and done again. */
export function useChanges() {
  return useEngineQuery(['changes'], (engine) => engine.commands.changes());
}
