import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { TextField } from './TextField';
import { useState } from 'react';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  /** Words after the number, for example "weeks". */
  unit?: string;
  onChange(value: number): void;
}

/** A whole number, typed or stepped. What is no such number is not taken. */
export function NumberField({ label, value, min, max, unit, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? value : Number(typed);
  const isGood = Number.isInteger(read) && read >= min && read <= max;

  function take() {
    setTyped(null);
    if (typed !== null && typed.trim() !== '' && isGood && read !== value) onChange(read);
  }

  return (
    <View style={styles.row}>
      <IconButton
        icon="minus"
        mode="outlined"
        size={18}
        disabled={value <= min}
        accessibilityLabel={`${label}: less`}
        onPress={() => onChange(value - 1)}
        style={styles.button}
      />
      <TextField
        label={label}
        value={typed ?? String(value)}
        error={!isGood}
        inputMode="numeric"
        onChangeText={setTyped}
        onBlur={take}
        onSubmitEditing={take}
        style={styles.field}
      />
      <IconButton
        icon="plus"
        mode="outlined"
        size={18}
        disabled={value >= max}
        accessibilityLabel={`${label}: more`}
        onPress={() => onChange(value + 1)}
        style={styles.button}
      />
      {unit && <Text>{unit}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  field: { width: 84, textAlign: 'center' },
  button: { width: 40, height: 40, margin: 0, borderRadius: 8 },
});
