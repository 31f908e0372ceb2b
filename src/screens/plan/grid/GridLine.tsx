import { memoPlaced } from '@/ui/memoPlaced';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Calendar } from '@/core/model/calendar';
import { minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayMinute } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import { useBarColours } from '@/features/bars/barColours';
import { barName } from '@/features/bars/barName';
import { useBarState } from '@/features/bars/barState';
import { barStyle, startEdge } from '@/features/bars/barStyle';
import { EventIcon } from '@/features/bars/EventIcon';
import type { Box } from '../sheet/Ghost';
import { pressable } from '@/features/bars/pressable';

interface Props {
  at: Box;
  occurrence: Occurrence;
  calendar: Calendar;
  ink: string;
  /** What stands on it: nothing, its title, or its time before that. */
  says: 'nothing' | 'title' | 'all';
  isSelected: boolean;
  isDragged: boolean;
  isTabStop: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** A timed event of one day on a line of its cell. */
export const GridLine = memoPlaced(function GridLine(props: Props) {
  const { occurrence: o, calendar, ink, says, isSelected, wording } = props;
  const state = useBarState(o.id);
  const colours = useBarColours(o, ink);
  const isSolid = o.availability === 'away';
  return (
    <div
      {...pressable(o, props.isTabStop, props.onOpen, state)}
      aria-label={barName(o, calendar, wording, state)}
      aria-pressed={isSelected}
      title={says === 'nothing' ? titleOf(o) : undefined}
      className="sheet-bar sheet-line"
      style={{
        ...props.at,
        color: isSolid ? colours.onSolid : colours.text,
        ...barStyle(o.availability, colours),
        boxShadow: startEdge(o.importance, colours.edge, colours.fill),
        ...(isSelected && { borderColor: colours.edge, outline: `1px solid ${colours.edge}` }),
        ...(props.isDragged && { opacity: 0.4 }),
      }}
    >
      {says !== 'nothing' && (
        <>
          {says === 'all' && (
            <>
              <Mark mark={calendar.mark} colour={isSolid ? colours.onSolid : colours.edge} />
              <span style={{ color: isSolid ? colours.onSolid : colours.quiet }}>
                {sayMinute(minuteOfDay(o.start), wording.hourCycle)}
              </span>
            </>
          )}
          {o.travelBefore > 0 && <span className="sheet-lead" />}
          <EventIcon icon={o.icon} />
          {titleOf(o)}
        </>
      )}
    </div>
  );
});
