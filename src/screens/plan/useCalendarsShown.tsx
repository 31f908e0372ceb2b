import { useState } from 'react';
import type { Calendar } from '@/core/model/calendar';
import { useDo } from '@/data/commands';
import { CalendarMenu, useShowing } from '@/features/calendars/CalendarMenu';
import { usePlan } from './PlanProvider';

/** The way back from calendars that are shown by a choice of a moment. */
export interface WayBack {
  label: string;
  /** For screen readers, where the label is too short. */
  name?: string;
  go(): void;
}

/** The calendars that the sheet can show, and what a press does to them. */
export function useCalendarsShown() {
  const { calendars, everywhere, place } = usePlan();
  const { view } = place;
  const hereIds = view.calendarIds;
  const act = useDo();
  const showing = useShowing(everywhere);
  const [menuFor, setMenuFor] = useState<string | null>(null);
  const chosen = calendars.find(({ id }) => id === menuFor);
  const showHere = (ids: string[] | null) => place.show({ ...view, calendarIds: ids });

  function toggle(calendar: Calendar): void {
    const { id, shown } = calendar;
    if (hereIds) showHere(shown ? hereIds.filter((each) => each !== id) : [...hereIds, id]);
    else void act({ kind: 'editCalendar', before: calendar, fields: { shown: !shown } });
  }

  const back: WayBack | null = hereIds
    ? {
        label: 'Only here',
        name: 'This window shows calendars of its own: show those of the whole app',
        go: () => showHere(null),
      }
    : showing.canGoBack
      ? { label: 'As before', go: () => void showing.back() }
      : null;
  return {
    listed: calendars.filter(({ listed }) => listed),
    toggle,
    back,
    openMenu: setMenuFor,
    menu: chosen && (
      <CalendarMenu
        calendar={chosen}
        calendars={everywhere}
        {...(hereIds && { onOnlyHere: () => showHere([chosen.id]) })}
        onClose={() => setMenuFor(null)}
      />
    ),
  };
}

export type CalendarsShown = ReturnType<typeof useCalendarsShown>;
