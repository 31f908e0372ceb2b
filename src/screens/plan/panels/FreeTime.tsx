import { StyleSheet } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { clearStretches, firstFree } from '@/core/agenda/clear';
import type { Span } from '@/core/layout/drag';
import { workdayOf } from '@/core/model/workweek';
import { DAY, dayOfWall, MINUTE, minuteOfDay } from '@/core/time/civil';
import { sayLength, sayMinute } from '@/core/time/words';
import { useWallNow } from '@/data/now';
import type { Preferences } from '@/data/preferences';
import { useOccurrences } from '@/data/queries';

interface Props {
  /** The span as it is so far, on a day and with a length that were said, at an hour that was not. */
  span: Span;
  preferences: Preferences;
  onTake(span: Span): void;
}

/** Offers the first time of a day that is free for as long as an event lasts. */
export function FreeTime({ span, preferences, onTake }: Props) {
  const { clock: zone, settings, wording } = preferences;
  const now = useWallNow(zone);
  const day = dayOfWall(span.start);
  const { data } = useOccurrences({ fromDay: day, toDay: day + 1, zone });
  const length = span.end - span.start;
  const { hours } = workdayOf(day, settings.workweek);
  const start =
    data && firstFree(length / MINUTE, clearStretches(day, data.occurrences, hours), now);
  // Days off and days whose hours have passed have no free time to offer.
  const isOver = hours === null || now >= day * DAY + hours.to * MINUTE;
  if (start === null && !isOver)
    return (
      <Text variant="bodySmall">{`Nothing is free for ${sayLength(length / MINUTE)} that day`}</Text>
    );
  if (start === undefined || start === null || start === span.start) return null;
  return (
    <Button
      compact
      icon="clock-outline"
      style={styles.offer}
      onPress={() => onTake({ ...span, start, end: start + length, lasts: true })}
    >
      {`First free at ${sayMinute(minuteOfDay(start), wording.hourCycle)}`}
    </Button>
  );
}

const styles = StyleSheet.create({ offer: { alignSelf: 'flex-start' } });
