import { Pressable, StyleSheet, Text } from 'react-native';
import type { Row } from '@/core/layout/rows';
import { count } from '@/core/time/words';
import { SANS, usePalette } from '@/ui/theme/theme';

interface Props {
  row: Row;
  gutter: number;
  dayName: string;
  onWiden(): void;
}

/** How many events of a row lie outside the shown hours; a press shows them. */
export function OutsideCounts({ row, gutter, dayName, onWiden }: Props) {
  const palette = usePalette();
  const chip = [
    styles.chip,
    { top: row.y + row.height - 22, borderColor: palette.hairline, backgroundColor: palette.paper },
  ];
  const text = [styles.text, { color: palette.ink }];
  return (
    <>
      {row.before > 0 && (
        <Pressable
          {...{ dataSet: { nodrag: '' } }}
          role="button"
          aria-label={`${count(row.before, 'earlier event')} on ${dayName}: show`}
          onPress={onWiden}
          style={[chip, { left: gutter + 4 }]}
        >
          <Text style={text}>‹ {row.before} earlier</Text>
        </Pressable>
      )}
      {row.after > 0 && (
        <Pressable
          {...{ dataSet: { nodrag: '' } }}
          role="button"
          aria-label={`${count(row.after, 'later event')} on ${dayName}: show`}
          onPress={onWiden}
          style={[chip, { right: 4 }]}
        >
          <Text style={text}>{row.after} later ›</Text>
        </Pressable>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  chip: {
    position: 'absolute',
    height: 19,
    borderWidth: 1,
    borderRadius: 6,
    paddingHorizontal: 6,
    justifyContent: 'center',
    zIndex: 2,
  },
  text: { fontFamily: SANS, fontSize: 11, fontWeight: '500' },
});
