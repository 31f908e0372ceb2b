import { nanoid } from 'nanoid';
import { calendarForNew } from '@/core/calendars/showing';
import { draftOf } from '@/core/editing/drafting';
import { attendeesOf, meetingTitle, roomOf } from '@/core/people/guests';
import { NO_REPEAT } from '@/core/recurrence/repeat';
import { MINUTE } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { useMessages } from '@/data/messages';
import { NO_CALENDAR } from '@/data/onceOpen';
import { usePeople } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import type { Guest } from '@/engine/people/people';
import type { TakenOpening } from './OpeningsDialog';
import { OpeningsDialog } from './OpeningsDialog';

interface Props {
  guests: readonly Guest[];
  /** Day number */
  day: DayNumber;
  onClose(): void;
}

/** Looks for a time for a meeting that is not there yet; the one that is taken becomes an event. */
export function NewMeeting({ guests, day, onClose }: Props) {
  const act = useDo();
  const { say } = useMessages();
  const people = usePeople();
  const { clock, settings, workdays } = usePreferences();
  const calendar = calendarForNew(useCalendars(), settings.defaultCalendarId);

  async function take({ start, minutes, guests: asked }: TakenOpening) {
    if (!calendar) return say(NO_CALENDAR);
    const from = wallFromInstant(start, clock);
    const event = draftOf({
      span: { start: from, end: from + minutes * MINUTE, wholeDay: false, lasts: true },
      fields: {
        id: nanoid(12),
        calendarId: calendar.id,
        title: meetingTitle(asked, people),
        place: roomOf(asked, people),
        attendees: attendeesOf(asked, people),
      },
      calendar,
      repeat: NO_REPEAT,
      clock,
      workdays,
      now: Date.now(),
    });
    if (await act({ kind: 'addEvent', event })) onClose();
  }

  return (
    <OpeningsDialog
      title="When could we meet?"
      guests={guests}
      minutes={settings.defaultLength}
      day={day}
      take="Take it"
      onTake={(taken) => void take(taken)}
      onClose={onClose}
    />
  );
}
