import { DAY, dayOfWall, MINUTE, minuteOfDay } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { Wording } from '../time/words';
import { DATED_DAY, sayDay, sayLength, sayMinute } from '../time/words';
import { cityOf } from '../time/zoneNames';
import { wallFromInstant } from '../time/zones';

/** What is offered. */
export interface Offered {
  title: string;
  minutes: number;
  starts: readonly EpochMs[];
  /** Zones by whose clocks the times are told; the first is that of the days. */
  zones: readonly string[];
  /** Whether they are held: only then the text says so. */
  isHeld?: boolean;
}

/** "10:00 – 10:45 in London", with the day where that is another one than the first zone's. */
function timeIn(
  zone: string,
  start: EpochMs,
  end: EpochMs,
  first: string,
  wording: Wording,
): string {
  const [from, to] = [wallFromInstant(start, zone), wallFromInstant(end, zone)];
  const at = (wall: number) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const until = to % DAY === 0 && to > from ? sayMinute(24 * 60, wording.hourCycle) : at(to);
  const day = dayOfWall(from);
  const isOther = day !== dayOfWall(wallFromInstant(start, first));
  return `${at(from)} – ${until} in ${cityOf(zone)}${isOther ? ` (${sayDay(day, wording, { weekday: 'long' })})` : ''}`;
}

/** The offer as a text that can be pasted into a mail: a line for each time, by the clock of each zone. */
export function describeOffer(offered: Offered, wording: Wording): string {
  const { title, minutes, starts, zones, isHeld = false } = offered;
  const [first = 'UTC'] = zones;
  const lines = [...starts]
    .sort((a, b) => a - b)
    .flatMap((start, nth) => {
      const end = start + minutes * MINUTE;
      const day = sayDay(dayOfWall(wallFromInstant(start, first)), wording, DATED_DAY);
      return [
        `${nth + 1}. ${day}`,
        ...zones.map((zone) => `   ${timeIn(zone, start, end, first, wording)}`),
      ];
    });
  const many = starts.length > 1;
  return [
    title ? `${title}, ${sayLength(minutes)}` : sayLength(minutes),
    '',
    many ? 'Would one of these times suit you?' : 'Would this time suit you?',
    '',
    ...lines,
    ...(isHeld
      ? [
          '',
          many
            ? 'They are held for you until one is taken.'
            : 'It is held for you until you answer.',
        ]
      : []),
  ].join('\n');
}

/** So many starts, the best first, on different days as far as there are such; in order of time. */
export function spreadStarts(
  runs: readonly { day: number; first: EpochMs; weight: number }[],
  many: number,
): EpochMs[] {
  const chosen: EpochMs[] = [];
  const days = new Set<number>();
  // One a day first; then whatever is left, as good as it is.
  for (const isFresh of [true, false])
    for (const { day, first } of runs) {
      if (chosen.length >= many) break;
      if (chosen.includes(first) || (isFresh && days.has(day))) continue;
      chosen.push(first);
      days.add(day);
    }
  return chosen.sort((a, b) => a - b);
}
