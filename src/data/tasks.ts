import { useMemo } from 'react';
import type { Filter } from '@/core/model/filter';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { DayNumber } from '@/core/time/units';
import type { PlacingRequest } from '@/engine/tasks/tasks';
import { useEngineQuery } from './engineQuery';
import { useNow } from './now';
import { usePreferences } from './preferences';

/** Tasks that pass a filter, on all calendars, with what is known around each. */
export function useTasks(filter: Filter) {
  const { clock } = usePreferences();
  const now = useNow();
  const query = useMemo(() => ({ ...EVERYTHING, filter, now }), [filter, now]);
  return useEngineQuery(['tasks', filter, clock, now], (engine) =>
    engine.tasks.list(query, { now, clock }),
  );
}

/** Tasks that are due on the days of a window, as a sheet lets them through. */
export function useTasksDue(
  fromDay: DayNumber,
  toDay: DayNumber,
  query: EventQuery,
  enabled: boolean,
) {
  const { clock } = usePreferences();
  return useEngineQuery(
    ['tasksDue', fromDay, toDay, clock, query],
    (engine) => engine.tasks.due(query, fromDay, toDay, clock),
    { enabled },
  );
}

/** One task with what is known around it; nothing of another is shown while it comes. */
export function useTaskRow(id: string | null) {
  const { clock } = usePreferences();
  const now = useNow();
  return useEngineQuery(['task', id, clock], (engine) => engine.tasks.row(id!, { now, clock }), {
    enabled: id !== null,
    keep: false,
  });
}

/** Whether there is time enough for what passes a filter; null where nothing says how long it takes. */
export function useEffort(filter: Filter) {
  const { clock } = usePreferences();
  const now = useNow();
  const query = useMemo(() => ({ ...EVERYTHING, filter, now }), [filter, now]);
  return useEngineQuery(['effort', filter, clock, now], (engine) =>
    engine.tasks.effort(query, { now, clock }),
  );
}

/** Time that could be given to tasks. */
export function usePlacing(request: PlacingRequest) {
  const { clock } = usePreferences();
  const now = useNow();
  return useEngineQuery(['placing', request, clock, now], (engine) =>
    engine.tasks.place(request, { now, clock }),
  );
}
