import { StyleSheet, View } from 'react-native';
import type { Row } from '@/core/layout/rows';
import { xOfMinute } from '@/core/layout/rows';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import { usePalette } from '@/ui/theme/theme';
import type { TimeLine } from './RowBackground';

/** The amber line of now, in today's row. */
export function NowLine({
  rows,
  line,
  gutter,
  zone,
}: {
  rows: readonly Row[];
  line: TimeLine;
  gutter: number;
  zone: string;
}) {
  const wall = useWallNow(zone);
  const { amber } = usePalette();
  const today = rows.filter(({ day }) => day === dayOfWall(wall));
  const [first] = today;
  const minute = minuteOfDay(wall);
  if (!first || minute < line.fromMinute || minute > line.toMinute) return null;
  const height = today.reduce((sum, row) => sum + row.height, 0);
  const left = gutter + xOfMinute(line, minute);
  return (
    <View aria-hidden style={[styles.line, { top: first.y, height, left: left - 5 }]}>
      <View style={[styles.point, { borderTopColor: amber }]} />
      <View style={[styles.stroke, { borderColor: amber }]} />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { position: 'absolute', width: 10, alignItems: 'center', pointerEvents: 'none', zIndex: 3 },
  point: {
    width: 0,
    height: 0,
    borderLeftWidth: 5,
    borderRightWidth: 5,
    borderTopWidth: 6,
    borderLeftColor: 'transparent',
    borderRightColor: 'transparent',
  },
  // A border stays where colours are the person's own.
  stroke: { borderLeftWidth: 2, flex: 1 },
});
