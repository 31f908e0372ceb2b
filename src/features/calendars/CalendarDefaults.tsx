import { Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { usePreferences } from '@/data/preferences';
import { AVAILABILITIES, ROOM_CHOICES } from '@/features/event/choices';
import { ReminderList } from '@/features/reminders/ReminderList';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { Choice } from '@/ui/Choice';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  form: Calendar;
  set(fields: Partial<Calendar>): void;
}

const LENGTHS = [15, 30, 45, 60, 90, 120];
const HOURS = { start: null, wholeDay: false };
const WHOLE_DAY = { start: null, wholeDay: true };

const REMINDS_OF = [
  { value: 'all', label: 'All of its events' },
  { value: 'booked', label: 'Only busy and tentative ones' },
] as const;

/** What events of a calendar have, as long as they have nothing else. */
export function CalendarDefaults({ form, set }: Props) {
  const preferences = usePreferences();
  const { dim } = usePalette();
  const { settings, wording } = preferences;
  const lengths = [...new Set([...LENGTHS, ...(form.defaultLength ? [form.defaultLength] : [])])];
  return (
    <>
      <Choice
        name="New events last"
        value={form.defaultLength ?? null}
        options={[
          { value: null, label: `As in settings (${settings.defaultLength} min)` },
          ...lengths.map((value) => ({ value, label: `${value} min` })),
        ]}
        onChoose={(length) => set({ defaultLength: length ?? undefined })}
      />
      <Choice
        name="While they last I am"
        value={form.defaultAvailability}
        options={AVAILABILITIES}
        onChoose={(defaultAvailability) => set({ defaultAvailability })}
      />
      <Choice
        name="Room links for new events"
        value={form.rooms ?? null}
        options={[{ value: null, label: 'As in settings' }, ...ROOM_CHOICES]}
        onChoose={(rooms) => set({ rooms: rooms ?? undefined })}
      />
      <Text variant="bodySmall" style={{ color: dim }}>
        Remind me of events with a time
      </Text>
      <ReminderList
        name="Reminders of events with a time"
        reminders={form.defaultReminders}
        begin={HOURS}
        preferences={preferences}
        onChange={(defaultReminders) => set({ defaultReminders })}
      />
      <Text variant="bodySmall" style={{ color: dim }}>
        Remind me of whole days
      </Text>
      <ReminderList
        name="Reminders of whole days"
        reminders={form.defaultWholeDayReminders}
        begin={WHOLE_DAY}
        preferences={preferences}
        onChange={(defaultWholeDayReminders) => set({ defaultWholeDayReminders })}
      />
      <Choice
        name="These reminders are for"
        value={form.remindsOf}
        options={REMINDS_OF}
        onChoose={(remindsOf) => set({ remindsOf })}
      />
      <ZonePicker
        key={form.zone ?? 'home'}
        label="Zone of new events"
        placeholder="Home"
        zone={form.zone ?? null}
        hourCycle={wording.hourCycle}
        onChoose={(zone) => set({ zone })}
        {...(form.zone
          ? { other: { label: 'Back to home', onPress: () => set({ zone: undefined }) } }
          : {})}
      />
    </>
  );
}
