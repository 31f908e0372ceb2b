import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { usePalette } from './theme/theme';
import { RadioGroup } from './RadioGroup';

interface Props<T extends string | number | boolean | null> {
  name: string;
  /** Whether the name is only for screen readers, since what stands above says it. */
  isNameHidden?: boolean;
  value: T;
  /** With a colour, an option shows it before its label. */
  options: readonly { value: T; label: string; colour?: string }[];
  onChoose(value: T): void;
}

/** One of a few: every choice in sight, on as many lines as it takes. */
export function Choice<T extends string | number | boolean | null>({
  name,
  isNameHidden = false,
  value,
  options,
  onChoose,
}: Props<T>) {
  const palette = usePalette();
  return (
    <RadioGroup style={styles.choice} name={name}>
      {!isNameHidden && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {name}
        </Text>
      )}
      <View style={styles.row}>
        {options.map((option) => {
          const isChosen = option.value === value;
          return (
            <Pressable
              key={String(option.value)}
              role="radio"
              aria-checked={isChosen}
              onPress={() => onChoose(option.value)}
              style={[
                styles.option,
                {
                  borderColor: isChosen ? palette.accent : palette.hairline,
                  backgroundColor: isChosen ? palette.accentWash : palette.sheet,
                },
              ]}
            >
              {option.colour && (
                <View style={[styles.swatch, { backgroundColor: option.colour }]} />
              )}
              <Text style={isChosen && styles.chosen}>{option.label}</Text>
            </Pressable>
          );
        })}
      </View>
    </RadioGroup>
  );
}

const styles = StyleSheet.create({
  choice: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  option: {
    minHeight: 40,
    minWidth: 48,
    paddingHorizontal: 12,
    borderWidth: 1,
    borderRadius: 8,
    flexDirection: 'row',
    gap: 7,
    alignItems: 'center',
    justifyContent: 'center',
  },
  swatch: { width: 16, height: 16, borderRadius: 4 },
  chosen: { fontWeight: '600' },
});
