import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Title } from './Title';
import { usePalette } from './theme/theme';

/** A part of a page, on its own sheet of paper. */
export function Card({ title, children }: { title?: string; children: ReactNode }) {
  const { sheet, hairline } = usePalette();
  return (
    <View style={[styles.card, { backgroundColor: sheet, borderColor: hairline }]}>
      {title && <Title level={2}>{title}</Title>}
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 10, padding: 14, gap: 10 },
});
