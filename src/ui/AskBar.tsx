import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';

interface Props {
  /** What it asks, in a few words. */
  name: string;
  icon: string;
  text: string;
  /** How many more questions of the kind wait. */
  more: number;
  /** The answers. */
  children: ReactNode;
}

/** A question over every screen, which stands there until it is answered and stops nothing. */
export function AskBar({ name, icon, text, more, children }: Props) {
  const palette = usePalette();
  return (
    <View
      role="region"
      aria-label={name}
      style={[styles.bar, { backgroundColor: palette.accentWash, borderColor: palette.hairline }]}
    >
      <Icon name={icon} size={20} color={palette.accent} />
      <Text style={styles.text}>{more > 0 ? `${text} ${more} more to say.` : text}</Text>
      <View style={styles.buttons}>{children}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 10,
    borderBottomWidth: 1,
    paddingHorizontal: 14,
    paddingVertical: 6,
  },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, marginLeft: 'auto' },
});
