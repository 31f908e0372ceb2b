import { StyleSheet, View } from 'react-native';
import type { Span } from '@/core/layout/drag';
import type { Row } from '@/core/layout/rows';
import { xOfMinute } from '@/core/layout/rows';
import { trackKey } from '@/core/layout/tracks';
import { DAY, MINUTE } from '@/core/time/civil';
import { usePalette } from '@/ui/theme/theme';
import type { TimeLine } from './RowBackground';

interface Props {
  span: Span;
  rows: readonly Row[];
  line: TimeLine;
  gutter: number;
}

/** Where what is being added would lie: a dashed bar on each of its days. */
export function DraftBars({ span, rows, line, gutter }: Props) {
  const { amber } = usePalette();
  return rows.map((row) => {
    const { day, y, height } = row;
    const from = Math.max(line.fromMinute, (span.start - day * DAY) / MINUTE);
    const to = Math.min(line.toMinute, (span.end - day * DAY) / MINUTE);
    if (to <= from) return null;
    const left = gutter + xOfMinute(line, from);
    const width = Math.max(7, xOfMinute(line, to) - xOfMinute(line, from));
    return (
      <View
        key={trackKey(row)}
        aria-hidden
        style={[
          styles.bar,
          {
            left,
            width,
            top: y + 2,
            height: height - 5,
            borderColor: amber,
            backgroundColor: `${amber}22`,
          },
        ]}
      />
    );
  });
}

const styles = StyleSheet.create({
  bar: {
    position: 'absolute',
    borderWidth: 2,
    borderStyle: 'dashed',
    borderRadius: 5,
    pointerEvents: 'none',
    zIndex: 2,
  },
});
