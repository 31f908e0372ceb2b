import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import { bookedMinutes } from '@/core/agenda/booked';
import { spanLoad } from '@/core/agenda/spanLoad';
import type { Calendar } from '@/core/model/calendar';
import type { Category } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { officeWeek } from '@/core/time/civil';
import { sayHours, weekdayName } from '@/core/time/words';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { useRoom } from '../sheet/useRoom';
import { LoadChart } from './LoadChart';

interface Props {
  occurrences: readonly Occurrence[];
  /** The days shown (day numbers, the end excluded). */
  range: { from: number; to: number };
  calendars: readonly Calendar[];
  categories: readonly Category[];
  preferences: Preferences;
}

/** How the hours of what is shown are spread: by week, by calendar or category, booked against clear. */
export function Load({ occurrences, range, calendars, categories, preferences }: Props) {
  const { settings, firstWeekday, clock: zone } = preferences;
  const palette = usePalette();
  const { room, onLayout } = useRoom();
  const [by, setBy] = useState<'calendar' | 'category'>('calendar');
  const load = useMemo(
    () =>
      spanLoad(occurrences, {
        fromDay: range.from,
        toDay: range.to,
        firstWeekday,
        by,
        zone,
        hoursOf: (day) => workdayOf(day, settings.workweek).hours,
      }),
    [occurrences, range, firstWeekday, by, zone, settings.workweek],
  );
  const booked = useMemo(
    () => bookedMinutes(occurrences, range.from, range.to, zone).reduce((sum, m) => sum + m, 0),
    [occurrences, range, zone],
  );
  const labels = new Map<string, { name: string; ink: string }>(
    (by === 'calendar' ? calendars : categories).map(({ id, name, ink }) => [id, { name, ink }]),
  );
  const colourOf = (key: string) => {
    const ink = labels.get(key)?.ink;
    return ink === undefined ? palette.dim : inkColours(ink, palette).edge;
  };
  const nameOf = (key: string) => labels.get(key)?.name ?? 'No category';
  const summary = `${sayHours(load.total)} in events, ${sayHours(load.clear)} of working hours clear: ${load.byKey.map(({ key, minutes }) => `${nameOf(key)} ${sayHours(minutes)}`).join(', ')}`;
  return (
    <View style={styles.load} onLayout={onLayout}>
      <Text>
        <Text style={styles.strong}>{sayHours(load.total)}</Text> in events ·{' '}
        <Text style={styles.strong}>{sayHours(load.clear)}</Text> clear
      </Text>
      {booked !== load.total && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          Booked: {sayHours(booked)}. Where events overlap, the time counts once.
        </Text>
      )}
      {room.width > 0 && (
        <LoadChart
          load={load}
          width={room.width}
          colourOf={colourOf}
          nameOf={(day) =>
            load.step === 7 ? String(officeWeek(day, firstWeekday).week) : weekdayName(day)
          }
          summary={summary}
        />
      )}
      <View role="list" aria-label="Hours">
        {load.byKey.map(({ key, minutes }) => (
          <View key={key} role="listitem" style={styles.row}>
            <div className="swatch" style={{ backgroundColor: colourOf(key) }} />
            <Text style={styles.name} numberOfLines={1}>
              {nameOf(key)}
            </Text>
            <Text style={styles.hours}>{sayHours(minutes)}</Text>
          </View>
        ))}
      </View>
      {categories.length > 0 && (
        <Choice<'calendar' | 'category'>
          name="Hours by"
          isNameHidden
          value={by}
          options={[
            { value: 'calendar', label: 'By calendar' },
            { value: 'category', label: 'By category' },
          ]}
          onChoose={setBy}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  load: { gap: 6 },
  strong: { fontWeight: '600' },
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 26 },
  name: { flex: 1, minWidth: 0 },
  hours: { fontVariant: ['tabular-nums'] },
});
