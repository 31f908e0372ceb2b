import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { clearStretches, clearMinutes } from '@/core/agenda/clear';
import type { Occurrence } from '@/core/agenda/occurrence';
import { minutesUntil, sayLeaveBy } from '@/core/agenda/standing';
import type { Workweek } from '@/core/model/others';
import { workdayOf } from '@/core/model/workweek';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { sayLength, sayMinute } from '@/core/time/words';
import type { WallMs } from '@/core/time/units';
import { titleOf } from '@/core/model/titleOf';
import { pageAddress } from '@/data/pages';
import { JoinButton } from '@/features/rooms/JoinButton';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** Today's, in order of start. */
  occurrences: readonly Occurrence[];
  /** Wall ms */
  now: WallMs;
  workweek: Workweek;
  /** The zone on whose clock the day is. */
  zone: string;
  wording: Wording;
}

/** "3 h 10 min" of today's working hours that are left and clear. */
function clearLeft({ occurrences, now, workweek, zone }: Omit<Props, 'wording'>): number {
  const day = dayOfWall(now);
  const { hours } = workdayOf(day, workweek);
  const from = Math.max(hours?.from ?? 0, minuteOfDay(now));
  if (!hours || from >= hours.to) return 0;
  return clearMinutes(clearStretches(day, occurrences, { from, to: hours.to }), zone);
}

/** What is now and what is next, with the time left, and how much of today is still clear. */
export function NowAndNext({ occurrences, now, workweek, zone, wording }: Props) {
  const palette = usePalette();
  const router = useRouter();
  const timed = occurrences.filter((o) => !o.wholeDay);
  const current = timed.filter((o) => o.start <= now && o.end > now);
  const next = timed.find((o) => o.start > now);
  const at = (wall: WallMs) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const left = clearLeft({ occurrences, now, workweek, zone });
  return (
    <View style={styles.all}>
      {current.map((o) => (
        <View key={o.id} style={[styles.now, { backgroundColor: palette.amberWash }]}>
          <Text style={styles.title}>{titleOf(o)}</Text>
          <Text>
            now, {sayLength(minutesUntil(now, o.end))} left, until {at(o.end)}
          </Text>
          <View style={styles.ways}>
            <JoinButton occurrence={o} />
            <Button
              compact
              icon="text-box-outline"
              accessibilityLabel={`Points and notes of ${titleOf(o)}`}
              onPress={() => router.navigate(pageAddress(o.id))}
            >
              Points and notes
            </Button>
          </View>
        </View>
      ))}
      <Text>
        {next ? (
          <>
            Next: <Text style={styles.title}>{titleOf(next)}</Text> at {at(next.start)}, in{' '}
            {sayLength(minutesUntil(now, next.start))}
            {next.travelBefore > 0 && `, ${sayLeaveBy(next, wording)}`}
          </>
        ) : (
          'Nothing more today.'
        )}
      </Text>
      {next && <JoinButton occurrence={next} />}
      <Text style={{ color: palette.dim }}>
        {left > 0
          ? `${sayLength(Math.round(left))} of today’s working hours are clear.`
          : 'No working hours of today are left clear.'}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  now: { borderRadius: 8, padding: 11, gap: 2 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, marginTop: 2 },
  title: { fontWeight: '600' },
});
