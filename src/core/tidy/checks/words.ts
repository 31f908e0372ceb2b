import { wallOnClock } from '../../editing/times';
import type { CalendarEvent } from '../../model/event';
import { isWholeDay } from '../../model/event';
import { DATED_DAY, saySpan } from '../../time/words';
import type { World } from './check';

/** When an event is, in words, on the person's clock. */
export function whenOf(
  event: Pick<CalendarEvent, 'start' | 'end'>,
  { zone, wording }: Pick<World, 'zone' | 'wording'>,
): string {
  const [start, end] = [wallOnClock(event.start, zone), wallOnClock(event.end, zone)];
  return saySpan({ start, end, wholeDay: isWholeDay(event) }, wording, DATED_DAY);
}
