import type { Workweek } from '../model/others';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';

/** A moment at which a reminder can come again. */
export interface Again {
  label: string;
  at: EpochMs;
}

const SOON = [5, 10, 30];
/** When a morning begins on which nobody works, in minutes of the day. */
const MORNING = 8 * 60 + 30;

/** When a reminder of an event can come again: soon, as it begins, or tomorrow as work begins on the clock of `zone`. */
export function againChoices(
  { startMs }: { startMs: EpochMs },
  { now, zone, workweek }: { now: EpochMs; zone: string; workweek: Workweek },
): Again[] {
  const tomorrow = dayOfWall(wallFromInstant(now, zone)) + 1;
  const from = workdayOf(tomorrow, workweek).hours?.from ?? MORNING;
  return [
    ...SOON.map((minutes) => ({ label: `In ${minutes} min`, at: now + minutes * MINUTE })),
    ...(startMs > now ? [{ label: 'When it begins', at: startMs }] : []),
    { label: 'Tomorrow morning', at: instantFromWall(tomorrow * DAY + from * MINUTE, zone) },
  ];
}
