import type { ReactNode } from 'react';
import { useEffect, useRef, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';

interface Props {
  icon: string;
  /** What is chosen inside. */
  name: string;
  /** What is chosen there now, in a few words. */
  said: string;
  isFirstOpen?: boolean;
  children: ReactNode;
}

/** Choices that are folded up to what was chosen, until they are pressed. */
export function Fold({ icon, name, said, isFirstOpen = false, children }: Props) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(isFirstOpen);
  const all = useRef<View>(null);
  const wasOpen = useRef(isFirstOpen);
  useEffect(() => {
    // What was folded out comes into sight, in a panel as in a page.
    if (isOpen && !wasOpen.current)
      (all.current as unknown as HTMLElement).scrollIntoView({ block: 'nearest' });
    wasOpen.current = isOpen;
  }, [isOpen]);
  return (
    <View ref={all} style={styles.all}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={said === name ? name : `${name}: ${said}`}
        onPress={() => setOpen(!isOpen)}
        style={[styles.head, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
      >
        <Icon name={icon} size={20} color={palette.accent} />
        <Text style={styles.said}>{said}</Text>
        <Icon name={isOpen ? 'chevron-up' : 'chevron-down'} size={20} color={palette.dim} />
      </Pressable>
      {isOpen && children}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  head: {
    minHeight: 44,
    borderWidth: 1,
    borderRadius: 8,
    paddingHorizontal: 10,
    paddingVertical: 6,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
  },
  said: { flex: 1, minWidth: 0 },
});
