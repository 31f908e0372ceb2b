import { useState } from 'react';
import type { GestureResponderEvent } from 'react-native';
import { StyleSheet, Text, View } from 'react-native';
import { civilDate, weekNumber } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayDay, sayHours } from '@/core/time/words';
import type { Sight } from '@/core/view/sight';
import { useWeeklyLoad } from '@/data/queries';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';

const DAYS = 7;
/** Room for a week on the ruler, in px. */
const WEEK_ROOM = 30;
const BAR_HEIGHT = 26;
export const RULER_HEIGHT = 48;

interface Props {
  /** First day of the first week shown, and how many weeks are. */
  weekStart: number;
  weeksShown: number;
  zone: string;
  sight: Sight;
  wording: Wording;
  onGo(weekStart: number): void;
}

/** A strip of weeks, each as tall as it is booked. A press or a drag along it travels in time. */
export function Ruler({ weekStart, weeksShown, zone, sight, wording, onGo }: Props) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const weeks = Math.max(4, Math.floor(width / WEEK_ROOM));
  // The ruler stands still while the week shown lies on it, so that it can be dragged along.
  const [origin, setOrigin] = useState(weekStart);
  const behind = Math.floor(weeks / 3);
  const offset = (weekStart - origin) / DAYS;
  if (offset < -behind || offset > weeks - behind - 2) setOrigin(weekStart);
  const from = origin - behind * DAYS;
  const { data: load = [] } = useWeeklyLoad(from, weeks, zone, sight);
  const most = Math.max(1, ...load);
  const week = width / weeks;

  function goTo(event: GestureResponderEvent) {
    const index = Math.max(0, Math.min(weeks - 1, Math.floor(event.nativeEvent.locationX / week)));
    if (from + index * DAYS !== weekStart) onGo(from + index * DAYS);
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
    onGo(weekStart + step * DAYS);
  }

  const shown = (weekStart - from) / DAYS;
  return (
    <View
      {...{ onKeyDown }}
      role="slider"
      aria-label="Weeks"
      aria-valuemin={0}
      aria-valuemax={weeks - 1}
      aria-valuenow={shown}
      aria-valuetext={`Week ${weekNumber(weekStart).week}, ${sayHours(load[shown] ?? 0)} booked`}
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
          const day = from + i * DAYS;
          const isShown = day >= weekStart && day < weekStart + weeksShown * DAYS;
          const startsMonth = civilDate(day).day <= DAYS;
          const height = 4 + ((load[i] ?? 0) / most) * (BAR_HEIGHT - 4);
          return (
            <View key={day} style={[styles.week, { left: i * week, width: week }]}>
              {startsMonth && (
                <Text style={[styles.month, { color: palette.dim }]}>
                  {sayDay(day, wording, { month: 'short' })}
                </Text>
              )}
              {isShown && (
                <View
                  style={[
                    styles.bracket,
                    {
                      borderColor: palette.amber,
                      borderLeftWidth: day === weekStart ? 2 : 0,
                      borderRightWidth: day === weekStart + (weeksShown - 1) * DAYS ? 2 : 0,
                    },
                  ]}
                />
              )}
              <View
                style={[
                  styles.load,
                  {
                    height,
                    backgroundColor: isShown
                      ? palette.accent
                      : palette.dark
                        ? '#3B4D45'
                        : '#C9D3C8',
                  },
                ]}
              />
            </View>
          );
        })}
    </View>
  );
}

const styles = StyleSheet.create({
  ruler: {
    height: RULER_HEIGHT,
    borderTopWidth: 1,
    cursor: 'pointer',
    touchAction: 'none',
    userSelect: 'none',
  } as object,
  week: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    paddingHorizontal: 1.5,
    justifyContent: 'flex-end',
    paddingBottom: 4,
    pointerEvents: 'none',
  },
  month: {
    position: 'absolute',
    top: 2,
    left: 2,
    fontFamily: SANS,
    fontSize: textPx(10.5),
    width: 40,
  },
  bracket: {
    position: 'absolute',
    top: 14,
    left: 0,
    right: 0,
    height: 6,
    borderTopWidth: 2,
  },
  load: { borderRadius: 3 },
});
