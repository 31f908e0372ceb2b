import type { CSSProperties } from 'react';
import { memo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { RowBar } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { useHasDraft } from '@/data/drafts';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import { useBarColours } from '@/features/bars/barColours';
import { barStyle } from '@/features/bars/barStyle';
import { barName } from '@/features/bars/barName';
import { EventIcon } from '@/features/bars/EventIcon';
import { pressable } from '@/features/bars/pressable';
import { secondLine } from '../sheet/labels';

interface Props {
  bar: RowBar;
  calendar: Calendar;
  ink: string;
  top: number;
  left: number;
  height: number;
  isTall: boolean;
  isSelected: boolean;
  /** Whether its draft is being dragged about. */
  isDragged: boolean;
  /** Whether Tab stops here: one bar of the sheet has that. */
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** Where the ends of the selected event are taken hold of. */
function Handle({ edge, colour }: { edge: 'start' | 'end'; colour: string }) {
  return (
    <div data-handle={edge} className={`sheet-handle sheet-handle-${edge}`}>
      <div style={{ backgroundColor: colour }} />
    </div>
  );
}

/**
 * A timed event on its row: a bar of its true length, with a label that runs on. Plain elements with
 * classes of sheet.css: a full week draws hundreds, and React Native's take twice the time.
 */
export const BarView = memo(function BarView(props: Props) {
  const { bar, calendar, ink, top, left, height, isTall, isSelected, isDragged, isTabStop } = props;
  const { wording, onOpen } = props;
  const { occurrence: o } = bar;
  const waits = useHasDraft(o.id);
  const colours = useBarColours(o, ink);
  const isInside = o.availability === 'away' && bar.labelOffset < bar.width;
  const markColour = o.availability === 'away' && bar.width > 18 ? colours.onSolid : colours.edge;
  const cuts = `${bar.cutStart ? ' sheet-cut-start' : ''}${bar.cutEnd ? ' sheet-cut-end' : ''}`;
  const label: CSSProperties = {
    width: Math.max(0, bar.labelRoom),
    color: isInside ? colours.onSolid : colours.text,
    ...(bar.labelSide === 'right'
      ? { left: bar.labelOffset - 1 }
      : { right: bar.width + 3, textAlign: 'right' }),
  };
  return (
    <div
      {...pressable(o, isTabStop, onOpen, waits)}
      aria-label={barName(o, calendar, wording, waits)}
      aria-pressed={isSelected}
      className={`sheet-bar${cuts}`}
      style={{
        top,
        left: left + bar.x,
        width: bar.width,
        height,
        color: markColour,
        ...barStyle(o.availability, colours),
        boxShadow: bar.cutStart ? 'none' : `inset 3px 0 0 ${colours.edge}`,
        ...(isSelected && { borderColor: colours.edge, outline: `1px solid ${colours.edge}` }),
        ...(isDragged && { opacity: 0.4 }),
      }}
    >
      <Mark mark={calendar.mark} />
      <div className="sheet-label" style={label}>
        <EventIcon icon={o.icon} />
        {titleOf(o)}
        {isTall && (
          <div
            className="sheet-second"
            style={{ color: isInside ? colours.onSolid : colours.quiet }}
          >
            {secondLine(o, wording)}
          </div>
        )}
      </div>
      {isSelected && (
        <>
          <Handle edge="start" colour={colours.edge} />
          <Handle edge="end" colour={colours.edge} />
        </>
      )}
    </div>
  );
});
