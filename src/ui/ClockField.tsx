import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { TimePickerModal } from 'react-native-paper-dates';
import { parseClock } from '@/core/jot/clock';
import type { HourCycle } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { TextField } from './TextField';

interface Props {
  label: string;
  /** Minute of the day */
  minute: number;
  hourCycle: HourCycle;
  onChange(minute: number): void;
  error?: boolean;
}

/** A time of day, typed or picked. What is no time is not taken, and the last one comes back. */
export function ClockField({ label, minute, hourCycle, onChange, error = false }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [isPicking, setPicking] = useState(false);
  const isUnreadable = typed !== null && parseClock(typed) === null;

  function take() {
    const read = typed === null ? null : parseClock(typed);
    setTyped(null);
    if (read !== null && read !== minute) onChange(read);
  }

  return (
    <>
      <TextField
        label={label}
        value={typed ?? sayMinute(minute, hourCycle)}
        error={error || isUnreadable}
        onChangeText={setTyped}
        onBlur={take}
        onSubmitEditing={take}
        style={{ flex: 1, minWidth: 108 }}
        right={
          <TextInput.Icon
            icon="clock-outline"
            accessibilityLabel={`${label}: pick a time`}
            onPress={() => setPicking(true)}
          />
        }
      />
      <TimePickerModal
        visible={isPicking}
        label={label}
        locale="en-GB"
        use24HourClock={hourCycle === '24'}
        hours={Math.floor(minute / 60)}
        minutes={minute % 60}
        onDismiss={() => setPicking(false)}
        onConfirm={({ hours, minutes }) => {
          setPicking(false);
          onChange(hours * 60 + minutes);
        }}
      />
    </>
  );
}
