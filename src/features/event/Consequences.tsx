import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { consequencesOf } from '@/core/editing/consequences';
import type { Span } from '@/core/layout/drag';
import { dayOfWall } from '@/core/time/civil';
import { instantFromWall } from '@/core/time/zones';
import type { Preferences } from '@/data/preferences';
import { useOccurrences } from '@/data/queries';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** Days of a long event that are looked at. */
const DAYS_SEEN = 31;

interface Props {
  span: Span;
  isBooked: boolean;
  /** Minutes that it takes to get there, and back. */
  travel?: { travelBefore: number; travelAfter: number };
  ownEventId: string | null;
  preferences: Preferences;
}

/** One line that says what an event at this time would meet. It never stands in the way. */
export function Consequences({ span, isBooked, travel, ownEventId, preferences }: Props) {
  const { clock: zone, settings } = preferences;
  const palette = usePalette();
  const fromDay = dayOfWall(span.start);
  const toDay = Math.min(dayOfWall(Math.max(span.start, span.end - 1)) + 1, fromDay + DAYS_SEEN);
  const { data } = useOccurrences({ fromDay, toDay, zone });
  const planned = {
    ...span,
    travelBefore: travel?.travelBefore,
    travelAfter: travel?.travelAfter,
    isBooked,
    startMs: instantFromWall(span.start, zone),
    endMs: instantFromWall(span.end, zone),
  };
  const said = consequencesOf(planned, data?.occurrences ?? [], ownEventId, settings.workweek);
  if (!said.length) return null;
  return (
    <View style={[styles.line, { backgroundColor: palette.amberWash }]} role="status">
      <Icon name="alert-outline" size={18} color={palette.amber} />
      <Text variant="bodySmall" style={styles.text}>
        {said.join(' · ')}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, borderRadius: 8, padding: 8 },
  text: { flex: 1, minWidth: 0 },
});
