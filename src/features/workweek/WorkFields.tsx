import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Workweek } from '@/core/model/others';
import type { HourCycle } from '@/core/time/words';
import { ClockField } from '@/ui/ClockField';
import { TextField } from '@/ui/TextField';

type Workday = Workweek['days'][number];

interface Props {
  hours: NonNullable<Workday['hours']>;
  workplace: string;
  hourCycle: HourCycle;
  onChange(fields: Partial<Workday>): void;
}

/** When and where the work of a day is. Hours that end before they begin are not taken. */
export function WorkFields({ hours, workplace, hourCycle, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);

  function take() {
    const read = typed?.trim();
    setTyped(null);
    if (read !== undefined && read !== workplace) onChange({ workplace: read });
  }

  return (
    <View style={styles.fields}>
      <ClockField
        label="From"
        minute={hours.from}
        hourCycle={hourCycle}
        onChange={(from) => from < hours.to && onChange({ hours: { ...hours, from } })}
      />
      <ClockField
        label="to"
        minute={hours.to}
        hourCycle={hourCycle}
        onChange={(to) => to > hours.from && onChange({ hours: { ...hours, to } })}
      />
      <TextField
        label="Where"
        value={typed ?? workplace}
        onChangeText={setTyped}
        onBlur={take}
        onSubmitEditing={take}
        style={styles.place}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, flex: 1, minWidth: 200 },
  place: { minWidth: 110, flex: 1 },
});
