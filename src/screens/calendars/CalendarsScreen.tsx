import { useRouter } from 'expo-router';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Switch, Text } from 'react-native-paper';
import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import { nextInkAndMark } from '@/core/model/inks';
import { count } from '@/core/time/words';
import { useActions } from '@/data/actions';
import { download } from '@/data/browser';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { useCalendars, useEventCounts } from '@/data/queries';
import { Card } from '@/ui/Card';
import { Mark } from '@/ui/Mark';
import { Page } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

function CalendarRow({
  calendar,
  events,
  onExport,
}: {
  calendar: Calendar;
  events: number;
  onExport(): void;
}) {
  const palette = usePalette();
  const { show } = useActions();
  return (
    <View style={[styles.row, { borderColor: palette.hairline }]}>
      <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={18} />
      <View style={styles.text}>
        <Text style={styles.name}>{calendar.name}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {count(events, 'event')}
          {calendar.kind === 'followed'
            ? ` · followed${calendar.source ? `: ${calendar.source}` : ''}`
            : ''}
        </Text>
      </View>
      <IconButton
        icon="calendar-export"
        accessibilityLabel={`Export ${calendar.name}`}
        onPress={onExport}
        style={styles.icon}
      />
      <Switch
        value={calendar.shown}
        onValueChange={(shown) => void show(calendar, shown)}
        aria-label={`Show ${calendar.name}`}
      />
    </View>
  );
}

function NewCalendar({ calendars }: { calendars: readonly Calendar[] }) {
  const { change } = useActions();
  const [name, setName] = useState('');
  const isTaken = calendars.some(
    (calendar) => calendar.name.toLowerCase() === name.trim().toLowerCase(),
  );

  async function make() {
    const order = Math.max(-1, ...calendars.map((calendar) => calendar.order)) + 1;
    const calendar = newCalendar({
      id: nanoid(12),
      name: name.trim(),
      order,
      ...nextInkAndMark(calendars),
    });
    const done = await change(`Made the calendar ${calendar.name}`, [
      { type: 'calendar', before: null, after: calendar },
    ]);
    if (done) setName('');
  }

  const isGood = name.trim() !== '' && !isTaken;
  return (
    <View style={styles.make}>
      <View style={styles.text}>
        <TextField
          label="New calendar"
          value={name}
          onChangeText={setName}
          error={isTaken}
          onSubmitEditing={() => isGood && void make()}
        />
      </View>
      <Button mode="outlined" disabled={!isGood} onPress={() => void make()}>
        Make
      </Button>
    </View>
  );
}

/** The calendars: which are shown, how much they hold, and the way in and out for files. */
export function CalendarsScreen() {
  const router = useRouter();
  const calendars = useCalendars();
  const { data: counts = {} } = useEventCounts();
  const { engine } = useEngine();
  const { say } = useMessages();

  async function exportCalendar(id: string | null) {
    if (!engine) return;
    const { name, text, events } = await engine.exportCalendars(id);
    download(`${name}.ics`, text, 'text/calendar');
    say(`Exported ${count(events, 'event')} to ${name}.ics`);
  }

  return (
    <Page title="Calendars">
      <Card>
        {calendars.map((calendar) => (
          <CalendarRow
            key={calendar.id}
            calendar={calendar}
            events={counts[calendar.id] ?? 0}
            onExport={() => void exportCalendar(calendar.id)}
          />
        ))}
        <NewCalendar calendars={calendars} />
      </Card>
      <Card title="Files">
        <Text>Calendar files (.ics) come in with a look first, and go out with nothing lost.</Text>
        <View style={styles.buttons}>
          <Button
            mode="contained"
            icon="calendar-import"
            onPress={() => router.navigate('/import')}
          >
            Import a file
          </Button>
          <Button mode="outlined" icon="calendar-export" onPress={() => void exportCalendar(null)}>
            Export all
          </Button>
        </View>
      </Card>
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 56, borderBottomWidth: 1 },
  text: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
  icon: { margin: 0, width: 40, height: 40 },
  make: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
