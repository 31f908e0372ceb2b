import type { Occurrence } from '@/core/agenda/occurrence';
import { isTop } from '@/core/agenda/parts';
import type { GridBar } from '@/core/layout/grid';
import type { Calendar } from '@/core/model/calendar';
import { officeWeek } from '@/core/time/civil';
import type { Weekday } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { LONG_DAY, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { WholeDayBar } from '../sheet/WholeDayBar';
import { GridLine } from './GridLine';
import type { GridLayout, PlacedWeek } from './useGridLayout';

interface Props {
  week: PlacedWeek;
  layout: Pick<GridLayout, 'gutter' | 'cell' | 'head' | 'isNarrow' | 'offsets'>;
  look: {
    calendarOf: ReadonlyMap<string, Calendar>;
    inkFor(occurrence: Occurrence): string;
    firstWeekday: Weekday;
    wording: Wording;
    isWide: boolean;
  };
  selectedId: string | null;
  draggedId: string | null;
  tabStopId: string | undefined;
  onOpen(occurrence: Occurrence): void;
  onOpenDay(day: DayNumber): void;
  onShowWeek(day: DayNumber): void;
}

/** Between bars that lie beside each other, in px. */
const GAP = 2;
/** Around each bar, as .sheet-bar has it. */
const BORDER = 1;

/** A mark with the space to the next, in px. */
const MARK = 9;
const MARK_STEP = MARK + 2;

/** The marks of a cell's events, without words: a press on the day says them. */
function Marks({ week, layout, look }: Pick<Props, 'week' | 'layout' | 'look'>) {
  const { calendarOf, inkFor } = look;
  const palette = usePalette();
  const width = layout.cell - 8;
  const height = week.height - layout.head - 2;
  const room = Math.floor((width + 2) / MARK_STEP) * Math.floor((height + 2) / MARK_STEP);
  return layout.offsets.map((offset, column) => {
    const bars = week.bars.filter(
      (bar) => bar.column <= column && column < bar.column + bar.columns,
    );
    // What has no room is counted where two marks would stand.
    const shown = bars.length > room ? bars.slice(0, Math.max(0, room - 2)) : bars;
    return (
      <div
        key={offset}
        aria-hidden
        className="grid-marks"
        style={{
          left: layout.gutter + column * layout.cell + 5,
          width,
          top: week.y + layout.head,
          height,
        }}
      >
        {shown.map(({ occurrence: o }) => {
          const calendar = calendarOf.get(o.calendarId);
          return (
            calendar && (
              <Mark
                key={o.id}
                mark={calendar.mark}
                size={MARK}
                colour={inkColours(inkFor(o), palette).edge}
              />
            )
          );
        })}
        {bars.length > shown.length && (
          <span className="grid-marks-more">+{bars.length - shown.length}</span>
        )}
      </div>
    );
  });
}

/** The events of a week on the lines of its cells. */
export function GridWeekView(props: Props) {
  const { week, layout, look, selectedId, draggedId, tabStopId } = props;
  const { calendarOf, inkFor, wording } = look;
  const number = officeWeek(week.day, look.firstWeekday).week;

  function bar({ occurrence: o, column, columns, line, cutStart, cutEnd }: GridBar) {
    const calendar = calendarOf.get(o.calendarId);
    if (!calendar) return null;
    const common = {
      occurrence: o,
      calendar,
      ink: inkFor(o),
      at: {
        left: layout.gutter + column * layout.cell + 1,
        top: week.y + layout.head + line * week.line,
        width: columns * layout.cell - GAP,
        height: week.line - GAP,
      },
      isSelected: o.id === selectedId,
      isDragged: o.id === draggedId,
      isTabStop: o.id === tabStopId,
      wording,
      onOpen: props.onOpen,
    };
    const isBare = week.detail === 'bars';
    if ((isTop(o) || columns > 1) && !isBare)
      return (
        <WholeDayBar
          key={o.id}
          {...common}
          part={
            cutStart && cutEnd
              ? 'goes on'
              : cutEnd
                ? 'to next week'
                : cutStart
                  ? 'from last week'
                  : ''
          }
        />
      );
    const says = isBare ? 'nothing' : look.isWide ? 'all' : 'title';
    return <GridLine key={o.id} {...common} says={says} />;
  }

  return (
    <div className="sheet-day" style={{ lineHeight: `${week.line - GAP - 2 * BORDER}px` }}>
      {layout.gutter > 0 && (
        <button
          type="button"
          data-nodrag
          aria-label={`Show week ${number}`}
          onClick={() => props.onShowWeek(week.day)}
          className="grid-week-number"
          style={{ top: week.y, height: week.height, width: layout.gutter }}
        >
          {number}
        </button>
      )}
      {week.detail === 'marks' ? (
        <Marks week={week} layout={layout} look={look} />
      ) : (
        week.bars.map(bar)
      )}
      {week.detail !== 'marks' &&
        !layout.isNarrow &&
        week.more.map((more, column) => {
          const day = week.day + layout.offsets[column]!;
          return (
            more > 0 && (
              <button
                key={day}
                type="button"
                data-nodrag
                aria-label={`${more} more on ${sayDay(day, wording, LONG_DAY)}`}
                onClick={() => props.onOpenDay(day)}
                className="grid-more"
                style={{
                  left: layout.gutter + column * layout.cell + 2,
                  top: week.y + layout.head + (week.lines - 1) * week.line,
                  height: Math.max(week.line, 15),
                  width: layout.cell - 4,
                }}
              >
                {more} more
              </button>
            )
          );
        })}
    </div>
  );
}
