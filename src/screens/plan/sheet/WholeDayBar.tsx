import { memoPlaced } from '@/ui/memoPlaced';
import type { Occurrence } from '@/core/agenda/occurrence';
import { takesDay } from '@/core/agenda/parts';
import type { Calendar } from '@/core/model/calendar';
import type { Wording } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { Mark } from '@/ui/Mark';
import { usePalette } from '@/ui/theme/theme';
import { useBarColours } from '@/features/bars/barColours';
import { barName } from '@/features/bars/barName';
import { useBarState } from '@/features/bars/barState';
import { EventIcon } from '@/features/bars/EventIcon';
import { pressable } from '@/features/bars/pressable';
import type { Box } from './Ghost';
import { TaskBar } from './TaskBar';

interface Props {
  at: Box;
  occurrence: Occurrence;
  /** Said after the title: "day 1 of 2"; empty when it lasts a day. */
  part: string;
  calendar: Calendar;
  ink: string;
  isSelected: boolean;
  isTabStop: boolean;
  isDragged?: boolean;
  wording: Wording;
  onOpen(occurrence: Occurrence): void;
}

/** What lasts a whole day: an event, or the line of what is to be done by it. */
export const WholeDayBar = memoPlaced(function WholeDayBar(props: Props) {
  const { tasks } = props.occurrence;
  return tasks ? <TaskBar at={props.at} tasks={tasks} /> : <WholeDayEvent {...props} />;
});

/** A whole-day or long event: solid when it takes the day, outlined when not. */
function WholeDayEvent(props: Props) {
  const { occurrence: o, part, calendar, ink, isSelected, isTabStop, wording, onOpen } = props;
  const palette = usePalette();
  const state = useBarState(o.id);
  const { edge, fill, solid, onSolid, text } = useBarColours(o, ink);
  const isSolid = takesDay(o);
  const said = part && ` · ${part}`;
  return (
    <div
      {...pressable(o, isTabStop, onOpen, state)}
      aria-label={`${barName(o, calendar, wording, state)}${said}`}
      aria-pressed={isSelected}
      className="sheet-bar sheet-top"
      style={{
        ...props.at,
        color: isSolid ? onSolid : text,
        backgroundColor: isSolid ? solid : o.availability === 'tentative' ? fill : palette.sheet,
        borderColor: isSelected ? palette.ink : edge,
        borderStyle: o.availability === 'tentative' ? 'dashed' : 'solid',
        ...(isSelected && { outline: `1px solid ${palette.ink}` }),
        ...(props.isDragged && { opacity: 0.4 }),
      }}
    >
      <Mark mark={calendar.mark} colour={isSolid ? onSolid : edge} />
      <div className="sheet-label">
        <EventIcon icon={o.icon} />
        {titleOf(o)}
        {said}
      </div>
    </div>
  );
}
