import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Jot, ReadJot } from '@/core/jot/jot';
import type { Wording } from '@/core/time/words';
import { saySpan } from '@/core/time/words';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** What the line says, and what it may mean instead. */
  jot: Pick<ReadJot, 'problems' | 'title'>;
  other: Jot | null;
  wording: Wording;
  onOther(): void;
}

/** What is close to how a line was understood, for one press, and what of it can't be. */
export function JotHints({ jot, other, wording, onOther }: Props) {
  const { brick } = usePalette();
  if (!other && !jot.problems.length) return null;
  const says = other && saySpan(other, wording);
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
