import type { CalendarEvent } from '@/core/model/event';
import type { AgendaPoint } from '@/core/model/eventFields';
import { useDo } from '@/data/commands';
import type { EventPage } from '@/engine/pages/pages';

/** How what stands on an event's page is changed: for one date of a series, that date's alone. */
export function useWritePage({ event, occurrence }: Pick<EventPage, 'event' | 'occurrence'>) {
  const act = useDo();
  const to = { id: event.id, dateKey: occurrence.dateKey };
  const write = (fields: Partial<Pick<CalendarEvent, 'agenda' | 'notes'>>, says: string) =>
    act({ kind: 'writePage', ...to, fields, says });
  return {
    writePoints: (agenda: AgendaPoint[], says: string) => write({ agenda }, says),
    writeNotes: (notes: string) => write({ notes }, 'Wrote notes of'),
  };
}
