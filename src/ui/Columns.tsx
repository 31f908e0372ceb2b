import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useIsWide } from './useIsWide';

/** Two parts of a page: one under the other on a phone, side by side where there is room. */
export function Columns({ main, side }: { main: ReactNode; side: ReactNode }) {
  const isWide = useIsWide();
  return (
    <View style={isWide ? styles.row : styles.column}>
      <View style={isWide && styles.main}>{main}</View>
      <View style={isWide && styles.side}>{side}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 16, alignItems: 'flex-start' },
  column: { gap: 16 },
  main: { flex: 3, minWidth: 0 },
  side: { flex: 2, minWidth: 0 },
});
