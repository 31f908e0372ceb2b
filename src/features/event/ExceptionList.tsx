import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { dateAsEvent } from '@/core/editing/series/dates';
import { exceptionsOf } from '@/core/editing/series/skips';
import { wallOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { parseLocal, dayOfWall } from '@/core/time/civil';
import type { Wording } from '@/core/time/words';
import { DATED_DAY, sayDay, saySpan, withoutClocks } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePalette } from '@/ui/theme/theme';

/** What is different about a changed date, in words. */
function sayChange(event: CalendarEvent, key: string, wording: Wording): string {
  const change = event.changedDates[key]!;
  const date = dateAsEvent(event, key);
  const said: string[] = [];
  if (change.start)
    said.push(
      `now ${saySpan({ start: wallOf(date.start), end: wallOf(date.end), wholeDay: date.start.kind === 'date' }, withoutClocks(wording))}`,
    );
  if (change.title !== undefined) said.push(`called “${change.title}”`);
  const others = Object.keys(change).filter(
    (field) => !['start', 'end', 'title', 'revision', 'passthrough', 'andLater'].includes(field),
  );
  if (others.length) said.push(`own ${others.join(', ')}`);
  if (change.andLater) said.push('with later dates');
  return said.join(' · ') || 'changed';
}

/** Dates of a series that were skipped or changed, each with the way back. */
export function ExceptionList({ event, wording }: { event: CalendarEvent; wording: Wording }) {
  const act = useDo();
  const palette = usePalette();
  const exceptions = exceptionsOf(event);
  if (!exceptions.length) return null;
  return (
    <View style={styles.all}>
      <Text style={styles.head}>Skipped and changed dates</Text>
      <View role="list" aria-label="Skipped and changed dates">
        {exceptions.map(({ key, isSkipped }) => {
          const day = sayDay(dayOfWall(parseLocal(key)), wording, DATED_DAY);
          return (
            <View
              role="listitem"
              key={`${key} ${isSkipped}`}
              style={[styles.row, { borderColor: palette.hairline }]}
            >
              <View style={styles.text}>
                <Text>{day}</Text>
                <Text variant="bodySmall" style={{ color: palette.dim }}>
                  {isSkipped ? 'skipped' : sayChange(event, key, wording)}
                </Text>
              </View>
              <Button
                compact
                icon="restore"
                accessibilityLabel={`Restore ${day}`}
                onPress={() =>
                  void act({ kind: 'restoreSeriesDate', id: event.id, key, isSkipped })
                }
              >
                Restore
              </Button>
            </View>
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 4 },
  head: { fontWeight: '600' },
  row: { flexDirection: 'row', alignItems: 'center', minHeight: 48, borderBottomWidth: 1, gap: 8 },
  text: { flex: 1, minWidth: 0 },
});
