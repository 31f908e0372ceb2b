import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { saySpan } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';

/** What a screen reader says of an event: title, time, calendar, availability, and whether changes to it wait. */
export function barName(
  o: Occurrence,
  calendar: Calendar,
  wording: Wording,
  waits: boolean,
): string {
  return `${titleOf(o)}, ${saySpan(o, wording)}, ${calendar.name}, ${o.availability}${o.dateKey === null ? '' : ', repeats'}${waits ? ', changes not kept yet' : ''}`;
}
