import type { RefObject } from 'react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { Span, Spot } from '@/core/layout/drag';
import { minuteOfX, rowAt } from '@/core/layout/rows';
import { trackKey } from '@/core/layout/tracks';
import { dayOfWall } from '@/core/time/civil';
import { useIsWide } from '@/ui/useIsWide';
import { DraftBars } from './DraftBars';
import { useSheetGestures } from '../sheet/useSheetGestures';
import type { FormProps } from '../sheet/formProps';
import { useAwayZone } from '../sheet/useAwayZone';
import { useRoom } from '../sheet/useRoom';
import { placeInRows } from './placeInRows';
import type { GhostHandle } from '../sheet/Ghost';
import { Ghost } from '../sheet/Ghost';
import { gutterOf, rowSizes } from './geometry';
import { AxisCorner } from './AxisCorner';
import { HourAxis } from './HourAxis';
import { NowLine } from './NowLine';
import { SheetRow } from './SheetRow';
import { useRowsLayout } from './useRowsLayout';
import { zoneAxes, ZoneAxes } from './ZoneAxes';

interface Props extends FormProps {
  /** Shows the sheet as people in a zone see it. */
  onSeeAs(zone: string | null): void;
}

/** Scrolling is followed in steps of this many px. */
const SEEN_STEP = 160;

/** Days in rows, time from left to right, with everything that hands can do on them. */
export function Rows(props: Props) {
  const {
    days,
    hours,
    today,
    occurrences,
    calendars,
    categoryInks,
    preferences,
    selectedId,
    draft,
    covered,
  } = props;
  const { onOpen, onAddToDay, isWidened, onWiden, onSeeAs } = props;
  const { clock, zone: home, wording, settings } = preferences;
  const isWide = useIsWide();
  const { room, onLayout } = useRoom();
  const awayZoneOf = useAwayZone(preferences);
  const gutter = gutterOf(isWide, props.tracks[0]?.calendarId !== null) * preferences.scale.text;
  const surface = useRef<View>(null);
  const scroller = useRef<ScrollView>(null);
  const ghost = useRef<GhostHandle>(null);

  const line = useMemo(
    () => ({ fromMinute: hours.from, toMinute: hours.to, width: Math.max(1, room.width - gutter) }),
    [hours, room.width, gutter],
  );
  const { scale } = preferences;
  const sizes = useMemo(() => rowSizes(scale, isWide), [scale, isWide]);
  const frame = {
    tracks: props.tracks,
    line,
    height: room.height,
    isWide,
    wording,
    sizes,
    text: scale.text,
  };
  const layout = useRowsLayout(frame, occurrences);
  const axes = useMemo(
    () => zoneAxes({ zones: settings.zones, clock, home, days }),
    [settings.zones, clock, home, days],
  );

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

  const { draggedId } = useSheetGestures(
    {
      element: surface as unknown as RefObject<HTMLElement | null>,
      ghost,
      axis: 'across',
      occurrences,
      calendarOf,
      layout,
      order,
      slot: settings.slot,
      newLength: props.newLength,
      spotAt,
    },
    props,
  );

  const ghostPlace = useCallback(
    (span: Span) => placeInRows(span, layout.rows, line, gutter, sizes.lane),
    [layout.rows, line, gutter, sizes],
  );

  return (
    <View style={styles.all}>
      <View>
        {room.width > 0 && (
          <ZoneAxes axes={axes} line={line} gutter={gutter} wording={wording} onSeeAs={onSeeAs} />
        )}
        <HourAxis line={line} gutter={gutter} hourCycle={wording.hourCycle} />
        <AxisCorner
          axes={axes}
          gutter={gutter}
          onSeeAs={onSeeAs}
          onUsualHours={isWidened ? () => onWiden(false) : null}
        />
      </View>
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
          aria-label={props.name}
          style={[styles.surface, { height: layout.height }]}
        >
          {room.width > 0 &&
            layout.rows.map((row, i) => {
              const inRow = (id: string | null | undefined) =>
                id && order[i]?.includes(id) ? id : null;
              return (
                <SheetRow
                  key={trackKey(row)}
                  row={row}
                  line={line}
                  sizes={sizes}
                  gutter={gutter}
                  calendarOf={calendarOf}
                  hasDay={days.length > 1}
                  categoryInks={categoryInks}
                  workweek={settings.workweek}
                  wording={wording}
                  bookedMinutes={props.bookedOn(row.day)}
                  isToday={row.day === today}
                  awayZone={awayZoneOf(row.day)}
                  seenFrom={seenFrom}
                  seenTo={seenFrom + room.height + 2 * SEEN_STEP}
                  selectedId={inRow(selectedId)}
                  draggedId={inRow(draggedId)}
                  tabStopId={inRow(tabStop)}
                  onOpen={onOpen}
                  onAddToDay={onAddToDay}
                  onWorkday={props.onWorkday}
                  onWiden={widen}
                />
              );
            })}
          {draft && <DraftBars span={draft} rows={layout.rows} line={line} gutter={gutter} />}
          <NowLine rows={layout.rows} line={line} gutter={gutter} zone={clock} />
          <Ghost ref={ghost} place={ghostPlace} width={room.width} wording={wording} />
        </View>
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  // What lies under the hand is held there when the sheet is sized, by no one else.
  scroll: { flex: 1, overflowAnchor: 'none' } as object,
  // Swipes across are the sheet's own; the browser keeps scrolling up and down.
  surface: { touchAction: 'pan-y', overflow: 'hidden', userSelect: 'none' } as object,
});
