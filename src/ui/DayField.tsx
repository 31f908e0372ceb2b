import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Wording } from '@/core/time/words';
import { DATED_DAY, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { DayPicker } from './DayPicker';
import { Icon } from './icons/Icon';
import { usePalette } from './theme/theme';

interface Props {
  label: string;
  /** Day number */
  day: DayNumber;
  wording: Wording;
  firstWeekday: number;
  onChange(day: DayNumber): void;
  error?: boolean;
}

/** A date, picked from a month or typed in the picker. */
export function DayField({ label, day, wording, firstWeekday, onChange, error = false }: Props) {
  const palette = usePalette();
  const [isPicking, setPicking] = useState(false);
  const said = sayDay(day, wording, DATED_DAY);
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${label}: ${said}`}
        onPress={() => setPicking(true)}
        style={[
          styles.field,
          { borderColor: error ? palette.brick : palette.dim, backgroundColor: palette.sheet },
        ]}
      >
        <View style={styles.texts}>
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {label}
          </Text>
          <Text numberOfLines={1}>{said}</Text>
        </View>
        <Icon name="calendar" size={18} color={palette.dim} />
      </Pressable>
      {isPicking && (
        <DayPicker
          title={label}
          day={day}
          wording={wording}
          firstWeekday={firstWeekday}
          onClose={() => setPicking(false)}
          onPick={(picked) => {
            setPicking(false);
            onChange(picked);
          }}
        />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  field: {
    // A date with its year takes more than a time beside it.
    flex: 1.4,
    minWidth: 150,
    minHeight: 46,
    borderWidth: 1,
    borderRadius: 7,
    paddingHorizontal: 8,
    paddingVertical: 3,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
  },
  texts: { flex: 1, minWidth: 0 },
});
