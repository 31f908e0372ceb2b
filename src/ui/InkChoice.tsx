import { useId } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { inkName } from '@/core/calendars/inks';
import { INKS } from '@/core/model/inks';
import { Icon } from './icons/Icon';
import { inkColours } from './theme/palette';
import { usePalette } from './theme/theme';
import { RadioGroup } from './RadioGroup';

interface Props {
  name: string;
  /** Six-digit hex colour; null when none is chosen. */
  ink: string | null;
  onChoose(ink: string): void;
}

/** An ink: one of the house's twelve, or any other. */
export function InkChoice({ name, ink, onChoose }: Props) {
  const palette = usePalette();
  const field = useId();
  const isCustom = ink !== null && inkName(ink).startsWith('#');
  return (
    <View style={styles.choice}>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        {name}
        {ink === null ? '' : `: ${inkName(ink)}`}
      </Text>
      <RadioGroup name={name} style={styles.row}>
        {Object.entries(INKS).map(([label, hex]) => {
          const isChosen = ink?.toUpperCase() === hex;
          const { solid, onSolid } = inkColours(hex, palette);
          return (
            <Pressable
              key={hex}
              role="radio"
              aria-checked={isChosen}
              aria-label={label}
              onPress={() => onChoose(hex)}
              style={[
                styles.swatch,
                { backgroundColor: solid, borderColor: isChosen ? palette.ink : solid },
              ]}
            >
              {isChosen && <Icon name="check" size={20} color={onSolid} />}
            </Pressable>
          );
        })}
        <label
          htmlFor={field}
          className="ink-custom"
          style={{ borderColor: isCustom ? palette.ink : palette.hairline, color: palette.ink }}
        >
          Other
          <input
            id={field}
            type="color"
            aria-label={`${name}: any other`}
            value={ink ?? '#5B6470'}
            onChange={(event) => onChoose(event.target.value.toUpperCase())}
          />
        </label>
      </RadioGroup>
    </View>
  );
}

const styles = StyleSheet.create({
  choice: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  swatch: {
    width: 42,
    height: 40,
    borderRadius: 8,
    borderWidth: 3,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
