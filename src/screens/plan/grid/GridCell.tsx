import type { Occurrence } from '@/core/agenda/occurrence';
import { memoPlaced } from '@/ui/memoPlaced';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay, sayHoursTight, travelZone } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { DayNumber } from '@/core/time/units';
import { dayName } from '../sheet/dayName';
import type { Box } from '../sheet/Ghost';
import { FactsLine } from '@/features/facts/FactsLine';
import type { Wash } from '@/features/bars/WashOf';
import { WashOf } from '@/features/bars/WashOf';

/** Room of the number and of the hours in the line of a cell's head, in px. */
const NUMBER_ROOM = 44;
const HOURS_ROOM = 40;
/** Cells narrower than this have only room for the icons of facts. */
const FACTS_WORDS = 150;

interface Props {
  at: Box;
  day: DayNumber;
  /** Height of its number's line. */
  head: number;
  is: {
    today: boolean;
    /** Whether it belongs to what is shown, or only fills a week up. */
    within: boolean;
    open: boolean;
    /** Whether it lies where what is being added would. */
    draft: boolean;
    /** Whether hours stand under the number, and not beside it. */
    tall: boolean;
    /** Whether a press anywhere on it shows the day under the grid. */
    narrow: boolean;
  };
  bookedMinutes: number;
  facts: readonly Occurrence[];
  /** Of the whole-day events that take the day. */
  washes: readonly Wash[];
  workweek: Workweek;
  wording: Wording;
  onOpenDay(day: DayNumber): void;
}

/** A day of the grid: its number, which opens it in place, on the ground of how it stands. */
export const GridCell = memoPlaced(function GridCell(props: Props) {
  const { day, at, is, bookedMinutes, washes, workweek, wording } = props;
  const isOff = workdayOf(day, workweek).hours === null;
  const { day: number } = civilDate(day);
  const label =
    number === 1 ? sayDay(day, wording, { day: 'numeric', month: 'short' }) : String(number);
  const away = travelZone(day, wording);
  const name = dayName({
    day,
    wording,
    isToday: is.today,
    awayZone: away,
    bookedMinutes,
    workweek,
  });
  const ground = [
    'grid-cell',
    ...(is.today ? ['sheet-today'] : isOff ? ['grid-cell-off'] : []),
    ...(is.within ? [] : ['grid-cell-beyond']),
    ...(is.draft ? ['grid-cell-draft'] : []),
    ...(is.narrow && is.open ? ['grid-cell-shown'] : []),
  ].join(' ');
  return (
    <div className={ground} style={{ ...at }}>
      {washes.map((each, i) => (
        <WashOf key={i} width="100%" {...each} />
      ))}
      <button
        type="button"
        data-nodrag
        {...(is.narrow ? { 'aria-pressed': is.open } : { 'aria-expanded': is.open })}
        aria-label={`${name}. ${is.narrow ? 'Show' : is.open ? 'Close' : 'Open'} the day`}
        onClick={() => props.onOpenDay(day)}
        className={is.tall && !is.narrow ? 'grid-head grid-head-tall' : 'grid-head'}
        style={{ height: is.narrow ? '100%' : props.head }}
      >
        <span className="grid-number">{label}</span>
        {away && !is.narrow && <span>{cityOf(away)}</span>}
        {bookedMinutes > 0 && !is.narrow && <span>{sayHoursTight(bookedMinutes)}</span>}
      </button>
      {!is.narrow && (
        <FactsLine
          day={day}
          facts={props.facts}
          wording={wording}
          isTight={at.width < FACTS_WORDS}
          at={{
            left: NUMBER_ROOM,
            top: 0,
            width: at.width - NUMBER_ROOM - HOURS_ROOM,
            height: props.head,
          }}
        />
      )}
    </div>
  );
});
