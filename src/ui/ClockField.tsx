import { lazy, Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import { parseClock } from '@/core/jot/clock';
import type { HourCycle } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { TextField } from './TextField';
import { useReportUnreadable } from './unreadable';

/** Its package comes when it is first opened. */
const TimePicker = lazy(() => import('./TimePicker'));

interface Props {
  label: string;
  /** Minute of the day */
  minute: number;
  hourCycle: HourCycle;
  onChange(minute: number): void;
  error?: boolean;
}

/** A time of day, typed or picked. What is no time stays as it was typed, and is told. */
export function ClockField({ label, minute, hourCycle, onChange, error = false }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [isPicking, setPicking] = useState(false);
  const isUnreadable = typed !== null && parseClock(typed) === null;
  useReportUnreadable(isUnreadable);

  function take() {
    if (isUnreadable) return;
    const read = typed === null ? null : parseClock(typed);
    setTyped(null);
    if (read !== null && read !== minute) onChange(read);
  }

  return (
    <View style={[styles.all, hourCycle === '12' && styles.ofTwelve]}>
      <TextField
        label={label}
        value={typed ?? sayMinute(minute, hourCycle)}
        error={error || isUnreadable}
        onChangeText={setTyped}
        onBlur={take}
        onSubmitEditing={take}
        right={
          <TextInput.Icon
            icon="clock-outline"
            accessibilityLabel={`${label}: pick a time`}
            onPress={() => setPicking(true)}
          />
        }
      />
      {isPicking && (
        <Suspense fallback={null}>
          <TimePicker
            label={label}
            minute={minute}
            hourCycle={hourCycle}
            onClose={() => setPicking(false)}
            onPick={(picked) => {
              setPicking(false);
              setTyped(null);
              onChange(picked);
            }}
          />
        </Suspense>
      )}
      {isUnreadable && (
        <HelperText type="error" role="alert" padding="none">
          {typed.trim() === ''
            ? 'Say a time, such as 14:30.'
            : `“${typed}” is no time of day. Say it as 14:30 or 2:30 pm.`}
        </HelperText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minWidth: 108 },
  // Its half of the day stands behind it.
  ofTwelve: { minWidth: 146 },
});
