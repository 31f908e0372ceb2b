import { useMemo, useState } from 'react';
import type { CalendarEvent } from '@/core/model/event';
import type { TidyRule } from '@/core/model/tidyRule';
import { ruled } from '@/core/tidy/rules';
import { useEngineQuery } from './engineQuery';
import { usePreferences } from './preferences';
import { useCalendars } from './queries';

/** Rules for new events. */
export function useRules(): readonly TidyRule[] {
  const { data } = useEngineQuery(['rules'], (engine) => engine.queries.rules());
  return useMemo(() => data ?? [], [data]);
}

/** What rules make of a new event, and how they are kept from it this time. */
export interface Ruled {
  event: CalendarEvent;
  by: readonly TidyRule[];
  leaveOut(): void;
}

/** A new event as the rules have it, but for the fields that were said about it. */
export function useRuled(event: CalendarEvent, said: ReadonlySet<keyof CalendarEvent>): Ruled {
  const rules = useRules();
  const calendars = useCalendars();
  const { clock: viewZone } = usePreferences();
  // Another title is another event.
  const [leftOut, setLeftOut] = useState<string | null>(null);
  const calendarOf = (id: string) => calendars.find((calendar) => calendar.id === id);
  const by = leftOut === event.title ? [] : rules;
  return {
    ...ruled(event, by, { viewZone, said, calendarOf }),
    leaveOut: () => setLeftOut(event.title),
  };
}
