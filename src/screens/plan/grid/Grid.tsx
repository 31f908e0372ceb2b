import type { RefObject } from 'react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, Text, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import { inkOf } from '@/core/colour/inkOf';
import type { Span } from '@/core/layout/drag';
import { weeksOf } from '@/core/layout/grid';
import { daysOf, takesDay } from '@/core/agenda/parts';
import type { Detail } from '@/core/model/view';
import { dayOfWall, MINUTE } from '@/core/time/civil';
import { weekdayName } from '@/core/time/words';
import { inkColours } from '@/ui/theme/palette';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import type { FormProps } from '../sheet/formProps';
import type { GhostHandle } from '../sheet/Ghost';
import { Ghost } from '../sheet/Ghost';
import { useSheetGestures } from '../sheet/useSheetGestures';
import { useRoom } from '../sheet/useRoom';
import { GridCell } from './GridCell';
import { GridWeekView } from './GridWeekView';
import { HEAD } from './geometry';
import { placeInGrid, spotInGrid } from './placeInGrid';
import { useGridLayout } from './useGridLayout';

const DAYS = 7;
const NONE: readonly string[] = [];

interface Props extends FormProps {
  /** `days` are those of whole weeks; these are the days that were asked for (day numbers, the end excluded). */
  within: { from: number; to: number };
  detail: Detail;
  onShowWeek(day: number): void;
}

/** Edge colours of the events that take a day, by day. */
function useWashes(
  occurrences: readonly Occurrence[],
  inkFor: (o: Occurrence) => string,
): ReadonlyMap<number, readonly string[]> {
  const palette = usePalette();
  return useMemo(() => {
    const washes = new Map<number, string[]>();
    for (const o of occurrences.filter((each) => each.wholeDay && takesDay(each))) {
      const { first, past } = daysOf(o);
      const { edge } = inkColours(inkFor(o), palette);
      for (let day = first; day < past; day++) washes.set(day, [...(washes.get(day) ?? []), edge]);
    }
    return washes;
  }, [occurrences, inkFor, palette]);
}

/** Weeks under each other, a cell a day. A day can be opened in place, and then shows all that it has. */
export function Grid(props: Props) {
  const { days, within, detail, occurrences, calendars, categoryInks, preferences } = props;
  const { selectedId, draft, today } = props;
  const { wording, settings, firstWeekday } = preferences;
  const isWide = useIsWide();
  const palette = usePalette();
  const { room, onLayout } = useRoom();
  const surface = useRef<View>(null);
  const scroller = useRef<ScrollView>(null);
  const ghost = useRef<GhostHandle>(null);
  const [openDay, setOpenDay] = useState<number | null>(null);
  const weeks = useMemo(() => weeksOf(days, firstWeekday), [days, firstWeekday]);
  const layout = useGridLayout(
    {
      ...weeks,
      room,
      isWide,
      detail,
      scale: preferences.scale,
      hasWeekNumbers: settings.hasWeekNumbers,
      openDay,
    },
    occurrences,
  );
  const calendarOf = useMemo(() => new Map(calendars.map((c) => [c.id, c])), [calendars]);
  const inkFor = useCallback(
    (o: Occurrence) => inkOf(o, calendarOf.get(o.calendarId)?.ink ?? palette.dim, categoryInks),
    [calendarOf, categoryInks, palette],
  );
  const washes = useWashes(occurrences, inkFor);
  const order = useMemo(
    () =>
      layout.weeks.flatMap((week) =>
        layout.offsets.map((_, column) =>
          week.detail === 'marks'
            ? []
            : week.bars.filter((bar) => bar.column === column).map((bar) => bar.occurrence.id),
        ),
      ),
    [layout],
  );
  const ids = order.flat();
  const tabStop = selectedId !== null && ids.includes(selectedId) ? selectedId : ids[0];
  const element = surface as unknown as RefObject<HTMLElement | null>;
  const { draggedId } = useSheetGestures(
    {
      element,
      ghost,
      axis: 'days',
      occurrences,
      calendarOf,
      layout,
      order,
      slot: settings.slot,
      newLength: props.newLength,
      spotAt: (clientX, clientY) => {
        const box = element.current?.getBoundingClientRect();
        return box ? spotInGrid(clientX - box.left, clientY - box.top, layout) : null;
      },
    },
    props,
  );
  const ghostPlace = useCallback((span: Span) => placeInGrid(span, layout), [layout]);
  const openOrClose = useCallback(
    (day: number) => setOpenDay((last) => (last === day ? null : day)),
    [],
  );

  // The week of what is looked at or added is brought out from under the panel.
  const focus = draft ?? occurrences.find(({ id }) => id === selectedId);
  const focusDay = focus && dayOfWall(focus.start);
  useEffect(() => {
    const week = layout.weeks.find(({ day }) => focusDay !== undefined && focusDay < day + DAYS);
    if (props.covered > 0 && week) scroller.current?.scrollTo({ y: week.y, animated: false });
  }, [focusDay, layout, props.covered]);

  const isDraft = (day: number) =>
    draft !== null &&
    day >= dayOfWall(draft.start) &&
    day <= dayOfWall(Math.max(draft.start, draft.end - MINUTE));
  return (
    <View style={styles.all}>
      <View aria-hidden style={[styles.heads, { borderColor: palette.hairline }]}>
        {days.slice(0, layout.offsets.length).map((day, i) => (
          <Text
            key={day}
            style={[
              styles.weekday,
              { left: layout.gutter + i * layout.cell, width: layout.cell, color: palette.dim },
            ]}
          >
            {weekdayName(day).toUpperCase()}
          </Text>
        ))}
      </View>
      <ScrollView
        ref={scroller}
        style={styles.scroll}
        contentContainerStyle={{ paddingBottom: props.covered }}
        onLayout={onLayout}
        tabIndex={-1}
      >
        <View
          ref={surface}
          role="group"
          aria-label={props.name}
          style={[styles.surface, { height: layout.height }]}
        >
          {room.width > 0 &&
            layout.weeks.map((week) => (
              <div key={week.day} className="sheet-day">
                {layout.offsets.map((offset, column) => {
                  const day = week.day + offset;
                  return (
                    <GridCell
                      key={day}
                      day={day}
                      left={layout.gutter + column * layout.cell}
                      top={week.y}
                      width={layout.cell}
                      height={week.height}
                      head={layout.head}
                      isToday={day === today}
                      isWithin={day >= within.from && day < within.to}
                      isOpen={day === openDay}
                      isDraft={isDraft(day)}
                      bookedMinutes={props.bookedOn(day)}
                      isTall={!isWide}
                      washes={washes.get(day) ?? NONE}
                      workweek={settings.workweek}
                      wording={wording}
                      onOpenDay={openOrClose}
                    />
                  );
                })}
                <GridWeekView
                  week={week}
                  layout={layout}
                  calendarOf={calendarOf}
                  inkFor={inkFor}
                  firstWeekday={firstWeekday}
                  wording={wording}
                  isWide={isWide}
                  selectedId={selectedId}
                  draggedId={draggedId}
                  tabStopId={tabStop}
                  onOpen={props.onOpen}
                  onOpenDay={openOrClose}
                  onShowWeek={props.onShowWeek}
                />
              </div>
            ))}
          <Ghost ref={ghost} place={ghostPlace} width={room.width} wording={wording} />
        </View>
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  heads: { height: HEAD, borderTopWidth: 1, borderBottomWidth: 1 },
  weekday: {
    position: 'absolute',
    top: 3,
    paddingLeft: 6,
    fontFamily: SANS,
    fontSize: textPx(10.5),
    letterSpacing: 0.6,
  },
  // What lies under the hand is held there when the sheet is sized, by no one else.
  scroll: { flex: 1, overflowAnchor: 'none' } as object,
  surface: { touchAction: 'pan-y', overflow: 'hidden', userSelect: 'none' } as object,
});
