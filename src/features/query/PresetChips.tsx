import { StyleSheet, View } from 'react-native';
import { ToggleChip } from '@/ui/ToggleChip';

interface Props<T> {
  name: string;
  presets: readonly { label: string; value: T }[];
  isChosen(value: T): boolean;
  /** Null when the chosen one is pressed again. */
  onChoose(value: T | null): void;
}

/** Answers that are often given, one of them at the most. */
export function PresetChips<T>({ name, presets, isChosen, onChoose }: Props<T>) {
  return (
    <View role="group" aria-label={name} style={styles.row}>
      {presets.map(({ label, value }) => (
        <ToggleChip
          key={label}
          label={label}
          isOn={isChosen(value)}
          onPress={() => onChoose(isChosen(value) ? null : value)}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
