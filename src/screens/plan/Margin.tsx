import type { ComponentProps } from 'react';
import { useDeferredValue, useMemo } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { sayLeaveBy } from '@/core/agenda/standing';
import { findClashes, MOST_CLASHES } from '@/core/agenda/clashes';
import type { Occurrence } from '@/core/agenda/occurrence';
import { DAY, dayOfWall, MINUTE, minuteOfDay } from '@/core/time/civil';
import { sayDay, sayLength, sayMinute, saySpan, SHORT_DAY } from '@/core/time/words';
import type { EpochMs, WallMs } from '@/core/time/units';
import { titleOf } from '@/core/model/titleOf';
import { useWallNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { useOccurrences } from '@/data/queries';
import { Load } from './load/Load';
import { TasksToday } from '@/features/tasks/TasksToday';
import { TidyLook } from '@/features/tidy/TidyLook';
import { WorldClock } from '@/features/zones/WorldClock';
import { Icon } from '@/ui/icons/Icon';
import { SIDE_WIDTH } from '@/ui/PanelFrame';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';

/** Clashes that are listed; more are counted. */
const CLASHES = 6;

interface Props {
  preferences: Preferences;
  /** What the sheet shows; null before that is known, and where it shows no single events. */
  occurrences: readonly Occurrence[] | null;
  load: ComponentProps<typeof Load>;
  onOpen(occurrence: Occurrence): void;
}

/** How far off an event is, or how long it still lasts. */
function sayWhen(o: Occurrence, now: EpochMs): string {
  const minutes = (wall: WallMs) => Math.round((wall - now) / MINUTE);
  return o.start <= now
    ? `ends in ${sayLength(minutes(o.end))}`
    : `in ${sayLength(minutes(o.start))}`;
}

function NextEvent({ preferences, onOpen }: Omit<Props, 'occurrences' | 'load'>) {
  const { clock, wording } = preferences;
  const palette = usePalette();
  const now = useWallNow(clock);
  const today = dayOfWall(now);
  const { data } = useOccurrences({ fromDay: today, toDay: today + 1, zone: clock });
  const rest = (data?.occurrences ?? []).filter(
    (o) => !o.wholeDay && o.end > now && o.start < (today + 1) * DAY,
  );
  const next = rest[0];
  return (
    <View style={styles.part}>
      <View style={styles.head}>
        <Title level={2}>Today</Title>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {sayDay(today, wording, SHORT_DAY)}
        </Text>
      </View>
      {next ? (
        <Pressable
          role="button"
          onPress={() => onOpen(next)}
          style={[styles.card, { backgroundColor: palette.amberWash }]}
        >
          <Text style={styles.strong}>{titleOf(next)}</Text>
          <Text variant="bodySmall">
            {[
              sayMinute(minuteOfDay(next.start), wording.hourCycle),
              sayWhen(next, now),
              next.start > now ? sayLeaveBy(next, wording) : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </Pressable>
      ) : (
        data && <Text style={{ color: palette.dim }}>Nothing more today.</Text>
      )}
    </View>
  );
}

/** The right margin of a wide screen while no event is open: what is next, and what to watch out for. */
export function Margin({ preferences, occurrences, load, onOpen }: Props) {
  const palette = usePalette();
  // The sheet comes first: what is reckoned from it may follow a frame later.
  const lateOccurrences = useDeferredValue(occurrences);
  const lateLoad = useDeferredValue(load);
  const clashes = useMemo(() => lateOccurrences && findClashes(lateOccurrences), [lateOccurrences]);
  return (
    <ScrollView
      role="complementary"
      aria-label="Today and clashes"
      style={[styles.margin, { borderColor: palette.hairline, backgroundColor: palette.paper }]}
      contentContainerStyle={styles.content}
      tabIndex={-1}
    >
      <NextEvent preferences={preferences} onOpen={onOpen} />
      <TasksToday />
      {preferences.settings.zones.length > 0 && (
        <View style={styles.part}>
          <Title level={2}>Elsewhere</Title>
          <WorldClock preferences={preferences} />
        </View>
      )}
      {lateOccurrences && (
        <View style={styles.part}>
          <Title level={2}>Booked and clear</Title>
          <Load {...lateLoad} />
        </View>
      )}
      {clashes && <Clashes clashes={clashes} preferences={preferences} onOpen={onOpen} />}
      <TidyLook />
    </ScrollView>
  );
}

function Clashes({
  clashes,
  preferences,
  onOpen,
}: Omit<Props, 'occurrences' | 'load'> & { clashes: ReturnType<typeof findClashes> }) {
  const palette = usePalette();
  return (
    <View style={styles.part}>
      <Title level={2}>Watch out</Title>
      {clashes.length === 0 && (
        <Text style={{ color: palette.dim }}>No clashes in these days.</Text>
      )}
      {clashes.slice(0, CLASHES).map(({ first, second, start, end }) => (
        <Pressable
          key={`${first.id} ${second.id}`}
          role="button"
          onPress={() => onOpen(second)}
          style={[styles.clash, { borderColor: palette.hairline }]}
        >
          <Icon name="alert-outline" size={20} color={palette.amber} />
          <View style={styles.text}>
            <Text>
              {titleOf(first)} overlaps {titleOf(second)}
            </Text>
            <Text variant="bodySmall" style={{ color: palette.dim }}>
              {saySpan({ start, end, wholeDay: false }, preferences.wording)}
            </Text>
          </View>
        </Pressable>
      ))}
      {clashes.length > CLASHES && (
        <Text style={{ color: palette.dim }}>
          {clashes.length === MOST_CLASHES && 'at least '}
          {clashes.length - CLASHES} more in these days
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  margin: { width: SIDE_WIDTH, flexGrow: 0, flexShrink: 0, borderLeftWidth: 1 },
  content: { padding: 14, gap: 20 },
  part: { gap: 8 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  card: { borderRadius: 8, padding: 11, gap: 2 },
  strong: { fontWeight: '600' },
  clash: { flexDirection: 'row', gap: 8, paddingVertical: 8, borderBottomWidth: 1 },
  text: { flex: 1, minWidth: 0, gap: 2 },
});
