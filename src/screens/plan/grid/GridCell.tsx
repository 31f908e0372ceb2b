import { memo } from 'react';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay, sayHoursTight } from '@/core/time/words';
import { dayName } from '../sheet/dayName';
import type { Box } from '../sheet/Ghost';
import { wash } from '@/features/bars/wash';

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
  /** Whether hours stand under the number, and not beside it. */
  isTall: boolean;
  /** Edge colours of the whole-day events that take the day. */
  washes: readonly string[];
  workweek: Workweek;
  wording: Wording;
  onOpenDay(day: number): void;
}

/** A day of the grid: its number, which opens it in place, on the ground of how it stands. */
export const GridCell = memo(function GridCell(props: Props) {
  const { day, isToday, isWithin, isOpen, isDraft, bookedMinutes, washes, workweek } = props;
  const isOff = workdayOf(day, workweek).hours === null;
  const { day: number } = civilDate(day);
  const label =
    number === 1 ? sayDay(day, props.wording, { day: 'numeric', month: 'short' }) : String(number);
  const ground = [
    'grid-cell',
    ...(isToday ? ['sheet-today'] : isOff ? ['grid-cell-off'] : []),
    ...(isWithin ? [] : ['grid-cell-beyond']),
    ...(isDraft ? ['grid-cell-draft'] : []),
  ].join(' ');
  const { left, top, width, height } = props;
  return (
    <div className={ground} style={{ left, top, width, height }}>
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
        aria-expanded={isOpen}
        aria-label={`${dayName(props)}. ${isOpen ? 'Close' : 'Open'} the day`}
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
