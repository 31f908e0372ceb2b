import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import type { Wording } from '@/core/time/words';
import { LONG_DAY, sayDay, sayHours } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { DayNumber } from '@/core/time/units';

/** What a screen reader says of a day: its date, how booked it is, where the work is. */
export function dayName({
  day,
  wording,
  isToday,
  awayZone = null,
  bookedMinutes,
  workweek,
}: {
  day: DayNumber;
  wording: Wording;
  isToday: boolean;
  awayZone?: string | null;
  bookedMinutes: number;
  workweek: Workweek;
}): string {
  const { workplace } = workdayOf(day, workweek);
  return [
    sayDay(day, wording, LONG_DAY),
    ...(isToday ? ['today'] : []),
    ...(awayZone ? [`by the clock of ${cityOf(awayZone)}`] : []),
    `${sayHours(bookedMinutes)} booked`,
    ...(workplace ? [workplace] : []),
  ].join(', ');
}
