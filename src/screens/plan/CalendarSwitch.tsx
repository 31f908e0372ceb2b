import type { Calendar } from '@/core/model/calendar';
import { CalendarChip } from '@/ui/CalendarChip';
import type { CalendarsShown } from './useCalendarsShown';

/** Shows a calendar or hides it; held, or by the right button or the menu key, it opens what else can be done. */
export function CalendarSwitch({
  calendar,
  showing,
}: {
  calendar: Calendar;
  showing: Pick<CalendarsShown, 'toggle' | 'openMenu'>;
}) {
  return (
    <CalendarChip
      calendar={calendar}
      role="switch"
      isOn={calendar.shown}
      onPress={() => showing.toggle(calendar)}
      onMenu={() => showing.openMenu(calendar.id)}
    />
  );
}
