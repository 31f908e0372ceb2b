import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { ToggleChip } from './ToggleChip';
import { usePalette } from './theme/theme';

interface Props<T> {
  name: string;
  options: readonly { value: T; label: string }[];
  chosen: readonly T[];
  onChange(chosen: T[]): void;
}

/** Any of a few, each on or off. */
export function ToggleGroup<T extends string | number>({
  name,
  options,
  chosen,
  onChange,
}: Props<T>) {
  const { dim } = usePalette();
  return (
    <View style={styles.group}>
      <Text variant="bodySmall" style={{ color: dim }}>
        {name}
      </Text>
      <View role="group" aria-label={name} style={styles.row}>
        {options.map(({ value, label }) => {
          const isOn = chosen.includes(value);
          return (
            <ToggleChip
              key={value}
              label={label}
              isOn={isOn}
              onPress={() =>
                onChange(isOn ? chosen.filter((other) => other !== value) : [...chosen, value])
              }
            />
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
