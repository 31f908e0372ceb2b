import { memo } from 'react';
import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { LONG_DAY, sayDay, sayHours, weekdayName } from '@/core/time/words';
import { Icon } from '@/ui/icons/Icon';
import { SANS, SLAB, usePalette } from '@/ui/theme/theme';

const WORKPLACE_ICONS: Record<string, string> = { workshop: 'tools', home: 'home-outline' };

interface Props {
  day: number;
  top: number;
  height: number;
  width: number;
  bookedMinutes: number;
  isToday: boolean;
  workweek: Workweek;
  wording: Wording;
  onAdd(day: number): void;
}

/** The head of a row: weekday, number, where the work is, how much of the day is booked. A press adds to the day. */
export const Gutter = memo(function Gutter(props: Props) {
  const { day, top, height, width, bookedMinutes, isToday, workweek, wording, onAdd } = props;
  const palette = usePalette();
  const { workplace } = workdayOf(day, workweek);
  const icon = WORKPLACE_ICONS[workplace];
  const booked = sayHours(bookedMinutes);
  const name = `${sayDay(day, wording, LONG_DAY)}${isToday ? ', today' : ''}, ${booked} booked${workplace ? `, ${workplace}` : ''}. Add`;
  return (
    <Pressable
      role="button"
      aria-label={name}
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
      <Text style={[styles.weekday, { color: palette.dim }]}>{weekdayName(day).toUpperCase()}</Text>
      <Text style={[styles.number, { color: isToday ? palette.amber : palette.ink }]}>
        {civilDate(day).day}
      </Text>
      {bookedMinutes > 0 && (
        <View style={styles.booked}>
          {icon && <Icon name={icon} size={11} color={palette.dim} />}
          <Text style={[styles.hours, { color: palette.dim }]}>{booked.replace(' ', '')}</Text>
        </View>
      )}
    </Pressable>
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
  weekday: { fontFamily: SANS, fontSize: 10.5, letterSpacing: 0.6, lineHeight: 14 },
  number: { fontFamily: SLAB, fontSize: 20, fontWeight: '600', lineHeight: 23 },
  booked: { flexDirection: 'row', alignItems: 'center', gap: 2 },
  hours: { fontFamily: SANS, fontSize: 10.5, lineHeight: 14, fontVariant: ['tabular-nums'] },
});
