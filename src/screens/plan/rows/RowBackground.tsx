import { memo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Row } from '@/core/layout/rows';
import { xOfMinute } from '@/core/layout/rows';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { useBandsOn } from '@/data/shownOpenings';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { dayGround } from '../sheet/dayBackground';
import { WashOf } from '@/features/bars/WashOf';
import type { MinuteOfDay } from '@/core/time/units';

/** What is needed to place minutes. */
export interface TimeLine {
  fromMinute: MinuteOfDay;
  toMinute: MinuteOfDay;
  width: number;
}

interface Props {
  row: Row;
  line: TimeLine;
  gutter: number;
  workweek: Workweek;
  isToday: boolean;
  inkOf(occurrence: Occurrence): string;
  isClosure(occurrence: Occurrence): boolean;
}

/** A row behind its bars: hours of work and out of work, hour lines, and the wash of what takes the day. */
export const RowBackground = memo(function RowBackground(props: Props) {
  const { row, line, gutter, workweek, isToday, inkOf, isClosure } = props;
  const palette = usePalette();
  const { hours } = workdayOf(row.day, workweek);
  const bands = useBandsOn(row.day);
  const washing = row.tops.filter(
    ({ occurrence: { availability } }) => availability === 'busy' || availability === 'away',
  );
  return (
    <div
      aria-hidden
      className={`sheet-ground sheet-ground-row${isToday ? ' sheet-today' : ''}`}
      style={{
        top: row.y,
        height: row.height,
        paddingLeft: gutter,
        ...dayGround({ axis: 'across', ...line, length: line.width, hours }, palette),
      }}
    >
      {bands.map(({ from, to, isOffered }) => (
        <div
          key={`${from} ${isOffered}`}
          className={isOffered ? 'opening-band opening-offered' : 'opening-band'}
          style={{
            left: gutter + xOfMinute(line, Math.max(from, line.fromMinute)),
            width: Math.max(
              0,
              xOfMinute(line, Math.min(to, line.toMinute)) -
                xOfMinute(line, Math.max(from, line.fromMinute)),
            ),
            top: 0,
            bottom: 0,
          }}
        />
      ))}
      {washing.map(({ occurrence, x, width }) => (
        <WashOf
          key={occurrence.id}
          left={gutter + x}
          width={width}
          colour={inkColours(inkOf(occurrence), palette).edge}
          isClosure={isClosure(occurrence)}
        />
      ))}
    </div>
  );
});
