import { newCalendar } from '@/core/model/calendar';
import { INKS } from '@/core/model/inks';
import type { TypedRecord } from '@/core/model/records';

/** What a person's own store begins with: one calendar, so that the first event has a place. */
export function firstSeed(): TypedRecord[] {
  const first = newCalendar({
    id: 'first',
    name: 'My work',
    ink: INKS.Kelp,
    mark: 'square',
    order: 0,
  });
  return [{ type: 'calendar', record: first }];
}
