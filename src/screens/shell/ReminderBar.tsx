import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { titleOf } from '@/core/model/titleOf';
import { againChoices } from '@/core/reminders/again';
import { sayStanding } from '@/core/agenda/standing';
import { count, saySpan } from '@/core/time/words';
import { withoutPrivate } from '@/core/view/privacy';
import { useAskSheet } from '@/data/asked';
import type { Preferences } from '@/data/preferences';
import { usePreferences } from '@/data/preferences';
import { useReminders } from '@/data/reminders';
import type { ShownReminder } from '@/engine/reminders/reminders';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import { MenuList } from '@/ui/Menu';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';

/** Reminders that are shown before the rest is asked for. */
const FIRST = { phone: 1, wide: 3 };

interface RowProps {
  reminder: ShownReminder;
  now: number;
  preferences: Preferences;
  onDone(): void;
  onAgain(): void;
}

const isWebAddress = (link: string) => /^https?:\/\//i.test(link);

function ReminderRow({ reminder, now, preferences, onDone, onAgain }: RowProps) {
  const palette = usePalette();
  const askSheet = useAskSheet();
  const { wording, settings } = preferences;
  const { link } = reminder;
  const o = settings.hasPrivateTitles ? reminder.occurrence : withoutPrivate(reminder.occurrence);
  const title = titleOf(o);
  return (
    <View role="listitem" aria-label={title} style={styles.row}>
      <Icon name="bell-outline" size={20} color={palette.amber} />
      <View style={styles.text}>
        <Text style={styles.title}>{title}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {[sayStanding(o, now), saySpan(o, wording), o.place].filter(Boolean).join(' · ')}
        </Text>
      </View>
      <View style={styles.buttons}>
        {isWebAddress(link) && (
          <Button compact onPress={() => window.open(link, '_blank', 'noopener,noreferrer')}>
            Join
          </Button>
        )}
        <Button
          compact
          onPress={() => askSheet({ kind: 'event', id: reminder.occurrence.id, uncovers: true })}
        >
          Open
        </Button>
        <Button compact onPress={onAgain}>
          Again…
        </Button>
        <Button compact mode="contained-tonal" onPress={onDone}>
          Done
        </Button>
      </View>
    </View>
  );
}

/** What is to be reminded of: on every screen, above what it shows, until it is done with or put off. */
export function ReminderBar() {
  const preferences = usePreferences();
  const { clock, settings } = preferences;
  const palette = usePalette();
  const { now, shown, done, again } = useReminders(clock);
  const first = useIsWide() ? FIRST.wide : FIRST.phone;
  const [isAll, setAll] = useState(false);
  const [putOff, setPutOff] = useState<string | null>(null);
  const chosen = shown.find(({ id }) => id === putOff);
  if (!shown.length) return null;
  const missed = shown.filter(({ isMissed }) => isMissed).length;
  const listed = isAll ? shown : shown.slice(0, first);
  return (
    <View
      role="region"
      aria-label="Reminders"
      style={[styles.bar, { backgroundColor: palette.amberWash, borderColor: palette.hairline }]}
    >
      {(shown.length > 1 || missed > 0) && (
        <View style={styles.head}>
          <Text variant="bodySmall" style={styles.grow}>
            {missed > 0
              ? `${count(missed, 'reminder')} came due while you were away`
              : count(shown.length, 'reminder')}
          </Text>
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
      <View role="list" aria-live="polite">
        {listed.map((reminder) => (
          <ReminderRow
            key={reminder.id}
            reminder={reminder}
            now={now}
            preferences={preferences}
            onDone={() => void done([reminder.id])}
            onAgain={() => setPutOff(reminder.id)}
          />
        ))}
      </View>
      {chosen && (
        <Dialog title="Remind me again" onClose={() => setPutOff(null)}>
          <MenuList
            name="Remind me again"
            items={againChoices(chosen.occurrence, {
              now,
              zone: clock,
              workweek: settings.workweek,
            }).map(({ label, at }) => ({
              label,
              icon: 'clock-outline',
              onPress: () => {
                setPutOff(null);
                void again(chosen.id, at);
              },
            }))}
          />
        </Dialog>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { borderBottomWidth: 1, paddingHorizontal: 14, paddingVertical: 6, maxHeight: '50%' },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
  grow: { flexGrow: 1 },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 10,
    paddingVertical: 2,
  },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  title: { fontWeight: '600' },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, marginLeft: 'auto' },
});
