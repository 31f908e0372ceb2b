import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import { byStart } from '@/core/agenda/occurrence';
import { OCCURRENCES } from './queries';

type Found = { occurrences: Occurrence[]; cut: string[] };
type Times = Pick<Occurrence, 'start' | 'end' | 'startMs' | 'endMs'>;

/** Shows an occurrence (by its id) at another place at once; the engine's answer follows. */
export function useShowAt(): (id: string, times: Times) => void {
  const client = useQueryClient();
  return useCallback(
    (id, times) => {
      client.setQueriesData<Found>(
        { queryKey: [OCCURRENCES] },
        (found) =>
          found && {
            ...found,
            occurrences: found.occurrences
              .map((o) => (o.id === id ? { ...o, ...times } : o))
              .sort(byStart),
          },
      );
    },
    [client],
  );
}
