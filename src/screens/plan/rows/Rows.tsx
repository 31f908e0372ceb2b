import { useCallback, useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Span } from '@/core/layout/drag';
import { minuteOfX, rowAt } from '@/core/layout/rows';
import { trackKey } from '@/core/layout/tracks';
import { dayOfWall } from '@/core/time/civil';
import { travelZone } from '@/core/time/words';
import { useIsWide } from '@/ui/useIsWide';
import { DraftBars } from './DraftBars';
import { useHands, useSurface } from '../sheet/useSurface';
import { SheetSurface } from '../sheet/SheetSurface';
import type { FormProps } from '../sheet/formProps';
import { placeInRows } from './placeInRows';
import { gutterOf, rowSizes } from './geometry';
import { AxisCorner } from './AxisCorner';
import { HourAxis } from './HourAxis';
import { NowLine } from './NowLine';
import { SheetRow } from './SheetRow';
import { useRowsLayout } from './useRowsLayout';
import { zoneAxes, ZoneAxes } from './ZoneAxes';

/** Scrolling is followed in steps of this many px. */
const SEEN_STEP = 160;

/** Days in rows, time from left to right, with everything that hands can do on them. */
export function Rows(props: FormProps) {
  const { content, look, hands, place } = props;
  const { occurrences, tracks, hours } = content;
  const { preferences, selectedId, draft, covered, categoryInks } = look;
  const { clock, zone: home, wording, settings, scale } = preferences;
  const { days } = place.drawn;
  const isWide = useIsWide();
  const surface = useSurface(props);
  const { room, calendarOf, scroller } = surface;
  const gutter = gutterOf(isWide, tracks[0]?.calendarId !== null) * scale.text;

  const line = useMemo(
    () => ({ fromMinute: hours.from, toMinute: hours.to, width: Math.max(1, room.width - gutter) }),
    [hours, room.width, gutter],
  );
  const sizes = useMemo(
    () => rowSizes(scale, isWide, content.hasFacts),
    [scale, isWide, content.hasFacts],
  );
  const frame = { tracks, line, height: room.height, isWide, wording, sizes, text: scale.text };
  const layout = useRowsLayout(frame, occurrences);
  const axes = useMemo(
    () => zoneAxes({ zones: settings.zones, clock, home, days }),
    [settings.zones, clock, home, days],
  );
  const order = useMemo(
    () => layout.rows.map((row) => [...row.tops, ...row.bars].map((bar) => bar.occurrence.id)),
    [layout],
  );
  // Bars far out of sight wait until they are scrolled to.
  const [seenStep, setSeenStep] = useState(0);
  const seenFrom = (seenStep - 1) * SEEN_STEP;
  const seenTo = seenFrom + room.height + 2 * SEEN_STEP;

  // What is looked at or added is brought out from under the panel.
  const dayInFocus = draft
    ? dayOfWall(draft.start)
    : selectedId !== null && layout.rows[order.findIndex((ids) => ids.includes(selectedId))]?.day;
  useEffect(() => {
    const row = layout.rows.find(({ day }) => day === dayInFocus);
    const seen = room.height - covered;
    if (covered > 0 && row && row.y + row.height > seen)
      scroller.current?.scrollTo({ y: row.y + Math.min(row.height, seen) - seen, animated: false });
  }, [covered, dayInFocus, layout, room.height, scroller]);

  const { draggedId, tabStopId } = useHands(surface, props, {
    axis: 'across',
    layout,
    order,
    spotAt: (left, top) => {
      const row = rowAt(layout.rows, top);
      const x = Math.max(0, Math.min(line.width, left - gutter));
      return row ? { day: row.day, minute: minuteOfX(line, x) } : null;
    },
  });
  const ghostPlace = useCallback(
    (span: Span) => placeInRows(span, layout.rows, line, gutter, sizes.lane),
    [layout.rows, line, gutter, sizes],
  );

  const drawn = {
    line,
    sizes,
    gutter,
    calendarOf,
    hasDay: days.length > 1,
    categoryInks,
    workweek: settings.workweek,
    wording,
    text: scale.text,
    seenFrom,
    seenTo,
    hands,
  };
  return (
    <View style={styles.all}>
      <View>
        {room.width > 0 && (
          <ZoneAxes
            axes={axes}
            line={line}
            gutter={gutter}
            wording={wording}
            onSeeAs={hands.onSeeAs}
          />
        )}
        <HourAxis line={line} gutter={gutter} hourCycle={wording.hourCycle} />
        <AxisCorner axes={axes} gutter={gutter} onSeeAs={hands.onSeeAs} />
      </View>
      <SheetSurface
        surface={surface}
        name={content.name}
        height={layout.height}
        look={look}
        ghostPlace={ghostPlace}
        onScrolled={(y) => setSeenStep(Math.floor(y / SEEN_STEP))}
      >
        {layout.rows.map((row, i) => {
          const inRow = (id: string | null | undefined) =>
            id && order[i]?.includes(id) ? id : null;
          return (
            <SheetRow
              key={trackKey(row)}
              row={row}
              drawn={drawn}
              bookedMinutes={content.bookedOn(row.day)}
              facts={content.factsOn(row.day)}
              isToday={row.day === look.today}
              awayZone={travelZone(row.day, wording)}
              selectedId={inRow(selectedId)}
              draggedId={inRow(draggedId)}
              tabStopId={inRow(tabStopId)}
            />
          );
        })}
        {draft && <DraftBars span={draft} rows={layout.rows} line={line} gutter={gutter} />}
        <NowLine rows={layout.rows} line={line} gutter={gutter} zone={clock} />
      </SheetSurface>
    </View>
  );
}

const styles = StyleSheet.create({ all: { flex: 1, minHeight: 0 } });
