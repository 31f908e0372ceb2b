import type { Dispatch, ReactNode, RefObject } from 'react';
import { createContext, useContext, useMemo, useReducer, useRef, useState } from 'react';
import type { View as NativeView } from 'react-native';
import { calendarForNew } from '@/core/calendars/showing';
import { dayOfWall } from '@/core/time/civil';
import { showsSingleDays } from '@/core/view/forms';
import { useTellSheetShown } from '@/data/sheetShown';
import { useMessages } from '@/data/messages';
import { withClocks } from '@/core/time/words';
import { useWallNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { useIsWide } from '@/ui/useIsWide';
import type { PlanAction, PlanState } from './planState';
import { NOTHING_OPEN, planReducer, selectedIn } from './planState';
import { RULER_HEIGHT } from './Ruler';
import { useLensPicking } from './useLensPicking';
import { useMoves } from './useMoves';
import { usePlaceHistory } from './usePlaceHistory';
import { useReveal } from './useReveal';
import { useSheetContent } from './useSheetContent';
import { useShownPeople } from './useSheetPeople';
import { useSheetPlace } from './useSheetPlace';
import { useZoom } from './useZoom';

/** The calendars as this window shows them, and what goes by them. */
function usePlanCalendars(hereIds: readonly string[] | null, { settings }: Preferences) {
  const everywhere = useCalendars();
  const categories = useCategories();
  // A window may show other calendars than those that are shown everywhere.
  const calendars = useMemo(
    () =>
      hereIds === null
        ? everywhere
        : everywhere.map((c) => ({ ...c, shown: hereIds.includes(c.id) })),
    [everywhere, hereIds],
  );
  const own = useMemo(() => calendars.filter(({ kind }) => kind === 'own'), [calendars]);
  const categoryInks = useMemo(
    () =>
      settings.colourBy === 'category' && categories.length
        ? new Map(categories.map(({ id, ink }) => [id, ink]))
        : null,
    [settings.colourBy, categories],
  );
  const calendarNew = calendarForNew(calendars, settings.defaultCalendarId);
  return { everywhere, calendars, own, categories, categoryInks, calendarNew };
}

/** The person's preferences, with the clock and the size that the sheet has for now. */
function useSheetPreferences(chosen: Preferences, clock: string, zoom: number): Preferences {
  return useMemo(
    () => ({
      ...chosen,
      clock,
      wording: withClocks(chosen.wording, clock, chosen.zone),
      scale: { ...chosen.scale, zoom },
    }),
    [chosen, clock, zoom],
  );
}

function usePlanModel(state: PlanState, dispatch: Dispatch<PlanAction>) {
  const chosen = usePreferences();
  const { say } = useMessages();
  const isWide = useIsWide();
  const clock = state.seenAs ?? chosen.clock;
  const today = dayOfWall(useWallNow(clock));
  const place = useSheetPlace(chosen, today);
  const { view, range } = place;
  const sheet = useRef<NativeView>(null);
  const { zoom, by: zoomBy } = useZoom(
    sheet as unknown as RefObject<HTMLElement | null>,
    chosen.settings,
    showsSingleDays(view.form),
  );
  const preferences = useSheetPreferences(chosen, clock, zoom);
  const shown = usePlanCalendars(view.calendarIds, preferences);
  const people = useShownPeople();
  const content = useSheetContent(
    place,
    preferences,
    { today, calendars: shown.calendars },
    people,
  );
  const lensing = useLensPicking(place, preferences, today);
  const moves = useMoves(preferences, (panel) => dispatch({ do: 'open', panel }));
  const [panelHeight, setPanelHeight] = useState(0);

  const reveal = useReveal({
    place,
    content,
    calendars: shown.everywhere,
    clock,
    today,
    setPanel: (panel) => dispatch({ do: 'open', panel }),
  });
  const { panel } = state;
  usePlaceHistory({
    place,
    event: panel?.kind === 'details' ? panel.occurrence.id : null,
    onEvent: (id) => {
      if (id !== null) reveal(id, false);
      else dispatch({ do: 'leaveDetails' });
    },
  });
  useTellSheetShown(range, content.query, {
    clock,
    form: view.form,
    table: view.table,
    lensId: place.lensId,
  });

  const selected = selectedIn(panel);
  return {
    ...state,
    dispatch,
    ...shown,
    people,
    preferences,
    today,
    place,
    content,
    lensing,
    moves,
    sheet,
    zoomBy,
    selected,
    setPanelHeight,
    /** How much of the sheet's lower part a panel lies over, in px. */
    covered: panel && !isWide ? Math.max(0, panelHeight - RULER_HEIGHT) : 0,
    /** Another view; what is selected stays in sight. */
    show: (next: typeof view) => place.show(next, selected && dayOfWall(selected.start)),
    turn: (direction: -1 | 1) => {
      if (!place.turn(direction))
        say(`There is no period ${direction > 0 ? 'after' : 'before'} this one.`);
    },
    seeAs: (zone: string | null) => dispatch({ do: 'seeAs', zone, home: chosen.zone }),
  };
}

export type Plan = ReturnType<typeof usePlanModel>;

const PlanContext = createContext<Plan | null>(null);

/** Holds what is open, selected and shown on the Plan screen, for all its parts. */
export function PlanProvider({ children }: { children: ReactNode }) {
  const [state, dispatch] = useReducer(planReducer, NOTHING_OPEN);
  const plan = usePlanModel(state, dispatch);
  return <PlanContext.Provider value={plan}>{children}</PlanContext.Provider>;
}

export function usePlan(): Plan {
  const plan = useContext(PlanContext);
  if (!plan) throw new Error('usePlan needs a PlanProvider around it.');
  return plan;
}
