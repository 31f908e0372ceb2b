import Head from 'expo-router/head';
import type { RefObject } from 'react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { calendarForNew } from '@/core/calendars/showing';
import type { Span } from '@/core/layout/drag';
import { DAY, dayOfWall, startOfWeek } from '@/core/time/civil';
import { cityOf } from '@/core/time/zoneNames';
import { turnName } from '@/core/view/spanWords';
import { useDo } from '@/data/commands';
import { useTellInSight } from '@/data/inSight';
import { useMessages } from '@/data/messages';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import type { Occurrence } from '@/core/agenda/occurrence';
import { EventMenu } from '@/features/event/EventMenu';
import { useIsWide } from '@/ui/useIsWide';
import { CalendarStrip } from './CalendarStrip';
import { Margin } from './Margin';
import type { Asked } from './PlanDialogs';
import { NotShown } from './NotShown';
import { PlanDialogs } from './PlanDialogs';
import { HoursChip, PlanHeader } from './PlanHeader';
import { PlanPanel } from './PlanPanel';
import { PanelHeight } from '@/ui/PanelFrame';
import { Ruler, RULER_HEIGHT } from './Ruler';
import { SeenAs } from './SeenAs';
import { SheetForm } from './SheetForm';
import { useMoves } from './useMoves';
import type { Panel } from './usePlan';
import { selectedIn } from './usePlan';
import { bringDay, useReveal } from './useReveal';
import { useSheetContent } from './useSheetContent';
import { useSheetPlace } from './useSheetPlace';
import { FORM_NEEDS, FORM_WORDS } from './view/forms';
import { usePlaceHistory } from './usePlaceHistory';
import { usePlanKeys, useRemoveKey } from './usePlanKeys';
import { useZoom } from './useZoom';
import { PastUntil, usePastUntil } from '@/features/bars/barColours';
import { showsSingleDays, suits } from '@/core/view/forms';
import { FilterButton } from './view/FilterButton';
import { useLensPicking } from './useLensPicking';
import { ViewPicker } from './view/ViewPicker';

const DAYS = 7;

/** The sheet in whichever form it is seen, and everything that is done on it. */
export function PlanScreen() {
  const chosen = usePreferences();
  const [panel, setPanel] = useState<Panel | null>(null);
  const [seenAs, setSeenAs] = useState<string | null>(null);
  const seeAs = (zone: string | null) => {
    setSeenAs(zone === chosen.zone ? null : zone);
    // What else is open tells times by the clock of before.
    setPanel((last) => (last?.kind === 'zones' ? last : null));
  };
  const clock = seenAs ?? chosen.clock;
  const today = dayOfWall(useWallNow(clock));
  const place = useSheetPlace(chosen, today);
  const { view, range, setting } = place;
  const sheet = useRef<View>(null);
  const { zoom, by: zoomBy } = useZoom(
    sheet as unknown as RefObject<HTMLElement | null>,
    chosen.settings,
    showsSingleDays(view.form),
  );
  // For a while the sheet can be seen as people elsewhere see it, and larger than it is kept.
  const preferences = useMemo(
    () => ({ ...chosen, clock, scale: { ...chosen.scale, zoom } }),
    [chosen, clock, zoom],
  );
  const { firstWeekday, wording, settings } = preferences;
  const isWide = useIsWide();
  const pastUntil = usePastUntil(preferences);
  const [draft, setDraft] = useState<Span | null>(null);
  const [panelHeight, setPanelHeight] = useState(0);
  const [dialog, setDialog] = useState<Asked | null>(null);
  const [menuFor, setMenuFor] = useState<Occurrence | null>(null);
  const { say } = useMessages();
  const moves = useMoves(preferences, setPanel);

  const everywhere = useCalendars();
  // A window may show other calendars than those that are shown everywhere.
  const { calendarIds } = view;
  const calendars = useMemo(
    () =>
      calendarIds === null
        ? everywhere
        : everywhere.map((c) => ({ ...c, shown: calendarIds.includes(c.id) })),
    [everywhere, calendarIds],
  );
  const shownIds = calendars.flatMap(({ id, shown }) => (shown ? [id] : []));
  const own = useMemo(() => calendars.filter(({ kind }) => kind === 'own'), [calendars]);
  const newCalendar = calendarForNew(calendars, settings.defaultCalendarId);
  const categories = useCategories();
  const categoryInks = useMemo(
    () =>
      settings.colourBy === 'category' && categories.length
        ? new Map(categories.map(({ id, ink }) => [id, ink]))
        : null,
    [settings.colourBy, categories],
  );
  const content = useSheetContent(place, preferences, { today, calendars });
  const lensing = useLensPicking(place, preferences, today);
  const act = useDo();
  const { title } = content;

  // The day that a jotted line without a date means: today when it is in sight, else the first shown.
  const dayMeant = today >= range.from && today < range.to ? today : range.from;
  const reveal = useReveal({
    place,
    content,
    calendars: everywhere,
    clock,
    dayMeant,
    setPanel,
  });
  usePlaceHistory({
    place,
    event: panel?.kind === 'details' ? panel.occurrence.id : null,
    onEvent: (id) => {
      if (id !== null) reveal(id, false);
      else setPanel((last) => (last?.kind === 'details' ? null : last));
    },
  });
  useTellInSight(range, content.sight, clock);

  const open = useCallback(
    (occurrence: Occurrence) => setPanel({ kind: 'details', occurrence }),
    [],
  );
  const addToDay = useCallback(
    (day: number) =>
      setPanel({
        kind: 'add',
        span: { start: day * DAY, end: (day + 1) * DAY, wholeDay: true },
        day,
        isDay: true,
      }),
    [],
  );
  function turn(direction: -1 | 1) {
    if (!place.turn(direction))
      say(`There is no period ${direction > 0 ? 'after' : 'before'} this one.`);
  }

  const load = { sight: content.sight, range, calendars, categories, preferences };
  const selected = selectedIn(panel);
  usePlanKeys(settings.hasKeys && dialog === null && menuFor === null, (action) => {
    switch (action.kind) {
      case 'turn':
        return turn(action.direction);
      case 'today':
        return place.setDay(today);
      case 'add':
        return setPanel({ kind: 'add', span: null, day: dayMeant });
      case 'load':
        return setPanel({ kind: 'load' });
      case 'zoom':
        return zoomBy(action.factor);
      case 'help':
        return setDialog('keys');
      case 'form':
        return suits(action.form, range.days.length)
          ? place.show({ ...view, form: action.form }, selected && dayOfWall(selected.start))
          : say(`${FORM_WORDS[action.form].name}: ${FORM_NEEDS[action.form]}.`);
      case 'lens': {
        const lens = lensing.lenses[action.nth];
        return lens ? lensing.pick(lens) : say(`There is no lens ${action.nth + 1} yet.`);
      }
      default:
        return setDialog(action.kind);
    }
  });
  useRemoveKey((id) => void moves.remove(id));
  const close = () => setPanel(null);
  const weekStart = startOfWeek(range.from, firstWeekday);
  const filterButton = (
    <FilterButton
      filter={view.filter}
      categories={categories}
      hidden={content.hidden}
      isOpen={dialog === 'filter'}
      onOpen={(isOpen) => setDialog(isOpen ? 'filter' : null)}
      onFilter={(filter) => place.show({ ...view, filter })}
    />
  );
  return (
    <View style={styles.all}>
      <Head>
        <title>{`${title} · Orderly Week`}</title>
      </Head>
      <View style={styles.plan}>
        <PlanHeader
          title={title}
          under={content.under}
          booked={content.booked}
          turnName={turnName(view.span, setting)}
          onPickDate={() => setDialog('date')}
          onLoad={() => setPanel({ kind: 'load' })}
          onTurn={turn}
          onToday={() => place.setDay(today)}
          onZones={() => setPanel({ kind: 'zones' })}
        />
        {seenAs !== null && (
          <SeenAs
            zone={seenAs}
            label={settings.zones.find(({ zone }) => zone === seenAs)?.label ?? cityOf(seenAs)}
            home={preferences.zone}
            onBack={() => seeAs(null)}
          />
        )}
        <NotShown cut={content.cut} tooMany={content.tooMany} />
        <View style={styles.strip}>
          <ViewPicker
            view={view}
            setting={setting}
            days={range.days.length}
            onView={(next) => place.show(next, selected && dayOfWall(selected.start))}
            lenses={lensing.lenses}
            lens={lensing.current}
            isLensChanged={lensing.isChanged}
            onLens={lensing.pick}
            onLenses={() => setDialog('lenses')}
            onUpdateLens={() =>
              lensing.current &&
              void act({
                kind: 'keepLens',
                before: lensing.current,
                lens: { ...lensing.current, view },
                isView: true,
              })
            }
            isOpen={dialog === 'view'}
            onOpen={(isOpen) => setDialog(isOpen ? 'view' : null)}
            onNextSeven={() => place.showSpan({ kind: 'days', count: DAYS }, today)}
            onPeriods={() => setDialog('periods')}
          />
          {isWide && filterButton}
          <CalendarStrip
            calendars={calendars}
            preferences={preferences}
            hasCategories={categories.length > 0}
            everywhere={everywhere}
            first={
              isWide ? null : (
                <>
                  {filterButton}
                  <HoursChip booked={content.booked} onLoad={() => setPanel({ kind: 'load' })} />
                </>
              )
            }
            hereIds={calendarIds}
            onHere={(ids) => place.show({ ...view, calendarIds: ids })}
          />
        </View>
        <View ref={sheet} style={styles.sheet}>
          <PastUntil value={pastUntil}>
            <SheetForm
              place={place}
              content={content}
              today={today}
              calendars={calendars}
              categories={categories}
              categoryInks={categoryInks}
              newLength={newCalendar?.defaultLength ?? settings.defaultLength}
              preferences={preferences}
              selectedId={selected?.id ?? null}
              chosenDay={panel?.kind === 'day' ? panel.day : null}
              draft={draft}
              covered={panel && !isWide ? Math.max(0, panelHeight - RULER_HEIGHT) : 0}
              onOpen={open}
              onMenu={setMenuFor}
              onDrop={(o, span) => void moves.drop(o, span)}
              onDraw={(span) => setPanel({ kind: 'add', span, day: dayOfWall(span.start) })}
              onAddToDay={addToDay}
              onOpenDay={(day) => setPanel({ kind: 'day', day })}
              onWorkday={(day) => setPanel({ kind: 'workday', day })}
              onSwipe={turn}
              onRefuse={say}
              onSeeAs={seeAs}
            />
          </PastUntil>
        </View>
        <Ruler
          weekStart={weekStart}
          weeksShown={Math.ceil((range.to - weekStart) / DAYS)}
          zone={clock}
          sight={content.sight}
          wording={wording}
          onGo={place.goTo}
        />
      </View>
      {panel ? (
        <PanelHeight value={setPanelHeight}>
          <PlanPanel
            panel={panel}
            calendars={calendars}
            own={own}
            categoryInks={categoryInks}
            load={load}
            preferences={preferences}
            onPanel={setPanel}
            onDraft={setDraft}
            onShow={(day, alone) =>
              alone ? place.showSpan({ kind: 'day' }, day) : bringDay(place, content, day)
            }
            today={today}
            seenAs={seenAs}
            onSeeAs={seeAs}
            onPutBack={moves.putBack}
            onClose={close}
          />
        </PanelHeight>
      ) : (
        isWide && (
          <Margin
            preferences={preferences}
            occurrences={content.shown}
            load={{ ...load, occurrences: content.found }}
            onOpen={open}
          />
        )
      )}
      {menuFor && (
        <EventMenu
          occurrence={menuFor}
          calendars={calendars}
          onOpen={() => open(menuFor)}
          onCopy={() => setPanel({ kind: 'copy', occurrence: menuFor })}
          onRemove={() => void moves.remove(menuFor.id)}
          onNextWorkday={() => void moves.toNextWorkday(menuFor)}
          onChangeDate={(event, fields) => void moves.ask(menuFor, 'Change', event, fields)}
          onClose={() => setMenuFor(null)}
        />
      )}
      <PlanDialogs
        asked={dialog}
        place={place}
        content={content}
        lensing={lensing}
        view={view}
        shownIds={shownIds}
        today={today}
        preferences={preferences}
        onClose={() => setDialog(null)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, flexDirection: 'row', minHeight: 0 },
  plan: { flex: 1, minWidth: 0 },
  sheet: { flex: 1, minHeight: 0 },
  strip: { flexDirection: 'row', flexShrink: 0 },
});
