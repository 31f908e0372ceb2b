import { memo } from 'react';
import { Pressable, StyleSheet, Text, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { RowBar } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { saySpan } from '@/core/time/words';
import { titleOf } from '@/data/actions';
import { Mark } from '@/ui/Mark';
import type { InkColours } from '@/ui/theme/palette';
import { inkColours } from '@/ui/theme/palette';
import { SANS, usePalette } from '@/ui/theme/theme';
import { LABEL_SIZE, SECOND_SIZE, secondLine } from './labels';

interface Props {
  bar: RowBar;
  calendar: Calendar;
  top: number;
  left: number;
  height: number;
  isTall: boolean;
  isSelected: boolean;
  /** Whether Tab stops here: one bar of the sheet has that. */
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** What a screen reader says of an event: title, time, calendar, availability. */
export function barName(o: Occurrence, calendar: Calendar, wording: Wording): string {
  return `${titleOf(o)}, ${saySpan(o, wording)}, ${calendar.name}, ${o.availability}${o.dateKey === null ? '' : ', repeats'}`;
}

/** Attributes by which the sheet's own listeners find a bar in the page. */
export function markedFor(occurrenceId: string): object {
  return { dataSet: { occ: occurrenceId } };
}

function barStyle(
  availability: Occurrence['availability'],
  { edge, fill, outline, solid }: InkColours,
) {
  switch (availability) {
    case 'away':
      return { backgroundColor: solid, borderColor: solid };
    case 'free':
      return { backgroundColor: 'transparent', borderColor: edge };
    case 'tentative':
      return { backgroundColor: fill, borderColor: edge, borderStyle: 'dashed' as const };
    default:
      return { backgroundColor: fill, borderColor: outline };
  }
}

/** Where the ends of the selected event are taken hold of. */
function Handle({ edge, colour }: { edge: 'start' | 'end'; colour: string }) {
  return (
    <View
      {...{ dataSet: { handle: edge } }}
      style={[styles.handle, edge === 'start' ? styles.atStart : styles.atEnd]}
    >
      <View style={[styles.grip, { backgroundColor: colour }]} />
    </View>
  );
}

/** A timed event on its row: a bar of its true length, with a label that runs on. */
export const BarView = memo(function BarView(props: Props) {
  const { bar, calendar, top, left, height, isTall, isSelected, isTabStop, wording, onOpen } =
    props;
  const { occurrence: o } = bar;
  const palette = usePalette();
  const colours = inkColours(o.ink ?? calendar.ink, palette);
  const isInside = o.availability === 'away' && bar.labelOffset < bar.width;
  const textColour = isInside ? colours.onSolid : palette.ink;
  const markColour = o.availability === 'away' && bar.width > 18 ? colours.onSolid : colours.edge;
  return (
    <Pressable
      {...markedFor(o.id)}
      role="button"
      aria-label={barName(o, calendar, wording)}
      aria-pressed={isSelected}
      tabIndex={isTabStop ? 0 : -1}
      onPress={() => onOpen(o)}
      style={[styles.bar, { top, left: left + bar.x, width: bar.width, height }]}
    >
      <View
        style={[
          styles.fill,
          barStyle(o.availability, colours),
          isSelected && { borderColor: colours.edge, borderWidth: 2 },
          bar.cutStart && styles.cutStart,
          bar.cutEnd && styles.cutEnd,
        ]}
      />
      {!bar.cutStart && <View style={[styles.edge, { backgroundColor: colours.edge }]} />}
      <View style={[styles.mark, { height }]}>
        <Mark mark={calendar.mark} colour={markColour} size={10} />
      </View>
      <View
        style={[
          styles.label,
          { height },
          bar.labelSide === 'right'
            ? { left: bar.labelOffset, width: Math.max(0, bar.labelRoom) }
            : { right: bar.width + 4, width: Math.max(0, bar.labelRoom), alignItems: 'flex-end' },
        ]}
      >
        <Text numberOfLines={1} style={[styles.title, { color: textColour }]}>
          {titleOf(o)}
        </Text>
        {isTall && (
          <Text
            numberOfLines={1}
            style={[styles.second, { color: isInside ? colours.onSolid : palette.dim }]}
          >
            {secondLine(o, wording)}
          </Text>
        )}
      </View>
      {isSelected && (
        <>
          <Handle edge="start" colour={colours.edge} />
          <Handle edge="end" colour={colours.edge} />
        </>
      )}
    </Pressable>
  );
});

const styles = StyleSheet.create({
  bar: { position: 'absolute', userSelect: 'none' },
  fill: {
    position: 'absolute',
    top: 0,
    right: 0,
    bottom: 0,
    left: 0,
    borderWidth: 1,
    borderRadius: 4,
  },
  cutStart: { borderTopLeftRadius: 0, borderBottomLeftRadius: 0, borderLeftWidth: 0 },
  cutEnd: { borderTopRightRadius: 0, borderBottomRightRadius: 0, borderRightWidth: 0 },
  edge: {
    position: 'absolute',
    left: 0,
    top: 0,
    bottom: 0,
    width: 4,
    borderTopLeftRadius: 4,
    borderBottomLeftRadius: 4,
  },
  mark: { position: 'absolute', left: 7, justifyContent: 'center' },
  label: { position: 'absolute', top: 0, justifyContent: 'center', alignItems: 'flex-start' },
  title: {
    fontFamily: SANS,
    fontSize: LABEL_SIZE,
    fontWeight: '500',
    lineHeight: 16,
    maxWidth: '100%',
  },
  second: {
    fontFamily: SANS,
    fontSize: SECOND_SIZE,
    lineHeight: 14,
    maxWidth: '100%',
    fontVariant: ['tabular-nums'],
  },
  handle: {
    position: 'absolute',
    top: -8,
    bottom: -8,
    width: 22,
    alignItems: 'center',
    justifyContent: 'center',
    cursor: 'ew-resize' as 'pointer',
  },
  atStart: { left: -14 },
  atEnd: { right: -14 },
  grip: { width: 5, height: 18, borderRadius: 3 },
});
