import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { EVENT_ICONS } from './icons/eventIcons';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';
import { RadioGroup } from './RadioGroup';

/** The small icon that an event carries. */
export function IconChoice({
  icon,
  onChoose,
}: {
  icon: string | undefined;
  onChoose(icon: string | undefined): void;
}) {
  const palette = usePalette();
  const options = [[undefined, 'None'] as const, ...Object.entries(EVENT_ICONS)];
  return (
    <RadioGroup name="Icon" style={styles.icons}>
      {options.map(([name, label]) => {
        const isChosen = name === icon;
        return (
          <Pressable
            key={label}
            role="radio"
            aria-checked={isChosen}
            aria-label={label}
            onPress={() => onChoose(name)}
            style={[
              styles.icon,
              {
                borderColor: isChosen ? palette.accent : palette.hairline,
                backgroundColor: isChosen ? palette.accentWash : palette.sheet,
              },
            ]}
          >
            {name === undefined ? (
              <Text variant="bodySmall">None</Text>
            ) : (
              <Icon name={name} size={20} color={palette.ink} />
            )}
          </Pressable>
        );
      })}
    </RadioGroup>
  );
}

const styles = StyleSheet.create({
  icons: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  icon: {
    width: 44,
    height: 42,
    borderWidth: 2,
    borderRadius: 8,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
