import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Workweek } from '@/core/model/others';
import type { HourCycle } from '@/core/time/words';
import { WEEKDAYS } from '@/core/time/words';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { WorkFields } from '@/features/workweek/WorkFields';

interface Props {
  workweek: Workweek;
  hourCycle: HourCycle;
  onChange(workweek: Workweek, label: string): void;
}

type Workday = Workweek['days'][number];

const USUAL: Workday = { hours: { from: 9 * 60, to: 17 * 60 }, workplace: '' };

/** Working hours and workplace by weekday. Single dates have their own from the sheet. */
export function WorkweekCard({ workweek, hourCycle, onChange }: Props) {
  function change(weekday: number, day: Workday) {
    const days = workweek.days.map((each, i) => (i === weekday ? day : each));
    onChange({ ...workweek, days }, `Changed ${WEEKDAYS[weekday as 0]}`);
  }
  // A weekday that is turned on begins as the ones that are on.
  const like = workweek.days.find(({ hours }) => hours) ?? USUAL;
  return (
    <Card title="Working week">
      <Text>
        The sheet is shaded by these hours. A single date is changed from its icon on the sheet.
      </Text>
      {workweek.days.map((day, weekday) => (
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
      ))}
    </Card>
  );
}

const styles = StyleSheet.create({
  day: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, minHeight: 46 },
  name: { width: 130 },
});
