import { memoPlaced } from '@/ui/memoPlaced';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay, sayHoursTight } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { dayName } from '../sheet/dayName';
import type { Box } from '../sheet/Ghost';
import { wash } from '@/features/bars/wash';

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
  };
  bookedMinutes: number;
  /** Whether hours stand under the number, and not beside it. */
  isTall: boolean;
  /** Edge colours of the whole-day events that take the day. */
  washes: readonly string[];
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
  const name = dayName({ day, wording, isToday: is.today, bookedMinutes, workweek });
  const ground = [
    'grid-cell',
    ...(is.today ? ['sheet-today'] : isOff ? ['grid-cell-off'] : []),
    ...(is.within ? [] : ['grid-cell-beyond']),
    ...(is.draft ? ['grid-cell-draft'] : []),
  ].join(' ');
  return (
    <div className={ground} style={{ ...at }}>
      {washes.map((colour, i) => (
        <div
          key={i}
          aria-hidden
          className="sheet-wash"
          style={{ width: '100%', ...wash(colour) }}
        />
      ))}
      <button
        type="button"
        data-nodrag
        aria-expanded={is.open}
        aria-label={`${name}. ${is.open ? 'Close' : 'Open'} the day`}
        onClick={() => props.onOpenDay(day)}
        className={props.isTall ? 'grid-head grid-head-tall' : 'grid-head'}
        style={{ height: props.head }}
      >
        <span className="grid-number">{label}</span>
        {bookedMinutes > 0 && <span>{sayHoursTight(bookedMinutes)}</span>}
      </button>
    </div>
  );
});
