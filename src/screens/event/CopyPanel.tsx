import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { DatePickerModal } from 'react-native-paper-dates';
import type { Occurrence } from '@/core/agenda/occurrence';
import { copyTo } from '@/core/editing/edits';
import type { Calendar } from '@/core/model/calendar';
import { dayOfWall } from '@/core/time/civil';
import { count, sayDay, SHORT_DAY } from '@/core/time/words';
import { titleOf, useActions } from '@/data/actions';
import type { Preferences } from '@/data/preferences';
import { useEvent } from '@/data/queries';
import { PanelFrame } from '@/screens/plan/panels/PanelFrame';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { ToggleChip } from '@/ui/ToggleChip';
import { dateOfDay, dayOfDate } from '@/ui/days';

interface Props {
  occurrence: Occurrence;
  calendars: readonly Calendar[];
  preferences: Preferences;
  onDone(): void;
}

/** Days ahead that are offered without a picker. */
const NEAR_DAYS = [1, 2, 7, 14];

/** Puts copies of an event on chosen days, at the same time, on a chosen calendar. */
export function CopyPanel({ occurrence, calendars, preferences, onDone }: Props) {
  const { zone, wording, firstWeekday } = preferences;
  const { data: event } = useEvent(occurrence.eventId);
  const { copy } = useActions();
  const from = dayOfWall(occurrence.start);
  const [days, setDays] = useState<number[]>([]);
  const [calendarId, setCalendarId] = useState(occurrence.calendarId);
  const [isPicking, setPicking] = useState(false);
  const offered = [...new Set([...NEAR_DAYS.map((ahead) => from + ahead), ...days])].sort(
    (a, b) => a - b,
  );
  const toggle = (day: number) =>
    setDays((last) => (last.includes(day) ? last.filter((d) => d !== day) : [...last, day]));

  async function keep() {
    if (!event) return;
    const now = Date.now();
    const copies = days
      .toSorted((a, b) => a - b)
      .map((day) =>
        copyTo(event, occurrence, { day, calendarId, id: nanoid(12), viewZone: zone, now }),
      );
    if (await copy(event, copies)) onDone();
  }

  return (
    <PanelFrame
      title={`Copy “${titleOf(occurrence)}”`}
      onClose={onDone}
      footer={
        <>
          <Button onPress={onDone}>Cancel</Button>
          <Button
            mode="contained"
            disabled={days.length === 0 || !event}
            onPress={() => void keep()}
          >
            {days.length === 0 ? 'Copy' : `Copy to ${count(days.length, 'day')}`}
          </Button>
        </>
      }
    >
      <Text>To which days?</Text>
      <View style={styles.days} role="group" aria-label="Days">
        {offered.map((day) => (
          <ToggleChip
            key={day}
            label={sayDay(day, wording, SHORT_DAY)}
            isOn={days.includes(day)}
            onPress={() => toggle(day)}
          />
        ))}
        <Button icon="calendar" mode="outlined" onPress={() => setPicking(true)}>
          Other days
        </Button>
      </View>
      <Text>On which calendar?</Text>
      <CalendarChoice calendars={calendars} chosenId={calendarId} onChoose={setCalendarId} />
      <DatePickerModal
        locale="en-GB"
        mode="multiple"
        visible={isPicking}
        label="Copy to days"
        dates={days.map(dateOfDay)}
        startWeekOnMonday={firstWeekday === 0}
        onDismiss={() => setPicking(false)}
        onConfirm={({ dates }) => {
          setPicking(false);
          setDays((dates ?? []).map(dayOfDate));
        }}
      />
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  days: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
