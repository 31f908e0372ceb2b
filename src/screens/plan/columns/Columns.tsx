import { Fragment, useCallback, useEffect, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Occurrence } from '@/core/agenda/occurrence';
import { inkOf } from '@/core/colour/inkOf';
import { layoutColumns, minuteOfY, yOfMinute } from '@/core/layout/columns';
import type { Span } from '@/core/layout/drag';
import { trackKey } from '@/core/layout/tracks';
import type { DayNumber } from '@/core/time/units';
import { partOn, takesDay } from '@/core/agenda/parts';
import { hourHeight } from '@/core/view/scale';
import { dayOfWall, MINUTE, minuteOfDay } from '@/core/time/civil';
import { SHORT_DAY, sayDay, travelZone } from '@/core/time/words';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { useIsWide } from '@/ui/useIsWide';
import type { FormProps } from '../sheet/formProps';
import { DayButton } from '../sheet/DayButton';
import { SheetSurface } from '../sheet/SheetSurface';
import { useHands, useSurface } from '../sheet/useSurface';
import { FactsLine } from '@/features/facts/FactsLine';
import { sayPart } from '@/features/bars/sayPart';
import { WholeDayBar } from '../sheet/WholeDayBar';
import { BlockView } from './BlockView';
import { ColumnBackground } from './ColumnBackground';
import { ColumnCounts } from './ColumnCounts';
import { FACTS, FACTS_PRESS, FACTS_WORDS, HEAD, MIN_BLOCK, SCALE, TOP } from './geometry';
import { HourScale } from './HourScale';
import { NowMark } from './NowMark';
import type { Field } from './placeInColumns';
import { dayPart, placeInColumns, placeOnDay } from './placeInColumns';
import { TrackHeads } from './TrackHeads';

const WHOLE_DAY = { from: 0, to: 24 * 60 };
const minutesOn = (o: Occurrence, day: DayNumber) =>
  o.wholeDay ? WHOLE_DAY : (partOn(o, day) ?? WHOLE_DAY);

/** Days beside each other, time from top to bottom, with everything that hands can do on them. */
export function Columns(props: FormProps) {
  const { place, content, look, hands } = props;
  const { tracks, hours, occurrences } = content;
  const { categoryInks, preferences, selectedId, draft, covered, today } = look;
  const { wording, settings, clock, scale } = preferences;
  const facts = content.hasFacts ? Math.round(FACTS * scale.text) : 0;
  const head = Math.round(HEAD * scale.text) + facts;
  const topLine = Math.round(TOP * scale.line);
  const isWide = useIsWide();
  const palette = usePalette();
  const surface = useSurface(props, true);
  const { around, room, calendarOf, scroller } = surface;

  const field = useMemo((): Field => {
    const left = (isWide ? SCALE.wide : SCALE.phone) * scale.text;
    const least = ((hours.to - hours.from) / 60) * hourHeight(settings.slot, scale);
    return {
      tracks,
      fromMinute: hours.from,
      toMinute: hours.to,
      height: Math.max(room.height, Math.max(least, room.height) * scale.zoom),
      left,
      width: Math.max(1, (room.width - left) / tracks.length),
    };
  }, [tracks, hours, room, isWide, settings.slot, scale]);
  const columns = useMemo(
    () => layoutColumns({ ...field, minBlock: MIN_BLOCK * scale.text }, occurrences),
    [field, occurrences, scale],
  );
  const band = Math.max(0, ...columns.map(({ tops }) => tops.length)) * topLine;
  const order = useMemo(
    () =>
      columns.map(({ tops, blocks }) => [...tops, ...blocks].map(({ occurrence: { id } }) => id)),
    [columns],
  );
  const inkFor = (o: Occurrence) =>
    inkOf(o, calendarOf.get(o.calendarId)?.ink ?? palette.dim, categoryInks);
  const { draggedId, tabStopId } = useHands(surface, props, {
    axis: 'down',
    layout: columns,
    order,
    spotAt: (left, top) => {
      const column = Math.floor((left - field.left) / field.width);
      const { day } = tracks[Math.max(0, Math.min(tracks.length - 1, column))]!;
      const y = Math.max(0, Math.min(field.height, top));
      return { day, minute: minuteOfY(field, y) };
    },
  });
  const ghostPlace = useCallback((span: Span) => placeInColumns(span, field), [field]);

  // What is looked at or added is brought out from under the panel.
  const focus = draft ?? occurrences.find(({ id }) => id === selectedId);
  const focusMinute = focus && !focus.wholeDay ? minuteOfDay(focus.start) : undefined;
  useEffect(() => {
    if (focusMinute === undefined || room.height === 0) return;
    const y = yOfMinute(field, focusMinute);
    const seen = room.height - covered;
    if (covered > 0) scroller.current?.scrollTo({ y: y - seen / 3, animated: false });
  }, [focusMinute, field, room.height, covered, scroller]);

  const barProps = (o: Occurrence) => ({
    ink: inkFor(o),
    isSelected: o.id === selectedId,
    isDragged: o.id === draggedId,
    isTabStop: o.id === tabStopId,
    wording,
    onOpen: hands.onOpen,
  });
  const leftOf = (i: number) => field.left + i * field.width;
  return (
    <View ref={around} role="group" aria-label={content.name} style={styles.all}>
      <View style={[styles.heads, { height: head, borderColor: palette.hairline }]}>
        {room.width > 0 &&
          place.drawn.days.map((day) => (
            <Fragment key={day}>
              <DayButton
                of="column"
                day={day}
                at={{ ...dayPart(day, field)!, top: 0, height: head - facts }}
                bookedMinutes={content.bookedOn(day)}
                isToday={day === today}
                awayZone={travelZone(day, wording)}
                workweek={settings.workweek}
                wording={wording}
                onAdd={hands.onAddToDay}
                onWorkday={hands.onWorkday}
              />
              <FactsLine
                day={day}
                facts={content.factsOn(day)}
                wording={wording}
                isTight={field.width < FACTS_WORDS}
                at={{ ...dayPart(day, field)!, top: head - FACTS_PRESS, height: FACTS_PRESS }}
              />
            </Fragment>
          ))}
      </View>
      {tracks[0]?.calendarId !== null && room.width > 0 && (
        <TrackHeads field={field} calendarOf={calendarOf} />
      )}
      {band > 0 && (
        <View style={[styles.band, { height: band + 4, borderColor: palette.hairline }]}>
          {columns.map(({ tops }, i) =>
            tops.map((top, n) => {
              const calendar = calendarOf.get(top.occurrence.calendarId);
              return (
                calendar && (
                  <WholeDayBar
                    key={`${top.occurrence.id} ${i}`}
                    occurrence={top.occurrence}
                    part={sayPart(top)}
                    calendar={calendar}
                    at={{
                      left: leftOf(i) + 1,
                      top: 2 + n * topLine,
                      width: field.width - 2,
                      height: topLine - 3,
                    }}
                    {...barProps(top.occurrence)}
                  />
                )
              );
            }),
          )}
        </View>
      )}
      <SheetSurface
        surface={surface}
        name={null}
        height={field.height}
        look={look}
        ghostPlace={ghostPlace}
      >
        <HourScale field={field} hourCycle={wording.hourCycle} />
        {columns.map((column, i) => (
          <div key={trackKey(column)} className="sheet-day">
            <ColumnBackground
              day={column.day}
              left={leftOf(i)}
              field={field}
              workweek={settings.workweek}
              isToday={column.day === today}
              washes={column.tops.flatMap(({ occurrence }) =>
                takesDay(occurrence)
                  ? [
                      {
                        ...minutesOn(occurrence, column.day),
                        colour: inkColours(inkFor(occurrence), palette).edge,
                        isClosure: calendarOf.get(occurrence.calendarId)?.isClosures === true,
                      },
                    ]
                  : [],
              )}
            />
            {column.blocks.map((block) => {
              const calendar = calendarOf.get(block.occurrence.calendarId);
              return (
                calendar && (
                  <BlockView
                    key={block.occurrence.id}
                    block={block}
                    calendar={calendar}
                    left={leftOf(i)}
                    width={field.width}
                    {...barProps(block.occurrence)}
                  />
                )
              );
            })}
            <ColumnCounts
              column={column}
              left={leftOf(i)}
              width={field.width}
              dayName={sayDay(column.day, wording, SHORT_DAY)}
              onWiden={hands.onWiden}
            />
          </div>
        ))}
        {draft && <Drafts span={draft} field={field} />}
        <NowMark field={field} zone={clock} />
      </SheetSurface>
    </View>
  );
}

/** Where what is being added would lie: a dashed box on each of its days. */
function Drafts({ span, field }: { span: Span; field: Field }) {
  const { amber } = usePalette();
  const last = dayOfWall(Math.max(span.start, span.end - MINUTE));
  return [...new Set(field.tracks.map(({ day }) => day))]
    .filter((day) => day >= dayOfWall(span.start) && day <= last)
    .map((day) => {
      const box = placeOnDay(span, day, field);
      return (
        box && (
          <View
            key={day}
            aria-hidden
            style={[styles.draft, box, { borderColor: amber, backgroundColor: `${amber}22` }]}
          />
        )
      );
    });
}

const styles = StyleSheet.create({
  // In narrow columns the blank edge of the last work icon lies over the screen’s.
  all: { flex: 1, minHeight: 0, userSelect: 'none', overflow: 'hidden' } as object,
  heads: { borderTopWidth: 1, borderBottomWidth: 1 },
  band: { borderBottomWidth: 1 },
  draft: {
    position: 'absolute',
    borderWidth: 2,
    borderStyle: 'dashed',
    borderRadius: 5,
    pointerEvents: 'none',
    zIndex: 2,
  },
});
