import { wallOf } from '../model/common';
import type { CalendarEvent } from '../model/event';
import { isWholeDay } from '../model/event';
import { dayOfWall, minuteOfDay } from '../time/civil';
import type { Wording } from '../time/words';
import { SHORT_DAY, sayDay, sayMinute } from '../time/words';

type Times = Pick<CalendarEvent, 'start' | 'end'>;

function sayTime(wall: number, wholeDay: boolean, wording: Wording, day: number | null): string {
  const own = dayOfWall(wall);
  return [
    ...(own === day ? [] : [sayDay(own, wording, SHORT_DAY)]),
    ...(wholeDay ? [] : [sayMinute(minuteOfDay(wall), wording.hourCycle)]),
  ].join(', ');
}

/**
 * What an edit did to an event's times, to be put behind what it is called: ": Wed 25 Nov, 11:30 →
 * Thu 26 Nov, 11:30", or ": ends 12:30 → 13:00". Empty when they are as they were. Times are on the
 * event's own clock.
 */
export function sayMove(before: Times, after: Times, wording: Wording): string {
  const say = (edge: 'start' | 'end') => {
    const [was, is] = [before[edge], after[edge]];
    if (JSON.stringify(was) === JSON.stringify(is)) return '';
    // A whole day's end is the day after its last.
    const wall = (times: Times, wholeDay: boolean) =>
      wallOf(times[edge]) - (edge === 'end' && wholeDay ? 1 : 0);
    const [from, to] = [wall(before, isWholeDay(before)), wall(after, isWholeDay(after))];
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
