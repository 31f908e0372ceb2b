import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';

interface Props {
  label: string;
  /** What a screen reader says, when the label leans on what stands around it. */
  name?: string;
  isOn: boolean;
  onPress(): void;
}

/** A choice that is on or off by itself. */
export function ToggleChip({ label, name, isOn, onPress }: Props) {
  const palette = usePalette();
  return (
    <Pressable
      role="button"
      aria-pressed={isOn}
      aria-label={name}
      onPress={onPress}
      style={[
        styles.chip,
        {
          borderColor: isOn ? palette.accent : palette.hairline,
          backgroundColor: isOn ? palette.accentWash : palette.sheet,
        },
      ]}
    >
      {isOn && <Icon name="check" size={16} color={palette.accent} />}
      <Text style={isOn && styles.on}>{label}</Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  chip: {
    minHeight: 40,
    paddingHorizontal: 12,
    borderWidth: 1,
    borderRadius: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
  },
  on: { fontWeight: '600' },
});
