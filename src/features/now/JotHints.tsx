import type { TextStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Jot, ReadJot } from '@/core/jot/jot';
import type { Wording } from '@/core/time/words';
import { saySpanFrom } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { WallMs } from '@/core/time/units';
import { useHasFingers } from '@/ui/useMedia';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** What the line says, and what it may mean instead. */
  jot: Pick<ReadJot, 'problems' | 'unread' | 'title' | 'zone'> & Partial<Pick<ReadJot, 'guesses'>>;
  other: Jot | null;
  /** What the person's clock shows. */
  now: WallMs;
  wording: Wording;
  onOther(): void;
}

/** What tells the other reading apart besides its times. */
function differs(other: Jot, jot: Props['jot']): string {
  if (other.zone !== null && jot.zone === null) return `by ${cityOf(other.zone)}’s clock:`;
  return other.title === jot.title ? '' : `“${other.title}”,`;
}

/** What is close to how a line was understood, for one press, and what of it can't be. */
export function JotHints({ jot, other, now, wording, onOther }: Props) {
  const { brick, dim } = usePalette();
  const { guesses = [] } = jot;
  const problems = [...jot.problems, ...jot.unread];
  const hasFingers = useHasFingers();
  if (!other && !problems.length && !guesses.length) return null;
  const says = other && saySpanFrom(now, other, wording) + (hasFingers ? '' : '  ↓');
  return (
    <View style={styles.hints}>
      {problems.map((problem) => (
        <Text key={problem} role="status" variant="bodySmall" style={{ color: brick }}>
          {problem} It stays in the title.
        </Text>
      ))}
      {guesses.map((guess) => (
        <Text key={guess} role="status" variant="bodySmall" style={{ color: dim }}>
          {guess}
        </Text>
      ))}
      {other && (
        <Button
          compact
          icon="swap-horizontal"
          onPress={onOther}
          style={styles.other}
          labelStyle={styles.label}
        >
          {['Or', differs(other, jot), says].filter(Boolean).join(' ')}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  hints: { gap: 2, alignItems: 'flex-start' },
  other: { minHeight: 40, maxWidth: '100%', justifyContent: 'center' },
  // A long title goes on in a second line.
  label: { flexShrink: 1, textAlign: 'left', whiteSpace: 'normal' } as TextStyle,
});
