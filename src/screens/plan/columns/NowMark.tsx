import { StyleSheet, View } from 'react-native';
import { MINUTE, DAY, dayOfWall } from '@/core/time/civil';
import { yOfMinute } from '@/core/layout/columns';
import { useWallNow } from '@/data/now';
import { usePalette } from '@/ui/theme/theme';
import type { Field } from './placeInColumns';
import { dayPart } from './placeInColumns';

/** The amber line of now, across today's column. */
export function NowMark({ field, zone }: { field: Field; zone: string }) {
  const wall = useWallNow(zone);
  const { amber } = usePalette();
  const part = dayPart(dayOfWall(wall), field);
  const top = yOfMinute(field, (wall - dayOfWall(wall) * DAY) / MINUTE);
  if (!part || top < 0 || top > field.height) return null;
  return (
    <View aria-hidden style={[styles.line, { ...part, top: top - 5 }]}>
      <View style={[styles.point, { borderLeftColor: amber }]} />
      <View style={[styles.stroke, { borderColor: amber }]} />
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    position: 'absolute',
    height: 10,
    flexDirection: 'row',
    alignItems: 'center',
    pointerEvents: 'none',
    zIndex: 3,
  },
  point: {
    width: 0,
    height: 0,
    borderTopWidth: 5,
    borderBottomWidth: 5,
    borderLeftWidth: 6,
    borderTopColor: 'transparent',
    borderBottomColor: 'transparent',
  },
  stroke: { borderTopWidth: 2, flex: 1 },
});
