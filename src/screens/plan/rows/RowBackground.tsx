import { memo } from 'react';
import type { ViewStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Row } from '@/core/layout/rows';
import { xOfMinute } from '@/core/layout/rows';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { stripes } from '../sheet/stripes';

/** What is needed to place minutes. */
export interface TimeLine {
  fromMinute: number;
  toMinute: number;
  width: number;
}

interface Props {
  row: Row;
  line: TimeLine;
  gutter: number;
  workweek: Workweek;
  isToday: boolean;
  inkOf(occurrence: Occurrence): string;
}

/** A row behind its bars: hours of work and out of work, hour lines, and the wash of what takes the day. */
export const RowBackground = memo(function RowBackground({
  row,
  line,
  gutter,
  workweek,
  isToday,
  inkOf,
}: Props) {
  const palette = usePalette();
  const { hours } = workdayOf(row.day, workweek);
  const at = (minute: number) => Math.max(0, Math.min(line.width, xOfMinute(line, minute)));
  const off: ViewStyle = { backgroundColor: palette.outOfHours };
  const lines: number[] = [];
  for (let minute = Math.ceil(line.fromMinute / 60) * 60; minute < line.toMinute; minute += 60)
    lines.push(minute);
  const washing = row.tops.filter(
    ({ occurrence: { availability } }) => availability === 'busy' || availability === 'away',
  );
  return (
    <View
      style={[
        styles.row,
        {
          top: row.y,
          height: row.height,
          borderColor: palette.hairline,
          backgroundColor: isToday ? palette.amberWash : palette.sheet,
        },
      ]}
      aria-hidden
    >
      <View style={[styles.line, { left: gutter, width: line.width }]}>
        {hours ? (
          <>
            <View style={[styles.part, off, { left: 0, width: at(hours.from) }]} />
            <View style={[styles.part, off, { left: at(hours.to), right: 0 }]} />
          </>
        ) : (
          <View style={[styles.part, off, { left: 0, right: 0 }]} />
        )}
        {lines.map((minute) => (
          <View
            key={minute}
            style={[
              styles.part,
              { left: at(minute), width: 1, backgroundColor: palette.hairline, opacity: 0.7 },
            ]}
          />
        ))}
        {washing.map(({ occurrence, x, width }) => (
          <View
            key={occurrence.id}
            style={[
              styles.part,
              { left: x, width },
              stripes(inkColours(inkOf(occurrence), palette).edge),
            ]}
          />
        ))}
      </View>
    </View>
  );
});

const styles = StyleSheet.create({
  row: { position: 'absolute', left: 0, right: 0, borderBottomWidth: 1 },
  line: { position: 'absolute', top: 0, bottom: 0, overflow: 'hidden' },
  part: { position: 'absolute', top: 0, bottom: 0 },
});
