import { DEFAULT_SETTINGS } from '@/core/model/others';
import { useEngineQuery } from './engineQuery';

export function useSettings() {
  const { data } = useEngineQuery(['settings'], (engine) => engine.queries.settings());
  return data ?? DEFAULT_SETTINGS;
}
