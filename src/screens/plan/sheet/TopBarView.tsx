import { memo } from 'react';
import { Pressable, StyleSheet, Text } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { TopBar } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { titleOf } from '@/data/actions';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { SANS, usePalette } from '@/ui/theme/theme';
import { barName, markedFor } from './BarView';
import { TOP } from './geometry';

interface Props {
  bar: TopBar;
  calendar: Calendar;
  top: number;
  left: number;
  isSelected: boolean;
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** A whole-day or long event along the top of a row: solid when it takes the day, outlined when not. */
export const TopBarView = memo(function TopBarView(props: Props) {
  const { bar, calendar, top, left, isSelected, isTabStop, wording, onOpen } = props;
  const { occurrence: o } = bar;
  const palette = usePalette();
  const { edge, fill, solid, onSolid } = inkColours(o.ink ?? calendar.ink, palette);
  const isSolid = o.availability === 'busy' || o.availability === 'away';
  const colour = isSolid ? onSolid : palette.ink;
  const part = bar.of > 1 ? ` · day ${bar.nth} of ${bar.of}` : '';
  return (
    <Pressable
      {...markedFor(o.id)}
      role="button"
      aria-label={`${barName(o, calendar, wording)}${part}`}
      aria-pressed={isSelected}
      tabIndex={isTabStop ? 0 : -1}
      onPress={() => onOpen(o)}
      style={[
        styles.bar,
        { top, left: left + bar.x, width: bar.width, borderColor: edge },
        {
          backgroundColor: isSolid ? solid : o.availability === 'tentative' ? fill : palette.sheet,
        },
        o.availability === 'tentative' && styles.dashed,
        isSelected && { borderColor: palette.ink, borderWidth: 2 },
      ]}
    >
      <Mark mark={calendar.mark} colour={isSolid ? onSolid : edge} size={10} />
      <Text numberOfLines={1} style={[styles.title, { color: colour }]}>
        {titleOf(o)}
        {part}
      </Text>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  bar: {
    position: 'absolute',
    height: TOP - 3,
    borderRadius: 4,
    borderWidth: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 7,
    overflow: 'hidden',
    userSelect: 'none',
  },
  dashed: { borderStyle: 'dashed' },
  title: { fontFamily: SANS, fontSize: 12.5, fontWeight: '500', flexShrink: 1 },
});
