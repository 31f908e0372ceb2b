import { useRouter } from 'expo-router';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { freshCalendar } from '@/core/calendars/freshCalendar';
import type { Workweek } from '@/core/model/others';
import { sayMinute } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { chooseStore } from '@/data/whichStore';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { ClockField } from '@/ui/ClockField';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/TextField';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';

/** A working week whose worked days have these hours. */
const withHours = (workweek: Workweek, hours: { from: number; to: number }): Workweek => ({
  ...workweek,
  days: workweek.days.map((day) => (day.hours ? { ...day, hours } : day)),
});

/** The hours of the first day that is worked. */
const hoursOf = ({ days }: Workweek) =>
  days.find(({ hours }) => hours)?.hours ?? { from: 540, to: 1020 };

function saidHours(workweek: Workweek, { hourCycle }: Preferences['wording']): string {
  const { from, to } = hoursOf(workweek);
  return `${sayMinute(from, hourCycle)} – ${sayMinute(to, hourCycle)}`;
}

/** When one works: the same hours on every working day, for a start. */
function Hours({ settings, wording }: Preferences) {
  const act = useDo();
  const worked = hoursOf(settings.workweek);
  const change = (hours: { from: number; to: number }) => {
    if (hours.from >= hours.to) return;
    const workweek = withHours(settings.workweek, hours);
    void act({
      ...{ kind: 'setSettings', before: settings, fields: { workweek } },
      label: 'Set the working hours',
    });
  };
  return (
    <View style={styles.row}>
      <ClockField
        label="From"
        minute={worked.from}
        hourCycle={wording.hourCycle}
        onChange={(from) => change({ ...worked, from })}
      />
      <ClockField
        label="To"
        minute={worked.to}
        hourCycle={wording.hourCycle}
        onChange={(to) => change({ ...worked, to })}
      />
    </View>
  );
}

/** The first calendar that is the person's own; none where it was removed. */
const useFirstOwn = () => useCalendars().find(({ kind }) => kind === 'own');

/** What the first calendar is called; one is made where there is none. */
function FirstCalendar() {
  const act = useDo();
  const calendars = useCalendars();
  const first = useFirstOwn();
  const [name, setName] = useState<string | null>(null);
  const shown = name ?? first?.name ?? '';
  const typed = shown.trim();
  const keep = () =>
    act(
      first
        ? { kind: 'editCalendar', before: first, fields: { name: typed } }
        : { kind: 'addCalendar', calendar: freshCalendar(nanoid(12), typed, calendars) },
    );
  return (
    <View style={styles.row}>
      <View style={styles.grow}>
        <TextField label="Its name" value={shown} onChangeText={setName} />
      </View>
      <Button
        mode="outlined"
        disabled={typed === '' || typed === first?.name}
        onPress={() => void keep()}
      >
        Keep
      </Button>
    </View>
  );
}

/** An empty week that invites: the first event, three short choices that can be left, and files to bring in. */
export function FirstStart({ onLeave }: { onLeave(): void }) {
  const palette = usePalette();
  const preferences = usePreferences();
  const act = useDo();
  const askSheet = useAskSheet();
  const router = useRouter();
  const firstOwn = useFirstOwn();
  const { settings, zone, wording } = preferences;
  const zoneSaid = `${cityOf(zone)}${settings.zone === null ? ', as the browser has it' : ''}`;
  return (
    <View
      role="region"
      aria-label="Your week is empty"
      style={[styles.all, { backgroundColor: palette.sheet, borderColor: palette.hairline }]}
    >
      <ScrollView style={styles.scroll} contentContainerStyle={styles.inside}>
        <Title level={2}>Your week is empty</Title>
        <Text>
          Draw an event on the sheet where it is to be, or type it: “Review Tuesday 10:00 for an
          hour”. Everything stays in this browser.
        </Text>
        <View style={styles.row}>
          <Button mode="contained" icon="plus" onPress={() => askSheet({ kind: 'add' })}>
            Type the first event
          </Button>
          <Button icon="calendar-import" onPress={() => router.navigate('/import')}>
            Bring in a calendar file
          </Button>
          <Button onPress={() => chooseStore('demo')}>Look at the demo first</Button>
        </View>
        <Fold
          icon="briefcase-clock-outline"
          name="When you work"
          said={`${saidHours(settings.workweek, wording)}: clear time counts within it`}
        >
          <Hours {...preferences} />
        </Fold>
        <Fold icon="earth" name="Your zone" said={zoneSaid}>
          <ZonePicker
            label="Home zone"
            placeholder="As the browser has it"
            zone={settings.zone}
            hourCycle={wording.hourCycle}
            onChoose={(next) =>
              void act({
                ...{ kind: 'setSettings', before: settings, fields: { zone: next } },
                label: 'Set the home zone',
              })
            }
          />
        </Fold>
        <Fold
          icon="layers-outline"
          name="Your first calendar"
          said={firstOwn?.name ?? 'None yet: new events need one'}
        >
          <FirstCalendar />
        </Fold>
        <View style={styles.row}>
          <Button onPress={() => router.navigate('/help')}>How things are done</Button>
          <Button onPress={onLeave}>Leave this</Button>
        </View>
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { borderBottomWidth: 1 },
  scroll: { maxHeight: '44vh' } as object,
  inside: { padding: 14, gap: 8, maxWidth: 720 },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  grow: { flexGrow: 1, minWidth: 180 },
});
