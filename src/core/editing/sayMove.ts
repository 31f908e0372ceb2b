import type { CalendarEvent } from '../model/event';
import { isWholeDay } from '../model/event';
import { dayOfWall, minuteOfDay } from '../time/civil';
import type { Wording } from '../time/words';
import { SHORT_DAY, sayDay, sayMinute } from '../time/words';
import type { DayNumber, WallMs } from '../time/units';
import { wallOnClock } from './times';

type Times = Pick<CalendarEvent, 'start' | 'end'>;

/** How times are said: in which words, on the clock of which zone. */
export interface Saying {
  wording: Wording;
  clock: string;
}

function sayTime(wall: WallMs, wholeDay: boolean, wording: Wording, day: DayNumber | null): string {
  const own = dayOfWall(wall);
  return [
    ...(own === day ? [] : [sayDay(own, wording, SHORT_DAY)]),
    ...(wholeDay ? [] : [sayMinute(minuteOfDay(wall), wording.hourCycle)]),
  ].join(', ');
}

/** When an event begins: "Thu 26 Nov, 11:30", or its day alone. */
export function sayStart(event: Times, { wording, clock }: Saying): string {
  return sayTime(wallOnClock(event.start, clock), isWholeDay(event), wording, null);
}

/**
 * What an edit did to an event's times, to be put behind what it is called: ": Wed 25 Nov, 11:30 →
 * Thu 26 Nov, 11:30", or ": ends 12:30 → 13:00". Empty when they are as they were.
 */
export function sayMove(before: Times, after: Times, { wording, clock }: Saying): string {
  const say = (edge: 'start' | 'end') => {
    // A whole day's end is the day after its last.
    const wall = (times: Times, wholeDay: boolean) =>
      wallOnClock(times[edge], clock) - (edge === 'end' && wholeDay ? 1 : 0);
    const [from, to] = [wall(before, isWholeDay(before)), wall(after, isWholeDay(after))];
    if (from === to && isWholeDay(before) === isWholeDay(after)) return '';
    const isOneDay = dayOfWall(from) === dayOfWall(to) && !isWholeDay(before) && !isWholeDay(after);
    const day = isOneDay ? dayOfWall(from) : null;
    // The day of an end that stays on it is known.
    const first = sayTime(from, isWholeDay(before), wording, edge === 'end' ? day : null);
    return `${first} → ${sayTime(to, isWholeDay(after), wording, day)}`;
  };
  const start = say('start');
  if (start) return `: ${start}`;
  const end = say('end');
  return end ? `: ends ${end}` : '';
}
