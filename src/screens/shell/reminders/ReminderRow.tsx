import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayLeaveBy, sayStanding } from '@/core/agenda/standing';
import { importanceOf } from '@/core/model/importance';
import { isWebAddress } from '@/core/model/webAddress';
import { titleOf } from '@/core/model/titleOf';
import { saySpan } from '@/core/time/words';
import { withoutPrivate } from '@/core/view/privacy';
import type { Preferences } from '@/data/preferences';
import type { ShownReminder } from '@/engine/reminders/reminders';
import { JoinButton } from '@/features/rooms/JoinButton';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  reminder: ShownReminder;
  now: number;
  preferences: Preferences;
  onOpen(): void;
  onDone(): void;
  onAgain(): void;
}

/** One thing to be reminded of, as it stands now. */
export function ReminderRow({ reminder, now, preferences, onOpen, onDone, onAgain }: Props) {
  const palette = usePalette();
  const { wording, settings } = preferences;
  const { link } = reminder;
  const o = settings.hasPrivateTitles ? reminder.occurrence : withoutPrivate(reminder.occurrence);
  const title = titleOf(o);
  const isHigh = importanceOf(o.importance) === 'high';
  const facts = [
    isHigh ? 'high importance' : '',
    sayStanding(o, now),
    sayLeaveBy(o, wording),
    saySpan(o, wording),
    o.place,
  ];
  return (
    <View role="listitem" aria-label={title} style={styles.row}>
      <Icon name="bell-outline" size={20} color={palette.amber} />
      <View style={styles.text}>
        <Text style={styles.title}>{title}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {facts.filter(Boolean).join(' · ')}
        </Text>
      </View>
      <View style={styles.buttons}>
        <JoinButton occurrence={o} isAlways />
        {o.room === '' && isWebAddress(link) && (
          <Button compact onPress={() => window.open(link, '_blank', 'noopener,noreferrer')}>
            Join
          </Button>
        )}
        <Button compact onPress={onOpen}>
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

const styles = StyleSheet.create({
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
