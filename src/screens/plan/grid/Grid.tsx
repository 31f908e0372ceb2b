import { useCallback, useEffect, useMemo, useState } from 'react';
import { StyleSheet, Text, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import { inkOf } from '@/core/colour/inkOf';
import type { Span } from '@/core/layout/drag';
import { weeksOf } from '@/core/layout/grid';
import { daysOf, takesDay } from '@/core/agenda/parts';
import { dayOfWall, DAYS_A_WEEK, MINUTE } from '@/core/time/civil';
import { weekdayName } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { Calendar } from '@/core/model/calendar';
import type { Wash } from '@/features/bars/WashOf';
import { inkColours } from '@/ui/theme/palette';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import type { FormProps } from '../sheet/formProps';
import { SheetSurface } from '../sheet/SheetSurface';
import { useHands, useSurface } from '../sheet/useSurface';
import { GridCell } from './GridCell';
import { GridDay } from './GridDay';
import { GridWeekView } from './GridWeekView';
import { HEAD } from './geometry';
import { placeInGrid, spotInGrid } from './placeInGrid';
import { useGridLayout } from './useGridLayout';

const NONE: readonly Wash[] = [];

/** The washes of the events that take a day, by day. */
function useWashes(
  occurrences: readonly Occurrence[],
  inkFor: (o: Occurrence) => string,
  calendarOf: ReadonlyMap<string, Calendar>,
): ReadonlyMap<number, readonly Wash[]> {
  const palette = usePalette();
  return useMemo(() => {
    const washes = new Map<number, Wash[]>();
    for (const o of occurrences.filter((each) => each.wholeDay && takesDay(each))) {
      const { first, past } = daysOf(o);
      const taken = {
        colour: inkColours(inkFor(o), palette).edge,
        isClosure: calendarOf.get(o.calendarId)?.isClosures === true,
      };
      for (let day = first; day < past; day++) washes.set(day, [...(washes.get(day) ?? []), taken]);
    }
    return washes;
  }, [occurrences, inkFor, calendarOf, palette]);
}

/**
 * Weeks under each other, a cell a day. A day can be opened in place, and then shows all that it has;
 * where cells are narrow, the chosen day is said in full under them.
 */
export function Grid(props: FormProps) {
  const { place, content, look, hands } = props;
  const { drawn, range: within, view } = place;
  const { days } = drawn;
  const { occurrences } = content;
  const { categoryInks, preferences, selectedId, draft, covered, today } = look;
  const { wording, settings, firstWeekday } = preferences;
  const isWide = useIsWide();
  const palette = usePalette();
  const surface = useSurface(props);
  const { room, calendarOf, scroller } = surface;
  const [openDay, setOpenDay] = useState<number | null>(null);
  const weeks = useMemo(() => weeksOf(days, firstWeekday), [days, firstWeekday]);
  const layout = useGridLayout(
    {
      ...weeks,
      room,
      isWide,
      detail: view.detail,
      scale: preferences.scale,
      hasWeekNumbers: settings.hasWeekNumbers,
      openDay,
    },
    occurrences,
  );
  const inkFor = useCallback(
    (o: Occurrence) => inkOf(o, calendarOf.get(o.calendarId)?.ink ?? palette.dim, categoryInks),
    [calendarOf, categoryInks, palette],
  );
  const washes = useWashes(occurrences, inkFor, calendarOf);
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
  const { draggedId, tabStopId } = useHands(surface, props, {
    axis: 'days',
    layout,
    order,
    spotAt: (left, top) => spotInGrid(left, top, layout),
  });
  const ghostPlace = useCallback((span: Span) => placeInGrid(span, layout), [layout]);
  const { isNarrow } = layout;
  const openOrClose = useCallback(
    (day: DayNumber) => setOpenDay((last) => (last === day && !isNarrow ? null : day)),
    [isNarrow],
  );

  // The week of what is looked at or added is brought out from under the panel.
  const focus = draft ?? occurrences.find(({ id }) => id === selectedId);
  const focusDay = focus && dayOfWall(focus.start);
  useEffect(() => {
    const week = layout.weeks.find(
      ({ day }) => focusDay !== undefined && focusDay < day + DAYS_A_WEEK,
    );
    if (covered > 0 && week) scroller.current?.scrollTo({ y: week.y, animated: false });
  }, [focusDay, layout, covered, scroller]);

  const isHere = (day: number) => day >= within.from && day < within.to;
  const dayBelow = [openDay, focusDay].find(
    (day): day is number => typeof day === 'number' && days.includes(day),
  );
  const shownDay = isNarrow ? (dayBelow ?? (isHere(today) ? today : within.from)) : openDay;
  const isDraft = (day: DayNumber) =>
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
      <View style={isNarrow ? [styles.weeks, { height: layout.height }] : styles.all}>
        <SheetSurface
          surface={surface}
          name={content.name}
          height={layout.height}
          look={look}
          ghostPlace={ghostPlace}
        >
          {layout.weeks.map((week) => (
            <div key={week.day} className="sheet-day">
              {layout.offsets.map((offset, column) => {
                const day = week.day + offset;
                return (
                  <GridCell
                    key={day}
                    day={day}
                    at={{
                      left: layout.gutter + column * layout.cell,
                      top: week.y,
                      width: layout.cell,
                      height: week.height,
                    }}
                    head={layout.head}
                    is={{
                      today: day === today,
                      within: isHere(day),
                      open: day === shownDay,
                      draft: isDraft(day),
                      tall: !isWide,
                      narrow: isNarrow,
                    }}
                    bookedMinutes={content.bookedOn(day)}
                    facts={content.factsOn(day)}
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
                look={{ calendarOf, inkFor, firstWeekday, wording, isWide }}
                selectedId={selectedId}
                draggedId={draggedId}
                tabStopId={tabStopId}
                onOpen={hands.onOpen}
                onOpenDay={openOrClose}
                onShowWeek={hands.onShowWeek}
              />
            </div>
          ))}
        </SheetSurface>
      </View>
      {isNarrow && shownDay !== null && (
        <GridDay day={shownDay} {...{ content, look, hands, calendarOf }} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { flex: 1, minHeight: 0 },
  weeks: { flexShrink: 1, maxHeight: '62%' },
  heads: { height: HEAD, borderTopWidth: 1, borderBottomWidth: 1 },
  weekday: {
    position: 'absolute',
    top: 3,
    paddingLeft: 6,
    fontFamily: SANS,
    fontSize: textPx(10.5),
    letterSpacing: 0.6,
  },
});
