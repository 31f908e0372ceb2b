import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import type { JotPart } from '@/core/jot/jot';
import { usePalette } from '@/ui/theme/theme';

/** The typed line with the words that were understood marked out. */
export function JottedLine({ line, parts }: { line: string; parts: readonly JotPart[] }) {
  const palette = usePalette();
  const pieces: { text: string; isPart: boolean; from: number }[] = [];
  let at = 0;
  for (const { from, to } of parts) {
    if (from > at) pieces.push({ text: line.slice(at, from), isPart: false, from: at });
    pieces.push({ text: line.slice(from, to), isPart: true, from });
    at = to;
  }
  if (at < line.length) pieces.push({ text: line.slice(at), isPart: false, from: at });
  return (
    <Text aria-hidden variant="bodySmall" style={{ color: palette.dim }}>
      {pieces.map(({ text, isPart, from }) => (
        <Text
          key={from}
          variant="bodySmall"
          style={isPart ? [styles.part, { color: palette.accent }] : { color: palette.dim }}
        >
          {text}
        </Text>
      ))}
    </Text>
  );
}

const styles = StyleSheet.create({ part: { textDecorationLine: 'underline', fontWeight: '600' } });
