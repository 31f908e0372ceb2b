import { StyleSheet, View } from 'react-native';
import { HelperText } from 'react-native-paper';
import type { TimeStep } from '@/core/bulk/times';
import { SLOTS } from '@/core/model/others';
import { formatDate, parseDate } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { Choice } from '@/ui/Choice';
import { ClockField } from '@/ui/ClockField';
import { DayField } from '@/ui/DayField';
import { NumberField } from '@/ui/NumberField';

interface Props {
  step: TimeStep;
  preferences: Preferences;
  onChange(step: TimeStep): void;
}

/** What a step that moves events needs to know. */
export function TimeStepEditor({ step, preferences, onChange }: Props) {
  const { wording, firstWeekday } = preferences;
  switch (step.kind) {
    case 'shiftDays':
      return (
        <NumberField
          label="Days on"
          value={step.days}
          min={-3660}
          max={3660}
          onChange={(days) => onChange({ ...step, days })}
        />
      );
    case 'toDay':
      return (
        <DayField
          label="The first goes to"
          day={parseDate(step.day)}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={(day) => onChange({ ...step, day: formatDate(day) })}
        />
      );
    case 'shiftMinutes':
      return (
        <NumberField
          label="Minutes later"
          value={step.minutes}
          min={-1440}
          max={1440}
          onChange={(minutes) => onChange({ ...step, minutes })}
        />
      );
    case 'setStart':
      return (
        <ClockField
          label="Begin at"
          minute={step.minute}
          hourCycle={wording.hourCycle}
          onChange={(minute) => onChange({ ...step, minute })}
        />
      );
    case 'setLength':
      return (
        <NumberField
          label="Last"
          unit="minutes"
          value={step.minutes}
          min={1}
          max={31 * 1440}
          onChange={(minutes) => onChange({ ...step, minutes })}
        />
      );
    case 'round':
      return (
        <Choice
          name="Slots of"
          value={step.slot}
          options={SLOTS.map((slot) => ({ value: slot as number, label: `${slot} min` }))}
          onChoose={(slot) => onChange({ ...step, slot })}
        />
      );
    case 'hours':
      return (
        <View style={styles.row}>
          <ClockField
            label="Begin at, where no hours are known"
            minute={step.minute}
            hourCycle={wording.hourCycle}
            onChange={(minute) => onChange({ ...step, minute })}
          />
          <NumberField
            label="Last"
            unit="minutes"
            value={step.minutes}
            min={1}
            max={1440}
            onChange={(minutes) => onChange({ ...step, minutes })}
          />
        </View>
      );
    case 'zone':
      return (
        <View style={styles.all}>
          <ZonePicker
            label="Zone"
            zone={step.zone}
            placeholder="The same hours everywhere"
            hourCycle={wording.hourCycle}
            onChoose={(zone) => onChange({ ...step, zone })}
            other={{ label: 'Any zone', onPress: () => onChange({ ...step, zone: null }) }}
          />
          <Choice
            name="What stays"
            value={step.keeps}
            options={[
              { value: 'clock', label: 'The hours on the clock' },
              { value: 'instant', label: 'The moment' },
            ]}
            onChoose={(keeps) => onChange({ ...step, keeps })}
          />
        </View>
      );
    case 'wholeDay':
      return <HelperText type="info">The hours are kept, for turning back.</HelperText>;
  }
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' },
});
