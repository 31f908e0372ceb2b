import { useLocalSearchParams, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { DatePickerModal } from 'react-native-paper-dates';
import { bookedMinutes } from '@/core/agenda/booked';
import type { Occurrence } from '@/core/agenda/occurrence';
import { movedTimes, stretchedTimes } from '@/core/editing/edits';
import type { Span } from '@/core/layout/drag';
import { isTop } from '@/core/layout/rows';
import { civilDate, DAY, dayOfWall, MINUTE, startOfWeek, weekNumber } from '@/core/time/civil';
import { sayDays, sayHours } from '@/core/time/words';
import { instantFromWall } from '@/core/time/zones';
import { useActions } from '@/data/actions';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useOccurrences, usePrefetchAround } from '@/data/queries';
import { dateOfDay, dayOfDate } from '@/ui/days';
import { useIsWide } from '@/ui/useIsWide';
import { CalendarStrip } from './CalendarStrip';
import { Margin } from './Margin';
import { PlanHeader } from './PlanHeader';
import { PlanPanel } from './PlanPanel';
import { PanelHeight } from './panels/PanelFrame';
import { Ruler, RULER_HEIGHT } from './Ruler';
import { Sheet } from './sheet/Sheet';
import type { Panel } from './usePlan';
import { useShownDay } from './usePlan';

const DAYS = 7;
const NONE: Occurrence[] = [];

/** Hours that hold every timed event shown, on whole hours. */
function hoursAround(occurrences: readonly Occurrence[], usual: { from: number; to: number }) {
  const hours = { ...usual };
  for (const o of occurrences.filter((candidate) => !isTop(candidate))) {
    const day = dayOfWall(o.start) * DAY;
    const crosses = o.end > day + DAY;
    hours.from = crosses ? 0 : Math.min(hours.from, Math.floor((o.start - day) / MINUTE / 60) * 60);
    hours.to = crosses ? 1440 : Math.max(hours.to, Math.ceil((o.end - day) / MINUTE / 60) * 60);
  }
  return hours;
}

/** The week in rows, and everything that is done on it. */
export function PlanScreen() {
  const preferences = usePreferences();
  const { zone, firstWeekday, wording, settings } = preferences;
  const { store } = useEngine();
  const { add } = useLocalSearchParams<{ add?: string }>();
  const router = useRouter();
  const isWide = useIsWide();
  const today = dayOfWall(useWallNow(zone));
  const [shownDay, setShownDay] = useShownDay(today);
  const [panel, setPanel] = useState<Panel | null>(null);
  const [draft, setDraft] = useState<Span | null>(null);
  const [panelHeight, setPanelHeight] = useState(0);
  const [isWidened, setWidened] = useState(false);
  const [isPicking, setPicking] = useState(false);
  const actions = useActions();
  const { say } = useMessages();

  const weekStart = startOfWeek(shownDay, firstWeekday);
  const window = { fromDay: weekStart, toDay: weekStart + DAYS, zone };
  const { data, isPlaceholderData } = useOccurrences(window);
  usePrefetchAround(window, data !== undefined && !isPlaceholderData);
  const occurrences = data?.occurrences ?? NONE;
  const calendars = useCalendars();
  const own = useMemo(() => calendars.filter(({ kind }) => kind === 'own'), [calendars]);

  const usual = useMemo(() => ({ from: settings.fromMinute, to: settings.toMinute }), [settings]);
  const hours = useMemo(
    () => (isWidened ? hoursAround(occurrences, usual) : usual),
    [isWidened, occurrences, usual],
  );
  const booked = useMemo(
    () => bookedMinutes(occurrences, weekStart, weekStart + DAYS),
    [occurrences, weekStart],
  );
  const title = sayDays(weekStart, weekStart + DAYS, wording, civilDate(today).year);
  const total = booked.reduce((sum, minutes) => sum + minutes, 0);
  const subtitle = `Week ${weekNumber(weekStart, firstWeekday).week} · ${sayHours(total)} booked${store === 'demo' ? ' · demo' : ''}`;

  // The day that a jotted line without a date means: today when it is in sight, else the first shown.
  const dayMeant = today >= weekStart && today < weekStart + DAYS ? today : weekStart;
  const [lastAdd, setLastAdd] = useState<string | undefined>();
  if (add !== lastAdd) {
    setLastAdd(add);
    if (add !== undefined) setPanel({ kind: 'add', span: null, day: dayMeant });
  }
  // Asked once: a reload doesn't ask again.
  useEffect(() => {
    if (add !== undefined) router.setParams({ add: undefined });
  }, [add, router]);

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
      }),
    [],
  );

  async function drop(o: Occurrence, span: Span) {
    actions.showAt(o.id, {
      start: span.start,
      end: span.end,
      startMs: instantFromWall(span.start, zone),
      endMs: instantFromWall(span.end, zone),
    });
    const isMove = span.start !== o.start && span.end - span.start === o.end - o.start;
    const edge = span.start !== o.start ? 'start' : 'end';
    const done = await actions.editById(o.eventId, isMove ? 'Moved' : 'Stretched', (event) => ({
      ...event,
      ...(isMove
        ? movedTimes(event, span.start, zone)
        : stretchedTimes(event, edge, span[edge], zone)),
    }));
    if (!done) actions.showAt(o.id, o);
  }

  const selectedId =
    panel?.kind === 'details' || panel?.kind === 'copy'
      ? panel.occurrence.id
      : panel?.kind === 'edit'
        ? panel.eventId
        : null;
  const close = () => setPanel(null);
  return (
    <View style={styles.all}>
      <Head>
        <title>{`${title} · Orderly Week`}</title>
      </Head>
      <View style={styles.plan}>
        <PlanHeader
          title={title}
          subtitle={subtitle}
          onPickDate={() => setPicking(true)}
          onTurn={(direction) => setShownDay(weekStart + direction * DAYS)}
          onToday={() => setShownDay(today)}
        />
        <CalendarStrip
          calendars={calendars}
          onShow={(calendar, shown) => void actions.show(calendar, shown)}
        />
        <Sheet
          fromDay={weekStart}
          days={DAYS}
          hours={hours}
          today={today}
          occurrences={occurrences}
          bookedByDay={booked}
          calendars={calendars}
          preferences={preferences}
          selectedId={selectedId}
          draft={draft}
          covered={panel && !isWide ? Math.max(0, panelHeight - RULER_HEIGHT) : 0}
          onOpen={open}
          onDrop={(o, span) => void drop(o, span)}
          onDraw={(span) => setPanel({ kind: 'add', span, day: dayOfWall(span.start) })}
          onAddToDay={addToDay}
          onSwipe={(direction) => setShownDay(weekStart + direction * DAYS)}
          isWidened={isWidened}
          onWiden={setWidened}
          onRefuse={say}
        />
        <Ruler weekStart={weekStart} zone={zone} wording={wording} onGo={setShownDay} />
      </View>
      {panel ? (
        <PanelHeight value={setPanelHeight}>
          <PlanPanel
            panel={panel}
            calendars={calendars}
            own={own}
            preferences={preferences}
            onPanel={setPanel}
            onDraft={setDraft}
            onShow={setShownDay}
            onClose={close}
          />
        </PanelHeight>
      ) : (
        isWide && <Margin preferences={preferences} occurrences={occurrences} onOpen={open} />
      )}
      <DatePickerModal
        locale="en-GB"
        mode="single"
        visible={isPicking}
        label="Go to a date"
        date={dateOfDay(shownDay)}
        startWeekOnMonday={firstWeekday === 0}
        onDismiss={() => setPicking(false)}
        onConfirm={({ date }) => {
          setPicking(false);
          if (date) setShownDay(dayOfDate(date));
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, flexDirection: 'row', minHeight: 0 },
  plan: { flex: 1, minWidth: 0 },
});
