import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Category } from '@/core/model/others';
import { CategoryDot } from './CategoryDot';
import { usePalette } from './theme/theme';

interface Props {
  categories: readonly Category[];
  chosen: readonly string[];
  onChange(chosen: string[]): void;
}

/** The categories of something: each on or off. */
export function CategoryChips({ categories, chosen, onChange }: Props) {
  const palette = usePalette();
  return (
    <View role="group" aria-label="Categories" style={styles.row}>
      {categories.map(({ id, name, ink }) => {
        const isOn = chosen.includes(id);
        return (
          <Pressable
            key={id}
            role="button"
            aria-pressed={isOn}
            onPress={() =>
              onChange(isOn ? chosen.filter((other) => other !== id) : [...chosen, id])
            }
            style={[
              styles.chip,
              {
                borderColor: isOn ? palette.accent : palette.hairline,
                backgroundColor: isOn ? palette.accentWash : palette.sheet,
              },
            ]}
          >
            <CategoryDot ink={ink} size={13} />
            <Text style={isOn && styles.on}>{name}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 7,
    height: 40,
    paddingHorizontal: 11,
    borderWidth: 1,
    borderRadius: 9,
  },
  on: { fontWeight: '600' },
});
