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
  jot: Pick<ReadJot, 'problems' | 'title'>;
  other: Jot | null;
  /** What the person's clock shows. */
  now: WallMs;
  wording: Wording;
  onOther(): void;
}

/** What is close to how a line was understood, for one press, and what of it can't be. */
export function JotHints({ jot, other, now, wording, onOther }: Props) {
  const { brick } = usePalette();
  const hasFingers = useHasFingers();
  if (!other && !jot.problems.length) return null;
  const clock = other?.zone ? `, by the clock of ${cityOf(other.zone)}` : '';
  const says = other && saySpanFrom(now, other, wording) + clock + (hasFingers ? '' : '  ↓');
  return (
    <View style={styles.hints}>
      {jot.problems.map((problem) => (
        <Text key={problem} role="status" variant="bodySmall" style={{ color: brick }}>
          {problem} It stays in the title.
        </Text>
      ))}
      {other && (
        <Button compact icon="swap-horizontal" onPress={onOther} style={styles.other}>
          {other.title === jot.title ? `Or ${says}` : `Or “${other.title}”, ${says}`}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  hints: { gap: 2, alignItems: 'flex-start' },
  other: { minHeight: 40, justifyContent: 'center' },
});
