import { StyleSheet, View } from 'react-native';
import { HelperText, Switch, Text } from 'react-native-paper';
import type { Times } from '@/core/editing/form';
import { timesProblem, withStart } from '@/core/editing/form';
import type { Preferences } from '@/data/preferences';
import { ClockField } from '@/ui/ClockField';
import { DayField } from '@/ui/DayField';
import type { DayNumber, MinuteOfDay } from '@/core/time/units';

interface Props {
  times: Times;
  preferences: Preferences;
  onChange(times: Times): void;
}

/** When an event is: whole days or hours, from and to. The end follows the start; a wrong end is told at once. */
export function TimesFields({ times, preferences, onChange }: Props) {
  const { wording, firstWeekday } = preferences;
  const problem = timesProblem(times);
  const day = { wording, firstWeekday };
  const { hourCycle } = wording;
  const moved = (startDay: DayNumber, startMinute: MinuteOfDay) =>
    onChange(withStart(times, startDay, startMinute));
  return (
    <View style={styles.all}>
      <View style={styles.row}>
        <Switch
          value={times.wholeDay}
          onValueChange={(wholeDay) => onChange({ ...times, wholeDay })}
          aria-label="Whole day"
        />
        <Text>Whole day</Text>
      </View>
      <View style={[styles.row, styles.tops]}>
        <DayField
          label={times.wholeDay ? 'First day' : 'Starts on'}
          day={times.startDay}
          onChange={(startDay) => moved(startDay, times.startMinute)}
          {...day}
        />
        {!times.wholeDay && (
          <ClockField
            label="Start"
            minute={times.startMinute}
            hourCycle={hourCycle}
            onChange={(minute) => moved(times.startDay, minute)}
          />
        )}
      </View>
      <View style={[styles.row, styles.tops]}>
        <DayField
          label={times.wholeDay ? 'Last day' : 'Ends on'}
          day={times.endDay}
          onChange={(endDay) => onChange({ ...times, endDay })}
          error={problem !== null}
          {...day}
        />
        {!times.wholeDay && (
          <ClockField
            label="End"
            minute={times.endMinute}
            hourCycle={hourCycle}
            onChange={(endMinute) => onChange({ ...times, endMinute })}
            error={problem !== null}
          />
        )}
      </View>
      {problem && (
        <HelperText type="error" role="alert" padding="none">
          {problem}
        </HelperText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  // What is told under one field moves the other nowhere.
  tops: { alignItems: 'flex-start' },
});
