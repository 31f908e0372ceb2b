import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { MINUTE, minuteOfDay } from '@/core/time/civil';
import type { WallMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { NumberField } from '@/ui/NumberField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

interface Travel {
  travelBefore: number;
  travelAfter: number;
}

interface Props extends Travel {
  /** When it begins, on its own clock. */
  start: WallMs;
  wording: Wording;
  onChange(travel: Partial<Travel>): void;
}

const USUAL = [0, 5, 10, 15, 20, 30, 45, 60];
/** Nobody is under way for longer without it being an event. */
const MOST = 24 * 60;

/** How long it takes to get there, and back. */
export function TravelFields({ travelBefore, travelAfter, start, wording, onChange }: Props) {
  const { dim } = usePalette();
  const sides = [
    {
      name: 'To get there',
      minutes: travelBefore,
      set: (travelBefore: number) => ({ travelBefore }),
    },
    { name: 'Back', minutes: travelAfter, set: (travelAfter: number) => ({ travelAfter }) },
  ];
  return (
    <View style={styles.all}>
      {sides.map(({ name, minutes, set }) => (
        <View key={name} role="group" aria-label={name} style={styles.side}>
          <Text variant="bodySmall" style={{ color: dim }}>
            {name}
          </Text>
          <View style={styles.chips}>
            {USUAL.map((usual) => (
              <ToggleChip
                key={usual}
                label={usual ? `${usual} min` : 'No time'}
                isOn={minutes === usual}
                onPress={() => onChange(set(usual))}
              />
            ))}
          </View>
          {minutes > 0 && (
            <NumberField
              label="Minutes"
              value={minutes}
              min={0}
              max={MOST}
              unit="min"
              onChange={(next) => onChange(set(next))}
            />
          )}
        </View>
      ))}
      {travelBefore > 0 && (
        <Text role="status">
          Leave by {sayMinute(minuteOfDay(start - travelBefore * MINUTE), wording.hourCycle)}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  side: { gap: 4 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
