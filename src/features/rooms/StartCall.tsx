import { nanoid } from 'nanoid';
import { Button } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { draftOf } from '@/core/editing/drafting';
import { NO_REPEAT } from '@/core/recurrence/repeat';
import { MINUTE } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { useMessages } from '@/data/messages';
import { NO_CALENDAR, useOnceOpen } from '@/data/onceOpen';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { useRooms } from '@/data/rooms';

/** An event from now on with a room, whose link can be pasted at once. */
export function StartCall() {
  const act = useDo();
  const rooms = useRooms();
  const { complain, say } = useMessages();
  const { clock, settings, workdays } = usePreferences();
  const calendar = calendarForNew(useCalendars(), settings.defaultCalendarId);

  async function start() {
    if (!calendar) return say(NO_CALENDAR);
    const room = await rooms.give();
    if (!room) return;
    const now = Date.now();
    const from = Math.floor(wallFromInstant(now, clock) / MINUTE) * MINUTE;
    const length = calendar.defaultLength ?? settings.defaultLength;
    const event = draftOf({
      span: { start: from, end: from + length * MINUTE, wholeDay: false, lasts: true },
      fields: { id: nanoid(12), calendarId: calendar.id, title: 'Call', room },
      calendar,
      repeat: NO_REPEAT,
      clock,
      workdays,
      now,
    });
    if (!(await act({ kind: 'addEvent', event }, { isQuiet: true }))) return;
    try {
      await navigator.clipboard.writeText(room);
      say('The call begins now. Its link is copied.', { offers: ['undo'], about: event.id });
    } catch {
      // Browsers refuse where the page is not from a safe origin, or as the person told them to.
      complain(`The call begins now. Its link could not be copied. It is: ${room}`);
    }
  }

  const startOnceOpen = useOnceOpen(start);

  return (
    <Button compact icon="video-outline" onPress={startOnceOpen}>
      Start a call now
    </Button>
  );
}
