import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { HelperText } from 'react-native-paper';
import type { Filter, MinuteRange } from '@/core/model/filter';
import { formatMinuteRange, readMinuteRange } from '@/core/query/minuteRange';
import { capital } from '@/core/time/words';
import { usePreferences } from '@/data/preferences';
import { ClockField } from '@/ui/ClockField';
import { TextField } from '@/ui/TextField';
import { PresetChips } from './PresetChips';

type TimeOfDay = NonNullable<Filter['timeOfDay']>;

/** Parts of the day that are often asked for; minutes of the day. */
const PARTS_OF_DAY: readonly { label: string; value: TimeOfDay }[] = [
  { label: 'Morning', value: { from: 5 * 60, to: 12 * 60 } },
  { label: 'Afternoon', value: { from: 12 * 60, to: 17 * 60 } },
  { label: 'Evening', value: { from: 17 * 60, to: 22 * 60 } },
  { label: 'Night', value: { from: 22 * 60, to: 5 * 60 } },
];
const ANY_TIME: TimeOfDay = { from: 0, to: 1440 };

const isSame = <T extends { from: unknown; to: unknown }>(a: T | null, b: T) =>
  a !== null && a.from === b.from && a.to === b.to;

/** Between which times of the day an event begins. */
export function TimeOfDayField({
  timeOfDay,
  onChange,
}: {
  timeOfDay: Filter['timeOfDay'];
  onChange(timeOfDay: Filter['timeOfDay']): void;
}) {
  const { hourCycle } = usePreferences().wording;
  const shown = timeOfDay ?? ANY_TIME;
  return (
    <View style={styles.all}>
      <PresetChips
        name="Begins in the"
        presets={PARTS_OF_DAY}
        isChosen={(part) => isSame(timeOfDay, part)}
        onChoose={onChange}
      />
      <View style={styles.row}>
        <ClockField
          label="Begins from"
          minute={shown.from}
          hourCycle={hourCycle}
          onChange={(from) => onChange({ ...shown, from })}
        />
        <ClockField
          label="Begins before"
          minute={shown.to % ANY_TIME.to}
          hourCycle={hourCycle}
          onChange={(to) => onChange({ ...shown, to: to || ANY_TIME.to })}
        />
      </View>
    </View>
  );
}

/** Lengths that are often asked for; minutes. */
const LENGTHS = (
  [
    { from: null, to: 15 },
    { from: null, to: 30 },
    { from: 30, to: 60 },
    { from: 60, to: 120 },
    { from: 120, to: 240 },
    { from: 240, to: null },
  ] satisfies MinuteRange[]
).map((value) => ({
  label: capital(formatMinuteRange(value)),
  value,
}));

/** How long an event lasts. */
export function LengthField({
  length,
  onChange,
}: {
  length: Filter['length'];
  onChange(length: Filter['length']): void;
}) {
  const [typed, setTyped] = useState('');
  const isUnread = typed.trim() !== '' && readMinuteRange(typed) === null;
  return (
    <View style={styles.all}>
      <PresetChips
        name="Lasts"
        presets={LENGTHS}
        isChosen={(range) => isSame(length, range)}
        onChoose={onChange}
      />
      <TextField
        label="Length in words"
        placeholder="45 min, 1 to 2 h, over 3 h"
        value={typed}
        error={isUnread}
        onChangeText={(words) => {
          setTyped(words);
          const range = readMinuteRange(words);
          if (range) onChange(range);
        }}
      />
      {isUnread && (
        <HelperText type="error" padding="none">
          That is no length. Try “45 min”, “1 to 2 h” or “over 3 h”.
        </HelperText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
