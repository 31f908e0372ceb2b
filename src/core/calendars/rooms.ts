import type { Calendar } from '../model/calendar';
import type { CalendarEvent } from '../model/event';
import type { Settings } from '../model/others';

/** Whether a new event is to have a room link: as its calendar says, or else the settings. */
export function wantsRoom(
  event: Pick<CalendarEvent, 'attendees'>,
  calendar: Pick<Calendar, 'rooms'> | undefined,
  settings: Pick<Settings, 'rooms'>,
): boolean {
  const rooms = calendar?.rooms ?? settings.rooms;
  return rooms === 'all' || (rooms === 'asked' && event.attendees.length > 0);
}

/** Minutes before its start in which a room may be joined already. */
const EARLY = 15;
/** Minutes after its end in which it still may: it may run over. */
const LATE = 15;

/** Whether it is time to join an event's room. `now` and its times are epoch ms. */
export const isJoinable = (
  { startMs, endMs, room }: { startMs: number; endMs: number; room: string },
  now: number,
): boolean => room !== '' && now >= startMs - EARLY * 60_000 && now < endMs + LATE * 60_000;
