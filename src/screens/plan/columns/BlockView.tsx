import { memo } from 'react';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Block } from '@/core/layout/columns';
import type { Calendar } from '@/core/model/calendar';
import { minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import { useBarColours } from '@/features/bars/barColours';
import { barName } from '@/features/bars/barName';
import { Tally } from '@/features/bars/Tally';
import { useBarState } from '@/features/bars/barState';
import { barStyle, startEdge } from '@/features/bars/barStyle';
import { EventIcon } from '@/features/bars/EventIcon';
import { pressable } from '@/features/bars/pressable';
import { Ways } from '@/features/bars/Ways';
import { MIN_WORDS } from './geometry';

interface Props {
  block: Block;
  calendar: Calendar;
  ink: string;
  /** Left end and width of the column, in px. */
  left: number;
  width: number;
  isSelected: boolean;
  isDragged: boolean;
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** Between blocks that stand side by side, in px. */
const GAP = 2;
/** Below this width letters are smaller, so that words fit. */
const NARROW = 64;
/** From this height on a block says its time and place too. */
const TWO_LINES = 34;

/** A timed event in its column: as tall as it lasts, its title wrapped in it. */
export const BlockView = memo(function BlockView(props: Props) {
  const { block, calendar, ink, left, width, isSelected, isDragged, isTabStop, wording } = props;
  const { occurrence: o, y, height } = block;
  const state = useBarState(o.id);
  const colours = useBarColours(o, ink);
  const isSolid = o.availability === 'away';
  const blockWidth = block.width * width - GAP;
  const time = `${sayMinute(minuteOfDay(o.start), wording.hourCycle)}${o.place ? ` · ${o.place}` : ''}`;
  const titleClass = [
    'sheet-block-title',
    ...(height < TWO_LINES ? ['sheet-block-short'] : []),
    ...(blockWidth < NARROW ? ['sheet-block-narrow'] : []),
  ].join(' ');
  return (
    <div
      {...pressable(o, isTabStop, props.onOpen, state)}
      aria-label={barName(o, calendar, wording, state)}
      aria-pressed={isSelected}
      className="sheet-bar sheet-block"
      style={{
        top: y,
        left: left + block.left * width + 1,
        width: blockWidth,
        height: height - 1,
        color: isSolid ? colours.onSolid : colours.text,
        ...barStyle(o.availability, colours),
        boxShadow: isSolid
          ? startEdge(o.importance, colours.onSolid, colours.solid)
          : startEdge(o.importance, colours.edge, colours.fill),
        ...(isSelected && { borderColor: colours.edge, outline: `1px solid ${colours.edge}` }),
        ...(isDragged && { opacity: 0.4 }),
      }}
    >
      <Ways along="down" before={block.wayBefore} after={block.wayAfter} colour={colours.edge} />
      {blockWidth >= MIN_WORDS && (
        <div className="sheet-block-text">
          <div className={titleClass}>
            <Mark mark={calendar.mark} colour={isSolid ? colours.onSolid : colours.edge} size={9} />{' '}
            <EventIcon icon={o.icon} />
            <Tally occurrence={o} />
            {titleOf(o)}
          </div>
          {height >= TWO_LINES && (
            <div
              className="sheet-second"
              style={{ color: isSolid ? colours.onSolid : colours.quiet }}
            >
              {time}
            </div>
          )}
        </div>
      )}
      {isSelected && calendar.kind === 'own' && (
        <>
          <div data-handle="start" className="sheet-handle sheet-handle-top">
            <div style={{ backgroundColor: colours.edge }} />
          </div>
          <div data-handle="end" className="sheet-handle sheet-handle-bottom">
            <div style={{ backgroundColor: colours.edge }} />
          </div>
        </>
      )}
    </div>
  );
});
