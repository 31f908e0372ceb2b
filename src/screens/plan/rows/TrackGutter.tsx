import { memo } from 'react';
import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { Row } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { LONG_DAY, SHORT_DAY, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';

interface Props {
  row: Row;
  width: number;
  calendar: Calendar | undefined;
  /** Whether its day has to be told too. */
  hasDay: boolean;
  isToday: boolean;
  wording: Wording;
  onAdd(day: DayNumber): void;
}

/** The head of a row that stands for one calendar. A press adds to its day. */
export const TrackGutter = memo(function TrackGutter(props: Props) {
  const { row, width, calendar, hasDay, isToday, wording, onAdd } = props;
  const palette = usePalette();
  const name = calendar?.name ?? '';
  return (
    <Pressable
      role="button"
      aria-label={`${name}, ${sayDay(row.day, wording, LONG_DAY)}. Add`}
      onPress={() => onAdd(row.day)}
      style={[
        styles.gutter,
        {
          top: row.y,
          height: row.height - 1,
          width,
          borderColor: palette.hairline,
          backgroundColor: isToday ? palette.amberWash : palette.sheet,
        },
      ]}
    >
      {hasDay && (
        <Text style={[styles.day, { color: isToday ? palette.amber : palette.dim }]}>
          {sayDay(row.day, wording, SHORT_DAY)}
        </Text>
      )}
      <View style={styles.calendar}>
        {calendar && (
          <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={10} />
        )}
        <Text style={[styles.name, { color: palette.ink }]} numberOfLines={2}>
          {name}
        </Text>
      </View>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  gutter: {
    position: 'absolute',
    left: 0,
    borderRightWidth: 1,
    paddingLeft: 6,
    paddingTop: 5,
    gap: 2,
    overflow: 'hidden',
  },
  day: { fontFamily: SANS, fontSize: textPx(10.5), lineHeight: textPx(13) },
  calendar: { flexDirection: 'row', alignItems: 'flex-start', gap: 4 },
  name: {
    fontFamily: SANS,
    fontSize: textPx(11),
    lineHeight: textPx(13),
    fontWeight: '500',
    flex: 1,
    minWidth: 0,
  },
});
