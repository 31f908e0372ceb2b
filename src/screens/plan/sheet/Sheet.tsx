import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import type { Span, Spot } from '@/core/layout/drag';
import { snapDown } from '@/core/layout/drag';
import { minuteOfX, rowAt } from '@/core/layout/rows';
import type { Calendar } from '@/core/model/calendar';
import { DAY, dayOfWall, MINUTE } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { useIsWide } from '@/ui/useIsWide';
import { DraftBars } from './DraftBars';
import type { GhostHandle } from './Ghost';
import { Ghost } from './Ghost';
import { GUTTER } from './geometry';
import { HourAxis } from './HourAxis';
import { NowLine } from './NowLine';
import { UsualHours } from './UsualHours';
import { SheetRow } from './SheetRow';
import { useSheetDrag } from './useSheetDrag';
import { useSheetLayout } from './useSheetLayout';
import { useSheetKeys } from './useSheetKeys';

interface Props {
  fromDay: number;
  days: number;
  hours: { from: number; to: number };
  today: number;
  occurrences: readonly Occurrence[];
  bookedByDay: readonly number[];
  calendars: readonly Calendar[];
  preferences: Preferences;
  selectedId: string | null;
  /** The time of what is being added. */
  draft: Span | null;
  /** How much of the lower part a panel lies over, in px. */
  covered: number;
  onOpen(occurrence: Occurrence): void;
  onDrop(occurrence: Occurrence, span: Span): void;
  onDraw(span: Span): void;
  onAddToDay(day: number): void;
  onSwipe(direction: -1 | 1): void;
  /** Whether more than the usual hours is shown. */
  isWidened: boolean;
  onWiden(isWidened: boolean): void;
  onRefuse(reason: string): void;
}

/** Scrolling is followed in steps of this many px. */
const SEEN_STEP = 160;

/** Why an occurrence can't be moved by hand; null when it can. */
function refusalOf(o: Occurrence, calendar: Calendar | undefined): string | null {
  if (calendar?.kind === 'followed')
    return `${calendar.name} is a followed calendar: its events can’t be changed here.`;
  if (o.dateKey !== null)
    return 'This event repeats. Single dates can’t be moved yet; copy the date instead.';
  return null;
}

/** The planning surface: a week (or any days) in rows, with everything that hands can do on it. */
export function Sheet(props: Props) {
  const {
    fromDay,
    days,
    hours,
    today,
    occurrences,
    bookedByDay,
    calendars,
    preferences,
    selectedId,
    draft,
    covered,
  } = props;
  const { onOpen, onDrop, onDraw, onAddToDay, onSwipe, isWidened, onWiden, onRefuse } = props;
  const { zone, wording, settings } = preferences;
  const isWide = useIsWide();
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const gutter = isWide ? GUTTER.wide : GUTTER.phone;
  const surface = useRef<View>(null);
  const movedByKeys = useRef<string | null>(null);
  const scroller = useRef<ScrollView>(null);
  const ghost = useRef<GhostHandle>(null);

  const line = useMemo(
    () => ({ fromMinute: hours.from, toMinute: hours.to, width: Math.max(1, room.width - gutter) }),
    [hours, room.width, gutter],
  );
  const frame = { fromDay, days, line, height: room.height, isWide, wording };
  const layout = useSheetLayout(frame, occurrences);

  const byId = useMemo(() => new Map(occurrences.map((o) => [o.id, o])), [occurrences]);
  const calendarOf = useMemo(() => new Map(calendars.map((c) => [c.id, c])), [calendars]);
  const order = useMemo(
    () => layout.rows.map((row) => [...row.tops, ...row.bars].map((bar) => bar.occurrence.id)),
    [layout],
  );
  // Bars far out of sight wait until they are scrolled to.
  const [seenStep, setSeenStep] = useState(0);
  const seenFrom = (seenStep - 1) * SEEN_STEP;
  const widen = useCallback(() => onWiden(true), [onWiden]);
  const tabStop = selectedId !== null && byId.has(selectedId) ? selectedId : order.flat()[0];

  // A dragged bar is pale until the sheet is laid out anew.
  const [dragged, setDragged] = useState<{ id: string; layout: object } | null>(null);
  const draggedId = dragged?.layout === layout ? dragged.id : null;

  // The draft stays where it was dropped until the event itself is drawn there.
  useEffect(() => {
    ghost.current?.hide();
  }, [layout]);

  // What is looked at or added is brought out from under the panel.
  const dayInFocus = draft
    ? dayOfWall(draft.start)
    : selectedId !== null &&
      layout.rows.find((row) =>
        [...row.tops, ...row.bars].some((bar) => bar.occurrence.id === selectedId),
      )?.day;
  useEffect(() => {
    const row = layout.rows.find(({ day }) => day === dayInFocus);
    const seen = room.height - covered;
    if (covered > 0 && row && row.y + row.height > seen)
      scroller.current?.scrollTo({ y: row.y + Math.min(row.height, seen) - seen, animated: false });
  }, [covered, dayInFocus, layout, room.height]);

  function spotAt(clientX: number, clientY: number): Spot | null {
    const box = (surface.current as unknown as HTMLElement | null)?.getBoundingClientRect();
    const row = box && rowAt(layout.rows, clientY - box.top);
    if (!box || !row) return null;
    const x = Math.max(0, Math.min(line.width, clientX - box.left - gutter));
    return { day: row.day, minute: minuteOfX(line, x) };
  }

  function target(id: string) {
    const o = byId.get(id);
    if (!o) return undefined;
    return {
      id,
      span: { start: o.start, end: o.end, wholeDay: o.wholeDay },
      refusal: refusalOf(o, calendarOf.get(o.calendarId)),
    };
  }

  function onDrag(id: string | null, span: Span) {
    if (id !== draggedId) setDragged(id === null ? null : { id, layout });
    ghost.current?.show(span);
  }

  function drop(id: string | null, span: Span) {
    const o = id === null ? undefined : byId.get(id);
    if (o && (o.start !== span.start || o.end !== span.end)) onDrop(o, span);
    else cancelDrag();
    if (id === null) {
      cancelDrag();
      onDraw(span);
    }
  }

  function cancelDrag() {
    ghost.current?.hide();
    setDragged(null);
  }

  const hands = {
    slot: settings.slot,
    target,
    onDrag,
    onDrop: drop,
    onCancel: cancelDrag,
    onRefuse,
  };
  const element = surface as unknown as React.RefObject<HTMLElement | null>;
  useSheetDrag(element, {
    ...hands,
    spotAt,
    onPress: (spot) => {
      const start = spot.day * DAY + snapDown(spot.minute, settings.slot) * MINUTE;
      onDraw({ start, end: start + settings.defaultLength * MINUTE, wholeDay: false });
    },
    onSwipe,
  });
  useSheetKeys(element, {
    ...hands,
    order,
    onDrop: (id, span) => {
      movedByKeys.current = id;
      drop(id, span);
    },
  });

  // A bar that went to another row is drawn anew there; the keyboard stays with it.
  useEffect(() => {
    if (movedByKeys.current === null || document.activeElement !== document.body) return;
    element.current
      ?.querySelector<HTMLElement>(`[data-occ="${CSS.escape(movedByKeys.current)}"]`)
      ?.focus();
  }, [layout, element]);

  function onLayout({
    nativeEvent: {
      layout: { width, height },
    },
  }: LayoutChangeEvent) {
    setRoom((last) => (last.width === width && last.height === height ? last : { width, height }));
  }

  return (
    <View style={styles.all}>
      <HourAxis line={line} gutter={gutter} hourCycle={wording.hourCycle} />
      {isWidened && <UsualHours gutter={gutter} onPress={() => onWiden(false)} />}
      <ScrollView
        ref={scroller}
        style={styles.scroll}
        contentContainerStyle={{ paddingBottom: covered }}
        onLayout={onLayout}
        onScroll={({ nativeEvent }) =>
          setSeenStep(Math.floor(nativeEvent.contentOffset.y / SEEN_STEP))
        }
        scrollEventThrottle={32}
        tabIndex={-1}
      >
        <View
          ref={surface}
          role="group"
          aria-label="Week"
          style={[styles.surface, { height: layout.height }]}
        >
          {room.width > 0 &&
            layout.rows.map((row, i) => {
              const inRow = (id: string | null | undefined) =>
                id && order[i]?.includes(id) ? id : null;
              return (
                <SheetRow
                  key={row.day}
                  row={row}
                  line={line}
                  gutter={gutter}
                  calendarOf={calendarOf}
                  workweek={settings.workweek}
                  wording={wording}
                  bookedMinutes={bookedByDay[i] ?? 0}
                  isToday={row.day === today}
                  seenFrom={seenFrom}
                  seenTo={seenFrom + room.height + 2 * SEEN_STEP}
                  selectedId={inRow(selectedId)}
                  draggedId={inRow(draggedId)}
                  tabStopId={inRow(tabStop)}
                  onOpen={onOpen}
                  onAddToDay={onAddToDay}
                  onWiden={widen}
                />
              );
            })}
          {draft && <DraftBars span={draft} rows={layout.rows} line={line} gutter={gutter} />}
          <NowLine rows={layout.rows} line={line} gutter={gutter} zone={zone} />
          <Ghost ref={ghost} rows={layout.rows} line={line} gutter={gutter} wording={wording} />
        </View>
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  scroll: { flex: 1 },
  // Swipes across are the sheet's own; the browser keeps scrolling up and down.
  surface: { touchAction: 'pan-y', overflow: 'hidden', userSelect: 'none' } as object,
});
