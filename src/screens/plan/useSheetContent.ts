import { useMemo, useState } from 'react';
import { bookedMinutes } from '@/core/agenda/booked';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import { byStart } from '@/core/agenda/occurrence';
import { lineAsOccurrence, tasksByDay } from '@/core/tasks/onSheet';
import { drawable } from '@/core/layout/drawable';
import { hoursAround } from '@/core/layout/hours';
import type { Hours } from '@/core/layout/hours';
import { countLeftOut } from '@/core/agenda/parts';
import { tracksOf } from '@/core/layout/tracks';
import type { Calendar } from '@/core/model/calendar';
import { personOfCalendarId } from '@/core/model/person';
import { useCurrentFilter } from '@/features/query/useCurrentFilter';
import type { View } from '@/core/model/view';
import { MINUTE } from '@/core/time/civil';
import type { EventQuery } from '@/core/query/eventQuery';
import { useNow } from '@/data/now';
import { sayDay, sayHours, sayHoursTight } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { rangeOf, turned, wholeWeeks } from '@/core/view/spans';
import { sayPlace, sayUnder, spanName } from '@/core/view/spanWords';
import { useEngine } from '@/data/engineContext';
import { useFacts } from '@/data/facts';
import type { Preferences } from '@/data/preferences';
import {
  useAgenda,
  useCalendars,
  useDayLoads,
  useOccurrences,
  usePrefetchAround,
} from '@/data/queries';
import { useTasksDue } from '@/data/tasks';
import { useIsWide } from '@/ui/useIsWide';
import type { useShownPeople } from './useSheetPeople';
import { useSheetPeople } from './useSheetPeople';
import type { SheetPlace } from './useSheetPlace';
import { FORM_DEFS } from './view/forms';

export type SheetContent = ReturnType<typeof useSheetContent>;

const NONE: Occurrence[] = [];
/** Longer spans are not asked for before they are gone to. */
const PREFETCHED_DAYS = 45;
const DAYS_A_WEEK = 7;
/** More calendars than this beside each other can't be read. */
const MOST_COLUMNS = 5;

const sum = (numbers: readonly number[]) => numbers.reduce((total, n) => total + n, 0);

/** The windows that are likely to be gone to: before and after the one drawn, and from days to their month. */
function windowsNext({ view, day, setting, drawn }: SheetPlace, zone: string): Window[] {
  const length = drawn.to - drawn.from;
  if (length > PREFETCHED_DAYS) return [];
  const windowOf = ({ from, to }: { from: number; to: number }) => ({
    fromDay: from,
    toDay: to,
    zone,
  });
  const beside = ([-1, 1] as const).flatMap((direction) => {
    const next = turned({ span: view.span, day }, direction, setting);
    if (!next) return [];
    const range = rangeOf(next, setting);
    return windowOf(view.form === 'grid' ? wholeWeeks(range, setting.firstWeekday) : range);
  });
  if (length > DAYS_A_WEEK) return beside;
  const month = rangeOf({ span: { kind: 'month' }, day }, setting);
  return [...beside, windowOf(wholeWeeks(month, setting.firstWeekday))];
}

/** Booked minutes of a day, from what is there of it. */
function useBookedOn(
  place: SheetPlace,
  occurrences: readonly Occurrence[],
  zone: string,
): (day: DayNumber) => number {
  const { from, to } = place.drawn;
  const booked = useMemo(
    () => bookedMinutes(occurrences, from, to, zone),
    [occurrences, from, to, zone],
  );
  return useMemo(() => (day: DayNumber) => booked[day - from] ?? 0, [booked, from]);
}

/** Ends of the past move in steps of this many ms: each step asks anew for what is left. */
const PAST_STEP = 15 * MINUTE;

/** What the sheet lets through. */
function useSheetQuery(view: View, calendars: readonly Calendar[]): EventQuery {
  const { calendarIds } = view;
  const filter = useCurrentFilter(view.filter);
  const now = useNow();
  const until = filter.isPastHidden ? Math.floor(now / PAST_STEP) * PAST_STEP : 0;
  return useMemo(
    () => ({
      // What is told of days is no event of theirs.
      calendars:
        calendarIds?.filter((id) => !calendars.find((one) => one.id === id)?.isFacts) ?? 'shown',
      eventIds: null,
      filter,
      now: until,
    }),
    [calendarIds, calendars, filter, until],
  );
}

/** The lines of what is due, one of each day of a window that has such. */
function useTaskLines(
  window: Window,
  query: EventQuery,
  { split }: View,
  isWanted: boolean,
): Occurrence[] {
  const { fromDay, toDay, zone } = window;
  const { data: tasks } = useTasksDue(fromDay, toDay, query, isWanted);
  const calendars = useCalendars();
  const anyId = calendars[0]?.id ?? '';
  return useMemo(
    () =>
      (isWanted ? tasksByDay(tasks ?? [], zone, split === 'calendar') : []).map((line) =>
        lineAsOccurrence(line, zone, anyId),
      ),
    [isWanted, tasks, zone, split, anyId],
  );
}

/** What each row or column stands for; past five columns calendars and people stand in rows. */
function useTracks(
  { view, drawn }: SheetPlace,
  calendars: readonly Calendar[],
  people: readonly Calendar[],
) {
  const isSplit = view.split !== 'day';
  const ids = useMemo(
    () =>
      view.split === 'person'
        ? people.map(({ id }) => id)
        : calendars.flatMap(({ id, shown, listed, isFacts }) =>
            shown && listed && !isFacts ? [id] : [],
          ),
    [calendars, people, view.split],
  );
  const tracks = useMemo(() => tracksOf(drawn.days, isSplit ? ids : null), [drawn, isSplit, ids]);
  const isCrowded =
    isSplit && ids.length > 0 && view.form === 'columns' && tracks.length > MOST_COLUMNS;
  return { tracks, form: isCrowded ? ('rows' as const) : view.form };
}

/** What the sheet has to show, and what it is called. `calendars` say by `shown` what this window shows. */
export function useSheetContent(
  place: SheetPlace,
  preferences: Preferences,
  { today, calendars }: { today: DayNumber; calendars: readonly Calendar[] },
  people: ReturnType<typeof useShownPeople>,
) {
  const { view, day, range, drawn, setting, seenDay } = place;
  const query = useSheetQuery(view, calendars);
  const { tracks, form } = useTracks(place, calendars, people.asCalendars);
  const { clock, wording, settings } = preferences;
  const { store } = useEngine();
  const isWide = useIsWide();
  const [isWidened, setWidened] = useState(false);
  const { span } = view;

  const { data: needs, isBookedSaid } = FORM_DEFS[form];
  const isLoads = needs === 'loads';
  const window = { fromDay: drawn.from, toDay: drawn.to, zone: clock };
  const isAgenda = needs === 'pages';
  const isSingle = !isLoads && !isAgenda;
  const { data, isPlaceholderData, dataUpdatedAt } = useOccurrences(window, query, isSingle);
  const agendaDay = today >= range.from && today < range.to ? today : range.from;
  const agenda = useAgenda(agendaDay, clock, query, isAgenda);
  usePrefetchAround(windowsNext(place, clock), query, isPlaceholderData ? 0 : dataUpdatedAt);
  const { factsOn, hasFacts } = useFacts(window, calendars, view.hasFacts && isSingle);
  const { data: loads } = useDayLoads(window, query, isLoads);
  const found = (isSingle && data?.occurrences) || NONE;
  const hasTasks = view.hasTasks && needs === 'drawn';
  const lines = useTaskLines(window, query, view, hasTasks);
  const { theirs, unknown } = useSheetPeople(people.shown, window, needs === 'drawn');
  const { drawn: occurrences, tooMany } = useMemo(() => {
    if (needs === 'all') return { drawn: found, tooMany: 0 };
    const few = drawable(theirs.length ? [...found, ...theirs].sort(byStart) : found, drawn.from);
    return lines.length ? { ...few, drawn: [...few.drawn, ...lines].sort(byStart) } : few;
  }, [needs, found, drawn.from, lines, theirs]);

  const usual = useMemo(() => ({ from: settings.fromMinute, to: settings.toMinute }), [settings]);
  const hours: Hours = useMemo(
    () => (isWidened ? hoursAround(occurrences, usual) : usual),
    [isWidened, occurrences, usual],
  );
  const bookedOn = useBookedOn(place, found, clock);
  const total = isLoads ? sum(loads?.booked ?? []) : sum(range.days.map(bookedOn));

  // What lies on days that are left out is counted, so that nothing is missed.
  const leftOut = useMemo(
    () => (isSingle ? countLeftOut(found, drawn) : 0),
    [isSingle, found, drawn],
  );
  // Hidden calendars and what the filter holds back are not in the number, which says so.
  const hidden = isAgenda
    ? sum(agenda.data?.pages.map((page) => page.hidden) ?? [])
    : ((isLoads ? loads?.hidden : data?.hidden) ?? 0);
  const leavesOut = hidden > 0 || calendars.some(({ shown, listed }) => listed && !shown);
  const at = { span, day };
  const { hasWeekNumbers } = settings;
  const said = { wording, today, isShort: !isWide, hasWeekNumbers };
  // The agenda runs on past its span: it is called by the first day in sight.
  const runningDay = isAgenda ? (seenDay ?? agendaDay) : null;
  const title =
    runningDay !== null
      ? sayDay(runningDay, wording, { month: isWide ? 'long' : 'short', year: 'numeric' })
      : sayPlace(at, range, setting, said);
  const under = [
    runningDay !== null
      ? `from ${sayDay(runningDay, wording, { day: 'numeric', month: 'long' })}`
      : sayUnder(at, range, setting, said),
    ...(leftOut > 0 ? [`${leftOut} on days not shown`] : []),
    ...(store === 'demo' ? ['demo'] : []),
  ]
    .filter(Boolean)
    .join(' · ');
  // Before anything is known nothing is said: no hours is not what that means.
  const isKnown = (isLoads ? loads : data) !== undefined;
  const booked =
    !isBookedSaid || !isKnown
      ? ''
      : isWide
        ? `${sayHours(total)} booked${leavesOut ? ' in what is shown' : ''}`
        : `${sayHoursTight(total)}${leavesOut ? ' shown' : ''}`;
  return {
    query,
    form,
    tracks,
    agendaDay,
    agenda,
    hidden,
    occurrences,
    /** What lies in these days, drawn or not. */
    found,
    /** What is drawn here; null before it is known, and where the form shows no single events, or asks for its own. */
    shown:
      isSingle && isKnown
        ? occurrences.filter(
            ({ tasks, calendarId }) => !tasks && personOfCalendarId(calendarId) === null,
          )
        : null,
    /** People of whose time nothing is known, though it should be on the sheet. */
    unknown,
    cut: data?.cut.length ?? 0,
    tooMany,
    loads,
    factsOn,
    /** Whether any of these days has facts to tell. */
    hasFacts,
    hours,
    isWidened,
    setWidened,
    bookedOn,
    title,
    /** What stands under the title, and how much is booked; empty where the form does not say that. */
    under,
    booked,
    name: spanName(span, setting),
  };
}
