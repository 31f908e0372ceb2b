import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { WatchedZone } from '@/core/model/others';
import { minuteOfDay } from '@/core/time/civil';
import { clockElsewhere } from '@/core/time/elsewhere';
import { sayMinute } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import { useNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { Icon } from '@/ui/icons/Icon';
import { SANS, usePalette, textPx } from '@/ui/theme/theme';

/** "3 h ahead", "5:30 h behind", "same time" */
function sayAhead(minutes: number): string {
  if (minutes === 0) return 'same time';
  const size = Math.abs(minutes);
  const rest = size % 60;
  const hours = rest ? `${Math.floor(size / 60)}:${String(rest).padStart(2, '0')}` : size / 60;
  return `${hours} h ${minutes > 0 ? 'ahead' : 'behind'}`;
}

const DAY_SHIFTS: Record<number, string> = { [-1]: ' · yesterday', 1: ' · tomorrow' };

function ClockRow({ zone, label, preferences }: WatchedZone & { preferences: Preferences }) {
  const palette = usePalette();
  const { wording, zone: home } = preferences;
  const { wall, ahead, dayShift, isOfficeTime } = clockElsewhere(useNow(), zone, home);
  const time = sayMinute(minuteOfDay(wall), wording.hourCycle);
  const where = `${sayAhead(ahead)}${DAY_SHIFTS[dayShift] ?? ''}`;
  const hours = isOfficeTime ? 'office hours' : 'out of office hours';
  return (
    <View role="listitem" aria-label={`${label}: ${time}, ${where}, ${hours}`} style={styles.row}>
      <View style={styles.text}>
        <Text>{label}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {where}
        </Text>
      </View>
      <View style={styles.hours}>
        <Icon
          name={isOfficeTime ? 'briefcase-clock-outline' : 'weather-night'}
          size={16}
          color={isOfficeTime ? palette.accent : palette.dim}
        />
        <Text variant="bodySmall" style={{ color: isOfficeTime ? palette.accent : palette.dim }}>
          {isOfficeTime ? 'at work' : 'off hours'}
        </Text>
      </View>
      <Text style={[styles.time, { color: palette.ink }]}>{time}</Text>
    </View>
  );
}

/** What clocks elsewhere show now, and whether people there are in their usual office hours. */
export function WorldClock({ preferences }: { preferences: Preferences }) {
  const { settings, zone } = preferences;
  const palette = usePalette();
  if (!settings.zones.length)
    return (
      <Text style={{ color: palette.dim }}>
        No other zones are watched. Choose up to three under Zones on the plan.
      </Text>
    );
  return (
    <View role="list" aria-label={`Clocks elsewhere, from ${cityOf(zone)}`} style={styles.all}>
      {settings.zones.map((watched) => (
        <ClockRow key={watched.label} {...watched} preferences={preferences} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  text: { flex: 1, minWidth: 0 },
  hours: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  time: {
    fontFamily: SANS,
    fontSize: textPx(17),
    fontWeight: '600',
    fontVariant: ['tabular-nums'],
    minWidth: 52,
    textAlign: 'right',
  },
});
