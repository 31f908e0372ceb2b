import { Pressable, StyleSheet, Text } from 'react-native';
import type { Row } from '@/core/layout/rows';
import type { RowSizes } from './geometry';
import { laneTop } from './geometry';
import { count } from '@/core/time/words';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';

interface Props {
  row: Row;
  sizes: RowSizes;
  gutter: number;
  dayName: string;
  onWiden(): void;
}

/** How many events of a row lie outside the shown hours; a press shows them. */
export function OutsideCounts({ row, sizes, gutter, dayName, onWiden }: Props) {
  const palette = usePalette();
  const chip = (lane: number) => [
    styles.chip,
    {
      top: row.y + laneTop(row, lane, sizes),
      width: sizes.count - 4,
      height: Math.min(sizes.lane - 3, row.laneHeight - 3),
      borderColor: palette.hairline,
      backgroundColor: palette.paper,
    },
  ];
  const text = [styles.text, { color: palette.ink }];
  return (
    <>
      {row.before.count > 0 && (
        <Pressable
          {...{ dataSet: { nodrag: '' } }}
          role="button"
          aria-label={`${count(row.before.count, 'earlier event')} on ${dayName}: show`}
          onPress={onWiden}
          style={[chip(row.before.lane), { left: gutter + 3 }]}
        >
          <Text style={text}>‹ {row.before.count} earlier</Text>
        </Pressable>
      )}
      {row.after.count > 0 && (
        <Pressable
          {...{ dataSet: { nodrag: '' } }}
          role="button"
          aria-label={`${count(row.after.count, 'later event')} on ${dayName}: show`}
          onPress={onWiden}
          style={[chip(row.after.lane), { right: 3 }]}
        >
          <Text style={text}>{row.after.count} later ›</Text>
        </Pressable>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  chip: {
    position: 'absolute',
    alignItems: 'center',
    borderWidth: 1,
    borderRadius: 6,
    justifyContent: 'center',
    zIndex: 2,
  },
  text: { fontFamily: SANS, fontSize: textPx(11), fontWeight: '500' },
});
