import { useState } from 'react';
import { Button } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { wallOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { isWholeDay } from '@/core/model/event';
import { usePreferences } from '@/data/preferences';
import { RemindersPart } from '@/features/reminders/RemindersPart';

interface Props {
  /** The event, or one of its dates, as it stands. */
  date: CalendarEvent;
  calendar: Calendar;
  onKeep(reminders: CalendarEvent['reminders']): void;
}

/** The reminders of an event, set from its menu. */
export function MenuReminders({ date, calendar, onKeep }: Props) {
  const preferences = usePreferences();
  const [reminders, setReminders] = useState(date.reminders);
  return (
    <>
      <RemindersPart
        reminders={reminders}
        availability={date.availability}
        begin={{ start: wallOf(date.start), wholeDay: isWholeDay(date) }}
        hasTravel={date.travelBefore > 0}
        calendar={calendar}
        preferences={preferences}
        onChange={setReminders}
      />
      <Button mode="contained" onPress={() => onKeep(reminders)}>
        Keep
      </Button>
    </>
  );
}
