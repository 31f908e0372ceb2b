import type { ReactNode } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { StyleSheet, Text } from 'react-native';
import { SLAB, textPx, usePalette } from './theme/theme';

interface Props {
  level: 1 | 2 | 3;
  children: ReactNode;
  style?: StyleProp<TextStyle>;
}

const SIZES = { 1: 24, 2: 18, 3: 16 };

/** A heading in the house's slab letters. */
export function Title({ level, children, style }: Props) {
  const { ink } = usePalette();
  return (
    <Text
      role="heading"
      aria-level={level}
      style={[
        styles.title,
        { color: ink, fontSize: textPx(SIZES[level]), lineHeight: textPx(SIZES[level] * 1.25) },
        style,
      ]}
    >
      {children}
    </Text>
  );
}

const styles = StyleSheet.create({ title: { fontFamily: SLAB, fontWeight: '600' } });
