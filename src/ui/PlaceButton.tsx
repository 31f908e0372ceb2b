import { useRouter } from 'expo-router';
import type { Href } from 'expo-router';
import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';
import { useIsWide } from './useIsWide';

/** The way to a place that a phone's bar has no room for; a wide screen's rail has it already. */
export function PlaceButton({ name, icon, href }: { name: string; icon: string; href: Href }) {
  const router = useRouter();
  const palette = usePalette();
  if (useIsWide()) return null;
  return (
    <Pressable
      role="link"
      onPress={() => router.navigate(href)}
      style={[styles.button, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
    >
      <Icon name={icon} size={18} color={palette.accent} />
      <Text style={{ color: palette.accent }}>{name}</Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  button: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    height: 40,
    paddingHorizontal: 10,
    borderWidth: 1,
    borderRadius: 9,
  },
});
