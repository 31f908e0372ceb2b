import type { Occurrence } from '../agenda/occurrence';
import type { RemindingSettings, Workweek } from '../model/others';
import { workdayOf } from '../model/workweek';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantFromWall, wallFromInstant } from '../time/zones';

/** Why reminders wait, and until when at the least (epoch ms); null where nobody can say. */
export interface Quiet {
  why: 'asked' | 'event' | 'work';
  until: EpochMs | null;
  /** The event that asks not to be disturbed. */
  eventId?: string;
  title?: string;
}

interface Situation {
  now: EpochMs;
  zone: string;
  reminding: RemindingSettings;
  workweek: Workweek;
  /** What happens at the moment. */
  occurrences: readonly Pick<Occurrence, 'eventId' | 'isQuiet' | 'startMs' | 'endMs' | 'title'>[];
}

/** Days ahead in which work is looked for. */
const SOON = 14;

/** When work begins next on the clock of `zone`; null when it goes on now, or within two weeks nobody works. */
function workBegins(
  now: EpochMs,
  zone: string,
  workweek: Workweek,
): { isNow: boolean; next: EpochMs | null } {
  const today = dayOfWall(wallFromInstant(now, zone));
  for (let day = today; day < today + SOON; day++) {
    const { hours } = workdayOf(day, workweek);
    if (!hours) continue;
    const from = instantFromWall(day * DAY + hours.from * MINUTE, zone);
    const to = instantFromWall(day * DAY + hours.to * MINUTE, zone);
    if (now >= from && now < to) return { isNow: true, next: null };
    if (now < from) return { isNow: false, next: from };
  }
  return { isNow: false, next: null };
}

/** Whether reminders wait at a moment, and why; null when they don't. */
export function quietAt(situation: Situation): Quiet | null {
  const { now, zone, reminding, workweek, occurrences } = situation;
  const { quietUntil, isQuietOutsideWork } = reminding;
  if (quietUntil !== null && now < quietUntil) return { why: 'asked', until: quietUntil };
  const event = occurrences.find((o) => o.isQuiet && o.startMs <= now && now < o.endMs);
  if (event)
    return { why: 'event', until: event.endMs, eventId: event.eventId, title: event.title };
  if (!isQuietOutsideWork) return null;
  const { isNow, next } = workBegins(now, zone, workweek);
  return isNow ? null : { why: 'work', until: next };
}
