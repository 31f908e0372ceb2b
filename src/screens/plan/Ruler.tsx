import { useState } from 'react';
import type { GestureResponderEvent } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { DAYS_A_WEEK, officeWeek, weekdayOf } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayHours } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { EventQuery } from '@/core/query/eventQuery';
import { useWeeklyLoad } from '@/data/queries';
import { usePalette } from '@/ui/theme/theme';
import { RulerWeek } from './RulerWeek';

/** Room for a week on the ruler, in px. */
const WEEK_ROOM = 30;
export const RULER_HEIGHT = 48;

interface Props {
  /** First day of the first week shown, and how many weeks are. */
  weekStart: DayNumber;
  weeksShown: number;
  zone: string;
  query: EventQuery;
  wording: Wording;
  onGo(weekStart: DayNumber): void;
}

/** Where the nth week from the first that is shown is among so many. */
function placeAmong(nth: number, weeksShown: number) {
  if (nth < 0 || nth >= weeksShown) return null;
  if (weeksShown === 1) return 'only';
  return nth === 0 ? 'first' : nth === weeksShown - 1 ? 'last' : 'between';
}

/** A strip of weeks, each as tall as it is booked. A press or a drag along it travels in time. */
export function Ruler({ weekStart, weeksShown, zone, query, wording, onGo }: Props) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const weeks = Math.max(4, Math.floor(width / WEEK_ROOM));
  // The ruler stands still while the week shown lies on it, so that it can be dragged along.
  const [origin, setOrigin] = useState(weekStart);
  const behind = Math.floor(weeks / 3);
  const offset = (weekStart - origin) / DAYS_A_WEEK;
  if (offset < -behind || offset > weeks - behind - 2) setOrigin(weekStart);
  const from = origin - behind * DAYS_A_WEEK;
  const { data: load = [] } = useWeeklyLoad(from, weeks, zone, query);
  const most = Math.max(1, ...load);
  const week = width / weeks;

  function goTo(event: GestureResponderEvent) {
    const index = Math.max(0, Math.min(weeks - 1, Math.floor(event.nativeEvent.locationX / week)));
    if (from + index * DAYS_A_WEEK !== weekStart) onGo(from + index * DAYS_A_WEEK);
  }

  function onKeyDown(event: { key: string; preventDefault(): void }) {
    const step = {
      ArrowLeft: -1,
      ArrowDown: -1,
      ArrowRight: 1,
      ArrowUp: 1,
      PageUp: -4,
      PageDown: 4,
    }[event.key];
    if (!step) return;
    event.preventDefault();
    onGo(weekStart + step * DAYS_A_WEEK);
  }

  const shown = (weekStart - from) / DAYS_A_WEEK;
  return (
    <View
      {...{ onKeyDown }}
      role="slider"
      aria-label="Weeks"
      aria-valuemin={0}
      aria-valuemax={weeks - 1}
      aria-valuenow={shown}
      aria-valuetext={`Week ${officeWeek(weekStart, weekdayOf(weekStart)).week}, ${sayHours(load[shown] ?? 0)} booked`}
      tabIndex={0}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderGrant={goTo}
      onResponderMove={goTo}
      style={[styles.ruler, { borderColor: palette.hairline, backgroundColor: palette.paper }]}
    >
      {width > 0 &&
        Array.from({ length: weeks }, (_, i) => {
          const day = from + i * DAYS_A_WEEK;
          return (
            <RulerWeek
              key={day}
              day={day}
              left={i * week}
              width={week}
              share={(load[i] ?? 0) / most}
              shown={placeAmong(i - shown, weeksShown)}
              wording={wording}
            />
          );
        })}
    </View>
  );
}

const styles = StyleSheet.create({
  ruler: {
    height: RULER_HEIGHT,
    // The name of a month that begins at the edge is longer than its week.
    overflow: 'hidden',
    borderTopWidth: 1,
    cursor: 'pointer',
    touchAction: 'none',
    userSelect: 'none',
  } as object,
});
