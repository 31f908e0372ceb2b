import { StyleSheet, Text, View } from 'react-native';
import { yOfMinute } from '@/core/layout/columns';
import type { HourCycle } from '@/core/time/words';
import { sayHour } from '@/core/time/words';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import type { Field } from './placeInColumns';

const LINE = 14;

/** The hours down the left side of the columns. */
export function HourScale({ field, hourCycle }: { field: Field; hourCycle: HourCycle }) {
  const { dim } = usePalette();
  const hours: number[] = [];
  for (let hour = Math.ceil(field.fromMinute / 60); hour * 60 < field.toMinute; hour++)
    hours.push(hour);
  return (
    <View aria-hidden style={[styles.scale, { width: field.left, height: field.height }]}>
      {hours.map((hour) => (
        <Text
          key={hour}
          style={[
            styles.hour,
            { top: Math.max(0, yOfMinute(field, hour * 60) - LINE / 2), color: dim },
          ]}
        >
          {sayHour(hour, hourCycle)}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  scale: { position: 'absolute', left: 0, top: 0 },
  hour: {
    position: 'absolute',
    left: 0,
    right: 6,
    textAlign: 'right',
    fontFamily: SANS,
    fontSize: textPx(11),
    lineHeight: textPx(LINE),
    fontVariant: ['tabular-nums'],
  },
});
