import { StyleSheet, View } from 'react-native';
import type { Workweek } from '@/core/model/others';
import type { HourCycle } from '@/core/time/words';
import { WEEKDAYS } from '@/core/time/words';
import { Check } from '@/ui/Check';
import { WorkFields } from './WorkFields';

interface Props {
  workweek: Workweek;
  hourCycle: HourCycle;
  /** `weekday` is the name of the one that was changed. */
  onChange(workweek: Workweek, weekday: string): void;
}

type Workday = Workweek['days'][number];

const USUAL: Workday = { hours: { from: 9 * 60, to: 17 * 60 }, workplace: '' };

/** Which weekdays are worked, from when to when, and where. */
export function WeekFields({ workweek, hourCycle, onChange }: Props) {
  function change(weekday: number, day: Workday) {
    const days = workweek.days.map((each, i) => (i === weekday ? day : each));
    onChange({ ...workweek, days }, WEEKDAYS[weekday as 0]);
  }
  // A weekday that is turned on begins as the ones that are on.
  const like = workweek.days.find(({ hours }) => hours) ?? USUAL;
  return workweek.days.map((day, weekday) => (
    <View key={weekday} role="group" aria-label={WEEKDAYS[weekday as 0]} style={styles.day}>
      <View style={styles.name}>
        <Check
          label={WEEKDAYS[weekday as 0]}
          isOn={day.hours !== null}
          onChange={(isOn) => change(weekday, isOn ? like : { hours: null, workplace: '' })}
        />
      </View>
      {day.hours && (
        <WorkFields
          hours={day.hours}
          workplace={day.workplace}
          hourCycle={hourCycle}
          onChange={(fields) => change(weekday, { ...day, ...fields })}
        />
      )}
    </View>
  ));
}

const styles = StyleSheet.create({
  day: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, minHeight: 46 },
  name: { width: 130 },
});
