import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import { HelperText, IconButton, Text } from 'react-native-paper';
import { TextField } from './TextField';
import { useReportUnreadable } from './unreadable';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  /** Words after the number, for example "weeks". */
  unit?: string;
  onChange(value: number): void;
}

/** A whole number, typed or stepped. What is no such number stays as it was typed, and is told. */
export function NumberField({ label, value, min, max, unit, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? value : typed.trim() === '' ? NaN : Number(typed);
  const isGood = Number.isInteger(read) && read >= min && read <= max;
  useReportUnreadable(!isGood);

  function take() {
    if (!isGood) return;
    setTyped(null);
    if (read !== value) onChange(read);
  }
  function step(by: number) {
    setTyped(null);
    onChange(Math.min(max, Math.max(min, (isGood ? read : value) + by)));
  }

  return (
    <View>
      <View style={styles.row}>
        <IconButton
          icon="minus"
          mode="outlined"
          size={18}
          disabled={value <= min}
          accessibilityLabel={`${label}: less`}
          onPress={() => step(-1)}
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
          onPress={() => step(1)}
          style={styles.button}
        />
        {unit && <Text>{unit}</Text>}
      </View>
      {!isGood && (
        <HelperText type="error" role="alert" padding="none">
          {`A whole number from ${min} to ${max}.`}
        </HelperText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  field: { width: 84, textAlign: 'center' },
  button: { width: 42, height: 42, margin: 0, borderRadius: 8 },
});
