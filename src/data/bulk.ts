import { useMemo } from 'react';
import type { BulkRequest, DeedRequest } from '@/engine/commands/bulk';
import type { BulkPreview, SelectionSummary } from '@/engine/bulk/bulk';
import { UserError } from '@/core/userError';
import { useEngineQuery } from './engineQuery';
import { usePreferences } from './preferences';
import { useSelection } from './selection';

/** What is selected, in so far as it is there, added up; undefined until that is known. */
export function useSelected(): SelectionSummary | undefined {
  const selected = useSelection();
  const ids = useMemo(() => [...selected], [selected]);
  const { data } = useEngineQuery(['selection', ids], (engine) => engine.bulk.summary(ids), {
    enabled: ids.length > 0,
  });
  return ids.length ? data : undefined;
}

export type ManyRequest =
  { kind: 'changeMany'; request: BulkRequest } | { kind: 'doToMany'; request: DeedRequest };

/** What would become of many events; the error says why it can't be done at all. */
export function useBulkPreview(asked: ManyRequest | null) {
  const { wording, clock, zone: home } = usePreferences();
  return useEngineQuery<BulkPreview>(
    ['bulkPreview', asked, clock],
    async (engine) => {
      const manner = { now: Date.now(), wording, clock, home };
      if (asked?.kind === 'changeMany') return engine.bulk.preview(asked.request, manner);
      if (asked) return engine.bulk.deedPreview(asked.request, manner);
      throw new UserError('refused', 'Nothing was chosen to be done.');
    },
    { enabled: asked !== null },
  );
}
