import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Message } from '@/core/reminders/reminding';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { SHORT_DAY, sayDay, sayMinute } from '@/core/time/words';
import { wallFromInstant } from '@/core/time/zones';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  message: Message & { sent?: EpochMs };
  preferences: Preferences;
  isOpen: boolean;
  onPress(): void;
}

const SHOWN = [
  { value: 'text', label: 'Plain text' },
  { value: 'html', label: 'As mail programs show it' },
] as const;

/** One message: to whom, when and what; a press shows the whole of it. */
export function MessageCard({ message, preferences, isOpen, onPress }: Props) {
  const { hairline, dim, sheet } = usePalette();
  const [shown, setShown] = useState<'text' | 'html'>('text');
  const { clock, wording } = preferences;
  const wall = wallFromInstant(message.sent ?? message.at, clock);
  const when = `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;
  const isMail = message.how === 'mail';
  const name = message.subject || message.text.split('\n')[0]!;
  return (
    <View role="listitem" style={[styles.card, { borderColor: hairline }]}>
      <Pressable role="button" aria-expanded={isOpen} onPress={onPress} style={styles.head}>
        <Icon name={isMail ? 'email-outline' : 'message-text-outline'} size={20} color={dim} />
        <View style={styles.words}>
          <Text style={styles.name} numberOfLines={isOpen ? undefined : 2}>
            {name}
          </Text>
          <Text variant="bodySmall" style={{ color: dim }}>
            {`${isMail ? 'Mail' : 'Text message'} to ${message.to} · ${when}`}
          </Text>
        </View>
        <Icon name={isOpen ? 'chevron-up' : 'chevron-down'} size={18} color={dim} />
      </Pressable>
      {isOpen && (
        <View style={styles.body}>
          {message.html && (
            <Choice<'text' | 'html'>
              name="Shown as"
              isNameHidden
              value={shown}
              options={SHOWN}
              onChoose={setShown}
            />
          )}
          {message.html && shown === 'html' ? (
            // Sandboxed besides: nothing that is in it runs or leads anywhere.
            <iframe
              title={name}
              sandbox=""
              srcDoc={message.html}
              className="letter"
              style={{ borderColor: hairline }}
            />
          ) : (
            <Text selectable style={[styles.text, { backgroundColor: sheet }]}>
              {message.text}
            </Text>
          )}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderBottomWidth: 1 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: 52, paddingVertical: 6 },
  words: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600', overflowWrap: 'anywhere' as never } as object,
  body: { gap: 8, paddingBottom: 12 },
  text: { whiteSpace: 'pre-wrap', fontVariant: ['tabular-nums'] } as object,
});
