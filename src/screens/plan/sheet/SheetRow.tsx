import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Row } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Workweek } from '@/core/model/others';
import type { Wording } from '@/core/time/words';
import { SHORT_DAY, sayDay } from '@/core/time/words';
import { usePalette } from '@/ui/theme/theme';
import { BarView } from './BarView';
import { laneTop, PADDING, TOP } from './geometry';
import { Gutter } from './Gutter';
import { OutsideCounts } from './OutsideCounts';
import type { TimeLine } from './RowBackground';
import { RowBackground } from './RowBackground';
import { TopBarView } from './TopBarView';

interface Props {
  row: Row;
  line: TimeLine;
  gutter: number;
  calendarOf: ReadonlyMap<string, Calendar>;
  workweek: Workweek;
  wording: Wording;
  bookedMinutes: number;
  isToday: boolean;
  /** The part of the sheet that is in sight, or near it, in px from its top. Other bars wait. */
  seenFrom: number;
  seenTo: number;
  /** Ids of bars, where they are in this row. */
  selectedId: string | null;
  draggedId: string | null;
  tabStopId: string | null;
  onOpen(occurrence: Occurrence): void;
  onAddToDay(day: number): void;
  onWiden(): void;
}

/** A day of the sheet with everything on it. */
export const SheetRow = memo(function SheetRow(props: Props) {
  const { row, line, gutter, calendarOf, workweek, wording, isToday } = props;
  const { selectedId, draggedId, tabStopId, seenFrom, seenTo, onOpen } = props;
  const { dim } = usePalette();
  const isSeen = (top: number) => top >= seenFrom && top <= seenTo;
  const barProps = ({ id }: Occurrence) => ({
    isSelected: id === selectedId,
    isTabStop: id === tabStopId,
    wording,
    onOpen,
    left: gutter,
  });
  return (
    <View style={styles.row}>
      <RowBackground
        row={row}
        line={line}
        gutter={gutter}
        workweek={workweek}
        isToday={isToday}
        inkOf={(id) => calendarOf.get(id)?.ink ?? dim}
      />
      <Gutter
        day={row.day}
        top={row.y}
        height={row.height}
        width={gutter}
        bookedMinutes={props.bookedMinutes}
        isToday={isToday}
        workweek={workweek}
        wording={wording}
        onAdd={props.onAddToDay}
      />
      {row.tops.map((bar, n) => {
        const calendar = calendarOf.get(bar.occurrence.calendarId);
        const top = row.y + PADDING + n * TOP;
        if (!calendar || !isSeen(top)) return null;
        return (
          <TopBarView
            key={bar.occurrence.id}
            bar={bar}
            calendar={calendar}
            top={top}
            {...barProps(bar.occurrence)}
          />
        );
      })}
      {row.bars.map((bar) => {
        const { occurrence } = bar;
        const calendar = calendarOf.get(occurrence.calendarId);
        const top = row.y + laneTop(row, bar.lane);
        if (!calendar || !isSeen(top)) return null;
        return (
          <BarView
            key={occurrence.id}
            bar={bar}
            calendar={calendar}
            top={top}
            height={row.laneHeight - 3}
            isTall={row.tall}
            isDragged={occurrence.id === draggedId}
            {...barProps(occurrence)}
          />
        );
      })}
      <OutsideCounts
        row={row}
        gutter={gutter}
        dayName={sayDay(row.day, wording, SHORT_DAY)}
        onWiden={props.onWiden}
      />
    </View>
  );
});

const styles = StyleSheet.create({ row: { display: 'contents' } });
