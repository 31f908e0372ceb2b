import { useRouter } from 'expo-router';
import Head from 'expo-router/head';
import type { RefObject } from 'react';
import { useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import { personOfCalendarId } from '@/core/model/person';
import { DAY, dayOfWall, DAYS_A_WEEK, startOfWeek } from '@/core/time/civil';
import { suits } from '@/core/view/forms';
import { cityOf } from '@/core/time/zoneNames';
import { turnName } from '@/core/view/spanWords';
import { useAsked } from '@/data/asked';
import { useMessages } from '@/data/messages';
import { PastUntil, usePastUntil } from '@/features/bars/barColours';
import type { KeyAction } from '@/features/keys/keys';
import { StartBar } from '@/features/start/StartBar';
import { useSelecting } from '@/features/selecting/useSelecting';
import { fetchedLater } from '@/ui/later';
import { useIsWide } from '@/ui/useIsWide';
import { whileIdle } from '@/ui/whileIdle';
import { FoundBar } from './FoundBar';
import { NotShown } from './NotShown';
import { addOffered } from '@/data/shownOpenings';
import { OpeningsBar } from './OpeningsBar';
import { PlanDialogs } from './PlanDialogs';
import { PlanHeader } from './PlanHeader';
import { PlanProvider, usePlan } from './PlanProvider';
import { PlanSide } from './PlanSide';
import { PlanStrip, PlanView } from './PlanStrip';
import { Ruler } from './Ruler';
import { SeenAs } from './SeenAs';
import { SheetForm } from './SheetForm';
import { useStableHands } from './sheet/useStableHands';
import { usePlanKeys, useRemoveKey } from './usePlanKeys';
import { FORM_DEFS } from './view/forms';

/** The sheet in whichever form it is seen, and everything that is done on it. */
export function PlanScreen() {
  return (
    <PlanProvider>
      <PlanFrame />
    </PlanProvider>
  );
}

function PlanFrame() {
  const { content, place, preferences } = usePlan();
  const { range } = place;
  const weekStart = startOfWeek(range.from, preferences.firstWeekday);
  useKeys();
  // What is likely to be asked for next, once the first days are there.
  const isShown = content.shown !== null;
  useEffect(() => (isShown ? whileIdle(fetchedLater()) : undefined), [isShown]);
  return (
    <View style={styles.all}>
      <Head>
        <title>{`${content.title} · Orderly Week`}</title>
      </Head>
      <View style={styles.plan}>
        <FoundBar />
        <OpeningsBar />
        <TopOfPlan />
        <NotShown cut={content.cut} tooMany={content.tooMany} />
        <PlanStrip />
        <StartBar />
        <Sheet />
        <Ruler
          weekStart={weekStart}
          weeksShown={Math.ceil((range.to - weekStart) / DAYS_A_WEEK)}
          zone={preferences.clock}
          query={content.query}
          wording={preferences.wording}
          onGo={place.goTo}
        />
      </View>
      <PlanSide />
      <PlanDialogs />
    </View>
  );
}

/** The title with its ways back and on, and whose clock the sheet goes by when that is not one's own. */
function TopOfPlan() {
  const { content, place, preferences, today, seenAs, turn, seeAs, dispatch } = usePlan();
  const { zones } = preferences.settings;
  const isWide = useIsWide();
  return (
    <>
      <PlanHeader
        title={content.title}
        under={content.under}
        booked={content.booked}
        turnName={turnName(place.view.span, place.setting)}
        onPickDate={() => dispatch({ do: 'ask', dialog: 'date' })}
        onLoad={() => dispatch({ do: 'open', panel: { kind: 'load' } })}
        onTurn={turn}
        onToday={() => place.setDay(today)}
        onZones={() => dispatch({ do: 'open', panel: { kind: 'zones' } })}
        beside={isWide && <PlanView />}
      />
      {seenAs !== null && (
        <SeenAs
          zone={seenAs}
          label={zones.find(({ zone }) => zone === seenAs)?.label ?? cityOf(seenAs)}
          home={preferences.zone}
          onBack={() => seeAs(null)}
        />
      )}
    </>
  );
}

function Sheet() {
  const { sheet, ...plan } = usePlan();
  const { place, content, preferences, panel, moves, calendarNew, dispatch } = plan;
  const { say } = useMessages();
  const { asCalendars } = plan.people;
  const calendars = useMemo(
    () => (asCalendars.length ? [...plan.calendars, ...asCalendars] : plan.calendars),
    [plan.calendars, asCalendars],
  );
  const pastUntil = usePastUntil(preferences);
  useSelecting(sheet as unknown as RefObject<HTMLElement | null>);
  const open = (occurrence: Occurrence) => {
    const personId = personOfCalendarId(occurrence.calendarId);
    const kind =
      personId === null ? { kind: 'details' as const } : { kind: 'person' as const, personId };
    dispatch({ do: 'open', panel: { ...kind, occurrence } });
  };
  const hands = useStableHands({
    onOpen: open,
    onMenu: (occurrence) =>
      personOfCalendarId(occurrence.calendarId) === null
        ? dispatch({ do: 'menu', of: occurrence })
        : open(occurrence),
    onDrop: (occurrence, span) => void moves.drop(occurrence, span),
    onDraw: (span) => {
      if (!span.wholeDay && addOffered(span)) return;
      dispatch({ do: 'open', panel: { kind: 'add', span, day: dayOfWall(span.start) } });
    },
    onAddToDay: (day) => {
      const span = { start: day * DAY, end: (day + 1) * DAY, wholeDay: true };
      dispatch({ do: 'open', panel: { kind: 'add', span, day, isDay: true } });
    },
    onOpenDay: (day) => dispatch({ do: 'open', panel: { kind: 'day', day } }),
    onShowWeek: (day) => place.showSpan({ kind: 'week' }, day),
    onWorkday: (day) => dispatch({ do: 'open', panel: { kind: 'workday', day } }),
    onWiden: () => content.setWidened(true),
    onSwipe: plan.turn,
    onRefuse: say,
    onSeeAs: plan.seeAs,
    onSeen: place.setSeenDay,
    onTableSetup: (table) => place.show({ ...place.view, table }),
  });
  return (
    <View ref={sheet} style={styles.sheet}>
      <PastUntil value={pastUntil}>
        <SheetForm
          place={place}
          content={content}
          look={{
            calendars,
            categories: plan.categories,
            categoryInks: plan.categoryInks,
            preferences,
            newLength: calendarNew?.defaultLength ?? preferences.settings.defaultLength,
            today: plan.today,
            selectedId: plan.selected?.id ?? null,
            chosenDay: panel?.kind === 'day' ? panel.day : null,
            draft: plan.draft,
            covered: plan.covered,
          }}
          hands={hands}
        />
      </PastUntil>
    </View>
  );
}

/** Does what another part of the app asks for by what a key does. */
function useAskedKey(act: (action: KeyAction) => void): void {
  const [asked, takeUp] = useAsked();
  const latest = useRef({ act, takeUp });
  useEffect(() => {
    latest.current = { act, takeUp };
  });
  useEffect(() => {
    if (asked?.kind !== 'key') return;
    latest.current.takeUp();
    latest.current.act(asked.action);
  }, [asked]);
}

/** The keys of the Plan screen. */
function useKeys(): void {
  const plan = usePlan();
  const { place, lensing, moves, preferences, today, dispatch } = plan;
  const { say } = useMessages();
  const router = useRouter();
  const isOn = preferences.settings.hasKeys && plan.dialog === null && plan.menuFor === null;

  function act(action: KeyAction): void {
    switch (action.kind) {
      case 'turn':
        return plan.turn(action.direction);
      case 'today':
        return place.setDay(today);
      case 'add':
        return dispatch({ do: 'open', panel: { kind: 'add', span: null, day: today } });
      case 'load':
        return dispatch({ do: 'open', panel: { kind: 'load' } });
      case 'zoom':
        return plan.zoomBy(action.factor);
      case 'find':
        return router.navigate('/find');
      case 'help':
        return dispatch({ do: 'ask', dialog: 'keys' });
      case 'form': {
        const { name, needs } = FORM_DEFS[action.form];
        return suits(action.form, place.range.days.length)
          ? plan.show({ ...place.view, form: action.form })
          : say(`${name}: ${needs}.`);
      }
      case 'lens': {
        const lens = lensing.lenses[action.nth];
        return lens ? lensing.pick(lens) : say(`There is no lens ${action.nth + 1} yet.`);
      }
      default:
        return dispatch({ do: 'ask', dialog: action.kind });
    }
  }
  usePlanKeys(isOn, act);
  useAskedKey(act);
  useRemoveKey((id) => void moves.remove(id));
}

const styles = StyleSheet.create({
  all: { flex: 1, flexDirection: 'row', minHeight: 0 },
  plan: { flex: 1, minWidth: 0 },
  sheet: { flex: 1, minHeight: 0 },
});
