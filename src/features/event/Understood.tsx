import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  icon: string;
  name: string;
  value: string;
  isOpen: boolean;
  /** Whether the name is seen, for what does not tell by itself what it is. */
  hasName?: boolean;
  onPress(): void;
}

/** One part of what a line was understood to mean; a press opens it for correction. */
export function Understood({ icon, name, value, isOpen, hasName, onPress }: Props) {
  const palette = usePalette();
  return (
    <Pressable
      role="button"
      aria-expanded={isOpen}
      aria-label={`${name}: ${value}`}
      onPress={onPress}
      style={styles.row}
    >
      <Icon name={icon} size={18} color={palette.dim} />
      <View style={styles.text}>
        <Text>{hasName ? `${name}: ${value}` : value}</Text>
      </View>
      <Icon name={isOpen ? 'chevron-up' : 'pencil-outline'} size={18} color={palette.dim} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: 40 },
  text: { flex: 1, minWidth: 0 },
});
