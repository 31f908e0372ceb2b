import { useMemo } from 'react';
import type { BulkStep } from '@/core/model/bulkSteps';
import type { Filter } from '@/core/model/filter';
import type { EventQuery } from '@/core/query/eventQuery';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { DayNumber } from '@/core/time/units';
import type { PlacingRequest } from '@/engine/tasks/tasks';
import { useEngine } from './engineContext';
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

/** What would become of many tasks; the error says why it can't be done at all. */
export function useTaskPreview(ids: readonly string[], steps: readonly BulkStep[]) {
  const { wording, clock, zone: home } = usePreferences();
  return useEngineQuery(
    ['taskPreview', ids, steps, clock],
    (engine) =>
      engine.tasks.preview({ ids, steps, clock }, { now: Date.now(), wording, clock, home }),
    { enabled: steps.length > 0 },
  );
}

/** Tasks of which it is to be asked how they stand. */
export function useAskingTasks() {
  const { clock } = usePreferences();
  const { status } = useEngine();
  const now = useNow();
  return useEngineQuery(
    ['askingTasks', clock, now],
    (engine) => engine.tasks.asking({ now, clock }),
    { enabled: status.ready },
  );
}

/** Removed tasks, the last first. */
export function useRemovedTasks() {
  return useEngineQuery(['removedTasks'], (engine) => engine.tasks.removed());
}

/** Time that could be given to tasks. */
export function usePlacing(request: PlacingRequest) {
  const { clock } = usePreferences();
  const now = useNow();
  return useEngineQuery(['placing', request, clock, now], (engine) =>
    engine.tasks.place(request, { now, clock }),
  );
}
