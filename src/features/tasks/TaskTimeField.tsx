import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import type { EventTime } from '@/core/model/common';
import { wallOnClock } from '@/core/editing/times';
import { dayOn } from '@/core/tasks/due';
import { DAY, formatDate, formatLocal, MINUTE, minuteOfDay } from '@/core/time/civil';
import { zoneOnDay } from '@/core/time/sheetClock';
import type { DayNumber } from '@/core/time/units';
import type { Preferences } from '@/data/preferences';
import { ClockField } from '@/ui/ClockField';
import { DayField } from '@/ui/DayField';

interface Props {
  /** "Due", "From" */
  label: string;
  time: EventTime | null;
  /** The day that it has at first (day number). */
  firstDay: DayNumber;
  preferences: Preferences;
  onChange(time: EventTime | null): void;
}

const USUAL_MINUTE = 17 * 60;

/** A day of a task, with an hour where it has one; or none at all. */
export function TaskTimeField({ label, time, firstDay, preferences, onChange }: Props) {
  const { clock, wording, firstWeekday } = preferences;
  const on = (day: DayNumber): EventTime => ({ kind: 'date', date: formatDate(day) });
  const at = (day: DayNumber, minute: number): EventTime => ({
    kind: 'zoned',
    local: formatLocal(day * DAY + minute * MINUTE),
    zone: zoneOnDay(clock, day),
  });
  if (!time)
    return (
      <Button mode="outlined" style={styles.add} onPress={() => onChange(on(firstDay))}>
        {label === 'Due' ? 'Give it a day to be done by' : 'Give it a day to begin'}
      </Button>
    );
  const day = dayOn(time, clock);
  const minute = time.kind === 'date' ? null : minuteOfDay(wallOnClock(time, clock));
  return (
    <View role="group" aria-label={label} style={styles.row}>
      <View style={styles.day}>
        <DayField
          label={label}
          day={day}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={(next) => onChange(minute === null ? on(next) : at(next, minute))}
        />
      </View>
      {minute === null ? (
        <Button compact onPress={() => onChange(at(day, USUAL_MINUTE))}>
          {`${label} at a time`}
        </Button>
      ) : (
        <>
          <View style={styles.time}>
            <ClockField
              label={`${label} at`}
              minute={minute}
              hourCycle={wording.hourCycle}
              onChange={(next) => onChange(at(day, next))}
            />
          </View>
          <Button compact onPress={() => onChange(on(day))}>
            {`${label} any time`}
          </Button>
        </>
      )}
      <Button compact onPress={() => onChange(null)}>
        {label === 'Due' ? 'No due day' : 'No start day'}
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  add: { alignSelf: 'flex-start' },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6 },
  day: { flexGrow: 1, flexShrink: 1, flexBasis: 170 },
  time: { width: 130 },
});
