import { memo } from 'react';
import type { ViewStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { yOfMinute } from '@/core/layout/columns';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { usePalette } from '@/ui/theme/theme';
import { stripes } from '../sheet/stripes';
import type { Field } from './placeInColumns';

interface Props {
  day: number;
  /** Left end of the column, in px. */
  left: number;
  field: Field;
  workweek: Workweek;
  isToday: boolean;
  /** Edge colours of the whole-day events that take the day. */
  washes: readonly string[];
}

/** A column behind its blocks: hours of work and out of work, hour lines, and the wash of what takes the day. */
export const ColumnBackground = memo(function ColumnBackground(props: Props) {
  const { day, left, field, workweek, isToday, washes } = props;
  const palette = usePalette();
  const { hours } = workdayOf(day, workweek);
  const at = (minute: number) => Math.max(0, Math.min(field.height, yOfMinute(field, minute)));
  const off: ViewStyle = { backgroundColor: palette.outOfHours };
  const lines: number[] = [];
  for (let minute = Math.ceil(field.fromMinute / 60) * 60; minute < field.toMinute; minute += 60)
    lines.push(minute);
  return (
    <View
      aria-hidden
      style={[
        styles.column,
        {
          left,
          width: field.width,
          height: field.height,
          borderColor: palette.hairline,
          backgroundColor: isToday ? palette.amberWash : palette.sheet,
        },
      ]}
    >
      {hours ? (
        <>
          <View style={[styles.part, off, { top: 0, height: at(hours.from) }]} />
          <View style={[styles.part, off, { top: at(hours.to), bottom: 0 }]} />
        </>
      ) : (
        <View style={[styles.part, off, { top: 0, bottom: 0 }]} />
      )}
      {lines.map((minute) => (
        <View
          key={minute}
          style={[
            styles.part,
            { top: at(minute), height: 1, backgroundColor: palette.hairline, opacity: 0.7 },
          ]}
        />
      ))}
      {washes.map((colour, i) => (
        <View key={i} style={[styles.part, { top: 0, bottom: 0 }, stripes(colour)]} />
      ))}
    </View>
  );
});

const styles = StyleSheet.create({
  column: { position: 'absolute', top: 0, borderLeftWidth: 1, overflow: 'hidden' },
  part: { position: 'absolute', left: 0, right: 0 },
});
