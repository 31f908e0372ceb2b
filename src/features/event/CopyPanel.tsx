import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Scope } from '@/core/editing/series/edit';
import { SCOPE_NAMES, sayReach } from '@/core/editing/series/sayScopes';
import { scopeChoices } from '@/core/editing/series/scopes';
import type { Calendar } from '@/core/model/calendar';
import { dayOfWall } from '@/core/time/civil';
import { count, sayDay, SHORT_DAY } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { titleOf } from '@/core/model/titleOf';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { useEvent } from '@/data/queries';
import { PanelFrame } from '@/ui/PanelFrame';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Choice } from '@/ui/Choice';
import { ToggleChip } from '@/ui/ToggleChip';
import { DaysPicker } from '@/ui/DayPicker';

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
  const { clock, wording, firstWeekday } = preferences;
  const { data: event } = useEvent(occurrence.eventId);
  const act = useDo();
  const [now] = useState(() => Date.now());
  const from = dayOfWall(occurrence.start);
  const [days, setDays] = useState<number[]>([]);
  const [calendarId, setCalendarId] = useState(occurrence.calendarId);
  const [isPicking, setPicking] = useState(false);
  const [scope, setScope] = useState<Scope>('this');
  const offered = [...new Set([...NEAR_DAYS.map((ahead) => from + ahead), ...days])].sort(
    (a, b) => a - b,
  );
  const toggle = (day: DayNumber) =>
    setDays((last) => (last.includes(day) ? last.filter((d) => d !== day) : [...last, day]));

  async function keep() {
    if (await act({ kind: 'copyEvent', occurrence, scope, days, calendarId, zone: clock }))
      onDone();
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
      {event && occurrence.dateKey !== null && (
        <Choice<Scope>
          name="What of this series?"
          value={scope}
          options={scopeChoices(event, occurrence.dateKey, null, now).map((choice) => ({
            value: choice.scope,
            label: `${SCOPE_NAMES[choice.scope]} (${sayReach({ ...choice, past: 0, changed: 0 })})`,
          }))}
          onChoose={setScope}
        />
      )}
      <Text>{scope === 'this' ? 'To which days?' : 'Beginning on which days?'}</Text>
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
      {isPicking && (
        <DaysPicker
          title="Copy to days"
          days={days}
          near={from}
          wording={wording}
          firstWeekday={firstWeekday}
          onClose={() => setPicking(false)}
          onPick={(picked) => {
            setPicking(false);
            setDays(picked);
          }}
        />
      )}
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  days: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
