import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { Workweek } from '@/core/model/others';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayHours, weekdayName } from '@/core/time/words';
import { Icon } from '@/ui/icons/Icon';
import { SANS, SLAB, usePalette, textPx } from '@/ui/theme/theme';
import { dayName } from '../sheet/dayName';
import { WorkIcon } from '../sheet/WorkIcon';

interface Props {
  day: number;
  left: number;
  width: number;
  height: number;
  bookedMinutes: number;
  isToday: boolean;
  awayZone: string | null;
  workweek: Workweek;
  wording: Wording;
  onAdd(day: number): void;
  onWorkday(day: number): void;
}

/** The head of a column: weekday and number, where the work is, how much is booked. A press adds to the day. */
export function ColumnHead(props: Props) {
  const { day, left, width, height, bookedMinutes, isToday, awayZone, workweek, onAdd } = props;
  const palette = usePalette();
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${dayName(props)}. Add`}
        onPress={() => onAdd(day)}
        style={[
          styles.head,
          {
            left,
            width,
            height,
            borderColor: palette.hairline,
            backgroundColor: isToday ? palette.amberWash : palette.paper,
          },
        ]}
      >
        <View style={styles.line}>
          <Text style={[styles.number, { color: isToday ? palette.amber : palette.ink }]}>
            {civilDate(day).day}
          </Text>
          <Text style={[styles.weekday, { color: palette.dim }]}>
            {weekdayName(day).toUpperCase()}
          </Text>
        </View>
        <View style={styles.line}>
          {awayZone && <Icon name="airplane" size={11} color={palette.amber} />}
          {bookedMinutes > 0 && (
            <Text style={[styles.hours, { color: palette.dim }]}>
              {sayHours(bookedMinutes).replace(' ', '')}
            </Text>
          )}
        </View>
      </Pressable>
      <WorkIcon
        day={day}
        left={left + width - 24}
        top={height - 22}
        workweek={workweek}
        wording={props.wording}
        onPress={props.onWorkday}
      />
    </>
  );
}

const styles = StyleSheet.create({
  head: {
    position: 'absolute',
    top: 0,
    borderLeftWidth: 1,
    paddingLeft: 5,
    paddingTop: 3,
    overflow: 'hidden',
  },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: 3 },
  weekday: { fontFamily: SANS, fontSize: textPx(10.5), letterSpacing: 0.4 },
  number: { fontFamily: SLAB, fontSize: textPx(19), fontWeight: '600', lineHeight: textPx(23) },
  hours: {
    fontFamily: SANS,
    fontSize: textPx(10.5),
    lineHeight: textPx(14),
    fontVariant: ['tabular-nums'],
  },
});
