import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Quiet } from '@/core/reminders/quiet';
import { minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { count, sayMinute } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import { usePreferences } from '@/data/preferences';
import { useReminders } from '@/data/reminders';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import { ReminderRow } from './ReminderRow';
import { later } from '@/ui/later';

const AgainDialog = later(() => import('./AgainDialog').then((part) => part.AgainDialog));

/** Reminders that are shown before the rest is asked for. */
const FIRST = { phone: 1, wide: 3 };
/** Reminders that are listed at once, and more with each press. */
const STEP = 100;

/** Why reminders wait: "quiet until 15:00", "Stocktake runs", "outside of working hours". */
function sayQuiet(quiet: Quiet | null, clock: string, { hourCycle }: Wording): string {
  if (!quiet) return 'they come in a moment';
  if (quiet.why === 'event') return `“${quiet.title || 'Untitled'}” is not to be disturbed`;
  if (quiet.why === 'work') return 'nobody works now';
  const until = sayMinute(minuteOfDay(wallFromInstant(quiet.until!, clock)), hourCycle);
  return `quiet until ${until}`;
}

/** What is to be reminded of: on every screen, above what it shows, until it is done with or put off. */
export function ReminderBar() {
  const preferences = usePreferences();
  const { clock, wording } = preferences;
  const palette = usePalette();
  const { now, shown, held, quiet, done, again, open, release } = useReminders(preferences);
  const first = useIsWide() ? FIRST.wide : FIRST.phone;
  const [isAll, setAll] = useState(false);
  const [listedMost, setListedMost] = useState(STEP);
  const [putOff, setPutOff] = useState<string | null>(null);
  const chosen = shown.find(({ id }) => id === putOff);
  if (!shown.length && !held) return null;
  const missed = shown.filter(({ isMissed }) => isMissed).length;
  const howMany =
    missed > 0
      ? `${missed} ${missed === 1 ? 'was' : 'were'} missed`
      : count(shown.length, 'reminder');
  const listed = shown.slice(0, isAll ? listedMost : first);
  return (
    <View
      role="region"
      aria-label="Reminders"
      style={[styles.bar, { backgroundColor: palette.amberWash, borderColor: palette.hairline }]}
    >
      {(shown.length > 1 || missed > 0) && (
        <View style={styles.head}>
          {shown.length > first ? (
            <Button compact aria-expanded={isAll} onPress={() => setAll(!isAll)}>
              {howMany}
            </Button>
          ) : (
            <Text variant="bodySmall">{howMany}</Text>
          )}
          <View style={styles.grow} />
          {shown.length > first && (
            <Button compact onPress={() => setAll(!isAll)}>
              {isAll ? 'Show fewer' : `Show all ${shown.length}`}
            </Button>
          )}
          {shown.length > 1 && (
            <Button compact onPress={() => void done(shown.map(({ id }) => id))}>
              Done with all
            </Button>
          )}
        </View>
      )}
      <View role="list" aria-live="polite" style={styles.list}>
        {listed.map((reminder) => (
          <ReminderRow
            key={reminder.id}
            reminder={reminder}
            now={now}
            preferences={preferences}
            onOpen={() => open(reminder.occurrence.id)}
            onDone={() => void done([reminder.id])}
            onAgain={() => setPutOff(reminder.id)}
          />
        ))}
        {isAll && shown.length > listedMost && (
          <Button compact onPress={() => setListedMost(listedMost + STEP)}>
            {`Show ${Math.min(STEP, shown.length - listedMost)} more of ${shown.length}`}
          </Button>
        )}
      </View>
      {held > 0 && (
        <View style={styles.head}>
          <Text variant="bodySmall" style={styles.grow}>
            {`${count(held, 'reminder')} ${held === 1 ? 'waits' : 'wait'}: ${sayQuiet(quiet, clock, wording)}`}
          </Text>
          <Button compact onPress={() => void release()}>
            Show now
          </Button>
        </View>
      )}
      {chosen && (
        <AgainDialog
          occurrence={chosen.occurrence}
          now={now}
          preferences={preferences}
          onChoose={(at) => {
            setPutOff(null);
            void again(chosen.id, at);
          }}
          onClose={() => setPutOff(null)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { borderBottomWidth: 1, paddingHorizontal: 14, paddingVertical: 6, maxHeight: '50%' },
  list: { overflowY: 'auto' } as object,
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
  grow: { flexGrow: 1 },
});
