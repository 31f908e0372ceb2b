import type { Occurrence } from '@/core/agenda/occurrence';
import { inkOf } from '@/core/colour/inkOf';
import type { Row } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Workweek } from '@/core/model/others';
import type { Wording } from '@/core/time/words';
import { SHORT_DAY, sayDay } from '@/core/time/words';
import { memoPlaced } from '@/ui/memoPlaced';
import { usePalette } from '@/ui/theme/theme';
import { BarView } from './BarView';
import type { RowSizes } from './geometry';
import { FACTS_PRESS, laneTop, PADDING } from './geometry';
import { TrackGutter } from './TrackGutter';
import { OutsideCounts } from './OutsideCounts';
import type { TimeLine } from './RowBackground';
import { RowBackground } from './RowBackground';
import { DayButton } from '../sheet/DayButton';
import { secondLineIn } from '../sheet/labels';
import type { SheetGestures } from '../sheet/sheetGestures';
import { FactsLine } from '@/features/facts/FactsLine';
import { sayPart } from '@/features/bars/sayPart';
import { WholeDayBar } from '../sheet/WholeDayBar';

/** What all rows are drawn by. */
interface RowsDrawn {
  line: TimeLine;
  sizes: RowSizes;
  gutter: number;
  calendarOf: ReadonlyMap<string, Calendar>;
  /** Whether more than one day is shown, so that each has to be told. */
  hasDay: boolean;
  /** The inks of categories by id, where inks stand for them; else null. */
  categoryInks: ReadonlyMap<string, string> | null;
  workweek: Workweek;
  wording: Wording;
  /** What sizes of letters are multiplied by. */
  text: number;
  /** The part of the sheet that is in sight, or near it, in px from its top. Other bars wait. */
  seenFrom: number;
  seenTo: number;
  hands: SheetGestures;
}

interface Props {
  row: Row;
  drawn: RowsDrawn;
  bookedMinutes: number;
  facts: readonly Occurrence[];
  isToday: boolean;
  /** The zone whose clock counts on a day spent elsewhere. */
  awayZone: string | null;
  /** Ids of bars, where they are in this row. */
  selectedId: string | null;
  draggedId: string | null;
  tabStopId: string | null;
}

/** A day of the sheet with everything on it. */
export const SheetRow = memoPlaced(function SheetRow(props: Props) {
  const { row, drawn, isToday, selectedId, draggedId, tabStopId } = props;
  const { line, sizes, gutter, calendarOf, categoryInks, workweek, wording, hands } = drawn;
  const { dim } = usePalette();
  // What is dragged stays: a finger whose element goes away scrolls the page instead.
  const isDrawn = ({ id }: Occurrence, top: number) =>
    (top >= drawn.seenFrom && top <= drawn.seenTo) || id === draggedId;
  const inkFor = (o: Occurrence) =>
    inkOf(o, calendarOf.get(o.calendarId)?.ink ?? dim, categoryInks);
  const barProps = (o: Occurrence) => ({
    ink: inkFor(o),
    isSelected: o.id === selectedId,
    isTabStop: o.id === tabStopId,
    wording,
    onOpen: hands.onOpen,
  });
  return (
    <div className="sheet-day">
      <RowBackground
        row={row}
        line={line}
        gutter={gutter}
        workweek={workweek}
        isToday={isToday}
        inkOf={inkFor}
        isClosure={(o) => calendarOf.get(o.calendarId)?.isClosures === true}
      />
      {row.calendarId !== null ? (
        <TrackGutter
          row={row}
          width={gutter}
          calendar={calendarOf.get(row.calendarId)}
          hasDay={drawn.hasDay}
          isToday={isToday}
          wording={wording}
          onAdd={hands.onAddToDay}
        />
      ) : (
        <DayButton
          of="row"
          day={row.day}
          at={{ left: 0, top: row.y, width: gutter, height: row.height - 1 }}
          bookedMinutes={props.bookedMinutes}
          isToday={isToday}
          awayZone={props.awayZone}
          workweek={workweek}
          wording={wording}
          onAdd={hands.onAddToDay}
          onWorkday={hands.onWorkday}
        />
      )}
      {row.calendarId === null && (
        <FactsLine
          day={row.day}
          facts={props.facts}
          wording={wording}
          at={{
            left: 0,
            top: row.y + row.height - 1 - FACTS_PRESS,
            width: gutter,
            height: FACTS_PRESS,
          }}
        />
      )}
      {row.tops.map((bar, n) => {
        const calendar = calendarOf.get(bar.occurrence.calendarId);
        const top = row.y + PADDING + n * sizes.top;
        if (!calendar || !isDrawn(bar.occurrence, top)) return null;
        return (
          <WholeDayBar
            key={bar.occurrence.id}
            occurrence={bar.occurrence}
            part={sayPart(bar)}
            calendar={calendar}
            at={{ left: gutter + bar.x, top, width: bar.width, height: sizes.top - 3 }}
            {...barProps(bar.occurrence)}
          />
        );
      })}
      {row.bars.map((bar) => {
        const { occurrence } = bar;
        const calendar = calendarOf.get(occurrence.calendarId);
        const top = row.y + laneTop(row, bar.lane, sizes);
        if (!calendar || !isDrawn(occurrence, top)) return null;
        return (
          <BarView
            key={occurrence.id}
            bar={bar}
            calendar={calendar}
            at={{ left: gutter, top, height: row.laneHeight - 3 }}
            second={row.tall ? secondLineIn(occurrence, wording, bar.labelRoom, drawn.text) : ''}
            isDragged={occurrence.id === draggedId}
            {...barProps(occurrence)}
          />
        );
      })}
      <OutsideCounts
        row={row}
        sizes={sizes}
        gutter={gutter}
        dayName={sayDay(row.day, wording, SHORT_DAY)}
        onWiden={hands.onWiden}
      />
    </div>
  );
});
