import { memo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { TopBar } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { titleOf } from '@/data/actions';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { barName } from './BarView';
import { pressable } from './pressable';
import { TOP } from './geometry';

interface Props {
  bar: TopBar;
  calendar: Calendar;
  top: number;
  left: number;
  isSelected: boolean;
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** A whole-day or long event along the top of a row: solid when it takes the day, outlined when not. */
export const TopBarView = memo(function TopBarView(props: Props) {
  const { bar, calendar, top, left, isSelected, isTabStop, wording, onOpen } = props;
  const { occurrence: o } = bar;
  const palette = usePalette();
  const { edge, fill, solid, onSolid } = inkColours(o.ink ?? calendar.ink, palette);
  const isSolid = o.availability === 'busy' || o.availability === 'away';
  const part = bar.of > 1 ? ` · day ${bar.nth} of ${bar.of}` : '';
  return (
    <div
      {...pressable(o, isTabStop, onOpen)}
      aria-label={`${barName(o, calendar, wording)}${part}`}
      aria-pressed={isSelected}
      className="sheet-bar sheet-top"
      style={{
        top,
        left: left + bar.x,
        width: bar.width,
        height: TOP - 3,
        color: isSolid ? onSolid : palette.ink,
        backgroundColor: isSolid ? solid : o.availability === 'tentative' ? fill : palette.sheet,
        borderColor: isSelected ? palette.ink : edge,
        borderStyle: o.availability === 'tentative' ? 'dashed' : 'solid',
        ...(isSelected && { outline: `1px solid ${palette.ink}` }),
      }}
    >
      <Mark mark={calendar.mark} colour={isSolid ? onSolid : edge} size={10} left={6} />
      <div className="sheet-label">
        <div>
          {titleOf(o)}
          {part}
        </div>
      </div>
    </div>
  );
});
