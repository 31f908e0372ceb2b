import { useEngineQuery } from './engineQuery';
import { useNow } from './now';
import { usePreferences } from './preferences';

/** An event, or a date of it, with its points, notes, follow-ups, and its last and next time. */
export function useEventPage(id: string | null) {
  const { clock } = usePreferences();
  const now = useNow();
  return useEngineQuery(['page', id, clock], (engine) => engine.pages.page(id!, { now, clock }), {
    enabled: id !== null,
    keep: false,
  });
}

/** The address of an event's page. */
export const pageAddress = (id: string): `/event?of=${string}` =>
  `/event?of=${encodeURIComponent(id)}`;
