import type { Occurrence } from '@/core/agenda/occurrence';
import { sayLeaveBy } from '@/core/agenda/standing';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { saySpan } from '@/core/time/words';
import { importanceOf } from '@/core/model/importance';
import { titleOf } from '@/core/model/titleOf';
import type { BarState } from './barState';
import { sayTally } from './sayTally';

/** What a screen reader says of an event: title, time, calendar, availability, and whether changes to it wait or it is selected. */
export function barName(
  o: Occurrence,
  calendar: Calendar,
  wording: Wording,
  { waits, isChosen }: BarState,
): string {
  const importance = importanceOf(o.importance);
  const said = [
    titleOf(o),
    saySpan(o, wording),
    calendar.name,
    o.availability,
    o.dateKey === null ? '' : 'repeats',
    sayTally(o),
    importance === 'usual' ? '' : `${importance} importance`,
    sayLeaveBy(o, wording),
    waits ? 'changes not kept yet' : '',
    isChosen ? 'selected' : '',
  ];
  return said.filter(Boolean).join(', ');
}
