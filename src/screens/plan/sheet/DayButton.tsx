import { memoPlaced } from '@/ui/memoPlaced';
import type { Workweek } from '@/core/model/others';
import { civilDate } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayHoursTight, weekdayName } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { DayNumber } from '@/core/time/units';
import { PlainIcon } from '@/ui/icons/PlainIcon';
import { dayName } from './dayName';
import type { Box } from './Ghost';
import { WorkIcon } from './WorkIcon';

/** Below this width (px) the parts of a column's head stand under each other. */
const NARROW = 64;
/** The work icon's width and height, as .work-icon has them. */
const ICON = { width: 24, height: 25 };

interface Props {
  at: Box;
  /** Whether it stands before a row or above a column. */
  of: 'row' | 'column';
  day: DayNumber;
  bookedMinutes: number;
  isToday: boolean;
  /** The zone whose clock counts on a day spent elsewhere. */
  awayZone: string | null;
  workweek: Workweek;
  wording: Wording;
  onAdd(day: DayNumber): void;
  onWorkday(day: DayNumber): void;
}

/** The head of a day: weekday, number, where the work is, how much of it is booked. A press adds to the day. */
export const DayButton = memoPlaced(function DayButton(props: Props) {
  const { of, day, at, bookedMinutes, isToday, awayZone, onAdd } = props;
  const { left, top, width, height } = at;
  const isNarrow = of === 'column' && width < NARROW;
  const classes = [
    'day-button',
    `day-button-${of}`,
    ...(isNarrow ? ['day-button-narrow'] : []),
    ...(isToday ? ['sheet-today'] : []),
  ].join(' ');
  // In a row the work icon stands beside the number, in a wide column at its foot.
  const iconTop =
    of === 'row' ? 0 : isNarrow ? (height - ICON.height) / 2 : height - ICON.height + 3;
  return (
    <>
      <button
        type="button"
        role="button"
        aria-label={`${dayName(props)}. Add`}
        onClick={() => onAdd(day)}
        className={classes}
        style={{ left, top, width, height }}
      >
        <span className="day-weekday">{weekdayName(day).toUpperCase()}</span>
        <span className="day-number">{civilDate(day).day}</span>
        {awayZone && (
          <span className="day-away">
            <PlainIcon name="airplane" size={11} />
            {of === 'row' && <span>{cityOf(awayZone)}</span>}
          </span>
        )}
        {bookedMinutes > 0 && <span className="day-booked">{sayHoursTight(bookedMinutes)}</span>}
      </button>
      <WorkIcon
        day={day}
        left={left + width - ICON.width + (isNarrow ? 3 : -1)}
        top={top + iconTop}
        of={of}
        workweek={props.workweek}
        wording={props.wording}
        onPress={props.onWorkday}
      />
    </>
  );
});
