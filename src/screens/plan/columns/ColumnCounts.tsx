import { Pressable, StyleSheet, Text } from 'react-native';
import type { Column } from '@/core/layout/columns';
import { count } from '@/core/time/words';
import { Icon } from '@/ui/icons/Icon';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';

interface Props {
  column: Column;
  left: number;
  width: number;
  dayName: string;
  onWiden(): void;
}

/** How many events of a column lie before and after the shown hours; a press shows them. */
export function ColumnCounts({ column, left, width, dayName, onWiden }: Props) {
  const palette = usePalette();
  return (['before', 'after'] as const).map((side) => {
    const events = column[side];
    if (!events) return null;
    const isBefore = side === 'before';
    return (
      <Pressable
        key={side}
        {...{ dataSet: { nodrag: '' } }}
        role="button"
        aria-label={`${count(events, isBefore ? 'earlier event' : 'later event')} on ${dayName}: show`}
        onPress={onWiden}
        style={[
          styles.chip,
          isBefore ? { top: 2 } : { bottom: 2 },
          {
            left: left + 3,
            maxWidth: width - 6,
            borderColor: palette.hairline,
            backgroundColor: palette.paper,
          },
        ]}
      >
        <Icon name={isBefore ? 'chevron-up' : 'chevron-down'} size={13} color={palette.dim} />
        <Text style={[styles.text, { color: palette.ink }]}>{events}</Text>
      </Pressable>
    );
  });
}

const styles = StyleSheet.create({
  chip: {
    position: 'absolute',
    height: 20,
    paddingHorizontal: 5,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 2,
    borderWidth: 1,
    borderRadius: 6,
    zIndex: 2,
  },
  text: { fontFamily: SANS, fontSize: textPx(11), fontWeight: '500' },
});
