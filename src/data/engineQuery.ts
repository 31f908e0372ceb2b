import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { RemoteEngine } from '@/engine/client';
import { useEngine } from './engineContext';

/** A query of the engine, asked once it is there. */
export function useEngineQuery<T>(
  key: readonly unknown[],
  ask: (engine: RemoteEngine) => Promise<T>,
  {
    enabled = true,
    keep = true,
    select,
  }: { enabled?: boolean; keep?: boolean; select?: (data: T) => T } = {},
) {
  const { engine } = useEngine();
  return useQuery({
    ...(select && { select }),
    queryKey: key,
    queryFn: () => ask(engine!),
    enabled: engine !== null && enabled,
    placeholderData: keep ? keepPreviousData : undefined,
  });
}
