import type { CSSProperties } from 'react';
import { memoPlaced } from '@/ui/memoPlaced';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { RowBar } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import type { InkColours } from '@/ui/theme/palette';
import { useBarColours } from '@/features/bars/barColours';
import { barStyle, startEdge } from '@/features/bars/barStyle';
import { barName } from '@/features/bars/barName';
import { Tally } from '@/features/bars/Tally';
import { useBarState } from '@/features/bars/barState';
import { EventIcon } from '@/features/bars/EventIcon';
import { pressable } from '@/features/bars/pressable';
import { Ways } from '@/features/bars/Ways';
import type { Box } from '../sheet/Ghost';

interface Props {
  bar: RowBar;
  calendar: Calendar;
  ink: string;
  /** In px; `left` is where its row begins. */
  at: Omit<Box, 'width'>;
  /** What stands under its title; empty for nothing. */
  second: string;
  isSelected: boolean;
  /** Whether its draft is being dragged about. */
  isDragged: boolean;
  /** Whether Tab stops here: one bar of the sheet has that. */
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** How far before its end a bar begins to fade, in px. */
const FADE = 12;

/** A bar without an outline, over whose end its label can run on: a line below says how long it is. */
function softEnd(
  availability: Occurrence['availability'],
  { edge, fill }: InkColours,
  isSelected: boolean,
): CSSProperties {
  const isFilled = availability !== 'free';
  return {
    borderColor: 'transparent',
    borderStyle: 'solid',
    ...(isFilled && {
      backgroundColor: 'transparent',
      backgroundImage: `linear-gradient(to right, ${fill} calc(100% - ${FADE}px), transparent)`,
    }),
    ...(isSelected && {
      outline: 'none',
      boxShadow: `inset 3px 0 0 ${edge}, 0 -1px 0 ${edge}, 0 1px 0 ${edge}`,
    }),
  };
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
export const BarView = memoPlaced(function BarView(props: Props) {
  const { bar, calendar, ink, at, second, isSelected, isDragged, isTabStop } = props;
  const { wording, onOpen } = props;
  const { occurrence: o } = bar;
  const state = useBarState(o.id);
  const colours = useBarColours(o, ink);
  const isInside = o.availability === 'away' && bar.labelOffset < bar.width;
  const markColour = o.availability === 'away' && bar.width > 18 ? colours.onSolid : colours.edge;
  // A label that runs on is not struck through by the bar's end: that is soft, with a line below it.
  const isSoft = bar.labelSide === 'right' && !bar.cutEnd && o.availability !== 'away';
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
      {...pressable(o, isTabStop, onOpen, state)}
      aria-label={barName(o, calendar, wording, state)}
      aria-pressed={isSelected}
      className={`sheet-bar${cuts}${isSoft ? ` sheet-soft sheet-soft-${o.availability}` : ''}`}
      style={{
        ...at,
        left: at.left + bar.x,
        width: bar.width,
        color: markColour,
        ...barStyle(o.availability, colours),
        boxShadow: bar.cutStart ? 'none' : startEdge(o.importance, colours.edge, colours.fill),
        ...(isSelected && { borderColor: colours.edge, outline: `1px solid ${colours.edge}` }),
        ...(isSoft && softEnd(o.availability, colours, isSelected)),
        ...(isDragged && { opacity: 0.4 }),
      }}
    >
      <Ways along="right" before={bar.wayBefore} after={bar.wayAfter} colour={colours.edge} />
      <Mark mark={calendar.mark} />
      <div className="sheet-label" style={label}>
        {/* Only letters take the pointer: paper beside them is nobody's. */}
        <span className="sheet-letters">
          <EventIcon icon={o.icon} />
          <Tally occurrence={o} />
          {titleOf(o)}
        </span>
        {second && (
          <div
            className="sheet-second"
            style={{ color: isInside ? colours.onSolid : colours.quiet }}
          >
            <span className="sheet-letters">{second}</span>
          </div>
        )}
      </div>
      {isSelected && calendar.kind === 'own' && (
        <>
          <Handle edge="start" colour={colours.edge} />
          <Handle edge="end" colour={colours.edge} />
        </>
      )}
    </div>
  );
});
