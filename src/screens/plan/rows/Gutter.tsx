import { memo } from 'react';
import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { Workweek } from '@/core/model/others';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayHours, weekdayName } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { Icon } from '@/ui/icons/Icon';
import { dayName } from '../sheet/dayName';
import { WorkIcon } from '../sheet/WorkIcon';
import { SANS, SLAB, usePalette, textPx } from '@/ui/theme/theme';

interface Props {
  day: number;
  top: number;
  height: number;
  width: number;
  bookedMinutes: number;
  isToday: boolean;
  /** The zone whose clock counts on a day spent elsewhere. */
  awayZone: string | null;
  workweek: Workweek;
  wording: Wording;
  onAdd(day: number): void;
  onWorkday(day: number): void;
}

/** The head of a row: weekday, number, where the work is, how much of the day is booked. A press adds to the day. */
export const Gutter = memo(function Gutter(props: Props) {
  const { day, top, height, width, bookedMinutes, isToday, awayZone } = props;
  const { workweek, onAdd } = props;
  const palette = usePalette();
  const booked = sayHours(bookedMinutes);
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${dayName(props)}. Add`}
        onPress={() => onAdd(day)}
        style={[
          styles.gutter,
          {
            top,
            height: height - 1,
            width,
            borderColor: palette.hairline,
            backgroundColor: isToday ? palette.amberWash : palette.sheet,
          },
        ]}
      >
        <Text style={[styles.weekday, { color: palette.dim }]}>
          {weekdayName(day).toUpperCase()}
        </Text>
        {awayZone && (
          <View style={[styles.away, { backgroundColor: palette.amber }]}>
            <Icon name="airplane" size={11} color={palette.sheet} />
            <Text style={[styles.city, { color: palette.sheet }]} numberOfLines={1}>
              {cityOf(awayZone)}
            </Text>
          </View>
        )}
        <Text style={[styles.number, { color: isToday ? palette.amber : palette.ink }]}>
          {civilDate(day).day}
        </Text>
        {bookedMinutes > 0 && (
          <View style={styles.booked}>
            <Text style={[styles.hours, { color: palette.dim }]}>{booked.replace(' ', '')}</Text>
          </View>
        )}
      </Pressable>
      <WorkIcon
        day={day}
        left={width - 25}
        top={top}
        workweek={workweek}
        wording={props.wording}
        onPress={props.onWorkday}
      />
    </>
  );
});

const styles = StyleSheet.create({
  gutter: {
    position: 'absolute',
    left: 0,
    borderRightWidth: 1,
    paddingLeft: 9,
    paddingTop: 5,
    overflow: 'hidden',
  },
  weekday: { fontFamily: SANS, fontSize: textPx(10.5), letterSpacing: 0.6, lineHeight: textPx(14) },
  number: { fontFamily: SLAB, fontSize: textPx(20), fontWeight: '600', lineHeight: textPx(23) },
  away: {
    position: 'absolute',
    bottom: 0,
    left: 0,
    right: 0,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 2,
    paddingHorizontal: 3,
  },
  city: { fontFamily: SANS, fontSize: textPx(10), lineHeight: textPx(13), flex: 1, minWidth: 0 },
  booked: { flexDirection: 'row', alignItems: 'center', gap: 2 },
  hours: {
    fontFamily: SANS,
    fontSize: textPx(10.5),
    lineHeight: textPx(14),
    fontVariant: ['tabular-nums'],
  },
});
