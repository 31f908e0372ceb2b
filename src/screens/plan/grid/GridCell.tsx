import { memo } from 'react';
import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay, sayHours } from '@/core/time/words';
import { SANS, SLAB, usePalette, textPx } from '@/ui/theme/theme';
import { dayName } from '../sheet/dayName';
import type { Box } from '../sheet/Ghost';
import { stripes } from '../sheet/stripes';

interface Props extends Box {
  day: number;
  /** Height of its number's line. */
  head: number;
  isToday: boolean;
  /** Whether it belongs to what is shown, or only fills a week up. */
  isWithin: boolean;
  isOpen: boolean;
  /** Whether it lies where what is being added would. */
  isDraft: boolean;
  bookedMinutes: number;
  hasHours: boolean;
  /** Edge colours of the whole-day events that take the day. */
  washes: readonly string[];
  workweek: Workweek;
  wording: Wording;
  onOpenDay(day: number): void;
}

/** A day of the grid: its number, which opens it in place, on the ground of how it stands. */
export const GridCell = memo(function GridCell(props: Props) {
  const { day, isToday, isWithin, isOpen, isDraft, bookedMinutes, washes, workweek } = props;
  const palette = usePalette();
  const isOff = workdayOf(day, workweek).hours === null;
  const { day: number } = civilDate(day);
  const label =
    number === 1 ? sayDay(day, props.wording, { day: 'numeric', month: 'short' }) : String(number);
  const ground = isToday ? palette.amberWash : isOff ? palette.outOfHours : palette.sheet;
  return (
    <View
      style={[
        styles.cell,
        {
          left: props.left,
          top: props.top,
          width: props.width,
          height: props.height,
          borderColor: isDraft ? palette.amber : palette.hairline,
          backgroundColor: isDraft ? `${palette.amber}22` : ground,
        },
        isDraft && styles.draft,
      ]}
    >
      {washes.map((colour, i) => (
        <View key={i} aria-hidden style={[StyleSheet.absoluteFill, stripes(colour)]} />
      ))}
      <Pressable
        {...{ dataSet: { nodrag: '' } }}
        role="button"
        aria-expanded={isOpen}
        aria-label={`${dayName(props)}. ${isOpen ? 'Close' : 'Open'} the day`}
        onPress={() => props.onOpenDay(day)}
        style={[styles.head, { height: props.head }]}
      >
        <Text
          style={[
            styles.number,
            { color: isToday ? palette.amber : isWithin ? palette.ink : palette.dim },
            !isWithin && styles.beyond,
          ]}
        >
          {label}
        </Text>
        {props.hasHours && bookedMinutes > 0 && (
          <Text style={[styles.hours, { color: palette.dim }]}>
            {sayHours(bookedMinutes).replace(' ', '')}
          </Text>
        )}
      </Pressable>
    </View>
  );
});

const styles = StyleSheet.create({
  cell: { position: 'absolute', borderLeftWidth: 1, borderBottomWidth: 1, overflow: 'hidden' },
  draft: { borderWidth: 2, borderStyle: 'dashed' },
  head: {
    flexDirection: 'row',
    alignItems: 'baseline',
    justifyContent: 'space-between',
    paddingHorizontal: 5,
    gap: 4,
  },
  number: { fontFamily: SLAB, fontSize: textPx(15), fontWeight: '600', lineHeight: textPx(20) },
  beyond: { fontWeight: '400' },
  hours: { fontFamily: SANS, fontSize: textPx(10.5), fontVariant: ['tabular-nums'] },
});
