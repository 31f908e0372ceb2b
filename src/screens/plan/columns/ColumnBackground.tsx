import { memo } from 'react';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { useBandsOn } from '@/data/shownOpenings';
import { usePalette } from '@/ui/theme/theme';
import { dayGround } from '../sheet/dayBackground';
import type { Wash } from '@/features/bars/WashOf';
import { WashOf } from '@/features/bars/WashOf';
import type { DayNumber } from '@/core/time/units';
import type { Field } from './placeInColumns';

interface Props {
  day: DayNumber;
  /** Left end of the column, in px. */
  left: number;
  field: Field;
  workweek: Workweek;
  isToday: boolean;
  /** Of the long events that take the day, each with the minutes that it takes. */
  washes: readonly (Wash & { from: number; to: number })[];
}

/** A column behind its blocks: hours of work and out of work, hour lines, and the wash of what takes the day. */
export const ColumnBackground = memo(function ColumnBackground(props: Props) {
  const { day, left, field, workweek, isToday, washes } = props;
  const palette = usePalette();
  const { hours } = workdayOf(day, workweek);
  const bands = useBandsOn(day);
  const { fromMinute, toMinute, height } = field;
  const yOf = (minute: number) =>
    ((Math.min(toMinute, Math.max(fromMinute, minute)) - fromMinute) / (toMinute - fromMinute)) *
    height;
  return (
    <div
      aria-hidden
      className={`sheet-ground sheet-ground-column${isToday ? ' sheet-today' : ''}`}
      style={{
        left,
        width: field.width,
        height: field.height,
        ...dayGround({ axis: 'down', ...field, length: field.height, hours }, palette),
      }}
    >
      {bands.map(({ from, to, isOffered }) => (
        <div
          key={`${from} ${isOffered}`}
          className={isOffered ? 'opening-band opening-offered' : 'opening-band'}
          style={{ left: 0, right: 0, top: yOf(from), height: Math.max(0, yOf(to) - yOf(from)) }}
        />
      ))}
      {washes.map(({ from, to, ...each }, i) => (
        <WashOf key={i} width="100%" top={yOf(from)} height={yOf(to) - yOf(from)} {...each} />
      ))}
    </div>
  );
});
