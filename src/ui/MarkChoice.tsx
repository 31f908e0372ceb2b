import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Mark as MarkName } from '@/core/model/inks';
import { MARKS } from '@/core/model/inks';
import { Mark } from './Mark';
import { inkColours } from './theme/palette';
import { usePalette } from './theme/theme';
import { RadioGroup } from './RadioGroup';

interface Props {
  mark: MarkName;
  ink: string;
  onChoose(mark: MarkName): void;
}

/** The shape by which a calendar is told without its colour. */
export function MarkChoice({ mark, ink, onChoose }: Props) {
  const palette = usePalette();
  const { edge } = inkColours(ink, palette);
  return (
    <View style={styles.choice}>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        Mark: {mark}
      </Text>
      <RadioGroup name="Mark" style={styles.row}>
        {MARKS.map((one) => {
          const isChosen = one === mark;
          return (
            <Pressable
              key={one}
              role="radio"
              aria-checked={isChosen}
              aria-label={one}
              onPress={() => onChoose(one)}
              style={[
                styles.option,
                {
                  borderColor: isChosen ? palette.ink : palette.hairline,
                  backgroundColor: palette.sheet,
                },
              ]}
            >
              <Mark mark={one} colour={edge} size={18} />
            </Pressable>
          );
        })}
      </RadioGroup>
    </View>
  );
}

const styles = StyleSheet.create({
  choice: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  option: {
    width: 42,
    height: 40,
    borderWidth: 2,
    borderRadius: 8,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
