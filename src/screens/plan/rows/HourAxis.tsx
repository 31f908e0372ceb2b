import { StyleSheet, Text, View } from 'react-native';
import { xOfMinute } from '@/core/layout/rows';
import type { HourCycle } from '@/core/time/words';
import { sayHour } from '@/core/time/words';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import { AXIS_HEIGHT } from './geometry';
import type { TimeLine } from './RowBackground';

/** Least room for an hour's name, in px. */
const HOUR_ROOM = 34;

/** The hours along the top of the sheet. */
export function HourAxis({
  line,
  gutter,
  hourCycle,
}: {
  line: TimeLine;
  gutter: number;
  hourCycle: HourCycle;
}) {
  const palette = usePalette();
  const hours = (line.toMinute - line.fromMinute) / 60;
  const every = [1, 2, 3, 4, 6].find((step) => (line.width / hours) * step >= HOUR_ROOM) ?? 12;
  const first = Math.floor(line.fromMinute / 60) + 1;
  const shown: number[] = [];
  for (let hour = first; hour * 60 < line.toMinute; hour++)
    if (hour % every === 0) shown.push(hour);
  return (
    <View
      aria-hidden
      style={[styles.axis, { borderColor: palette.hairline, backgroundColor: palette.paper }]}
    >
      {shown.map((hour) => (
        <Text
          key={hour}
          style={[
            styles.hour,
            { left: gutter + xOfMinute(line, hour * 60) - 20, color: palette.dim },
          ]}
        >
          {sayHour(hour, hourCycle)}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  axis: { height: AXIS_HEIGHT, borderTopWidth: 1, borderBottomWidth: 1 },
  hour: {
    position: 'absolute',
    top: 2,
    width: 40,
    textAlign: 'center',
    fontFamily: SANS,
    fontSize: textPx(11),
    lineHeight: textPx(16),
    fontVariant: ['tabular-nums'],
  },
});
