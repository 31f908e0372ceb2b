import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { ForeseenDate } from '@/core/editing/foresight';
import { foresightWords } from '@/core/editing/foresight';
import type { CalendarEvent } from '@/core/model/event';
import { dayOfWall } from '@/core/time/civil';
import { zoneOnDay } from '@/core/time/sheetClock';
import { saySpan } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { Preferences } from '@/data/preferences';
import { useForesight } from '@/data/queries';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

const DAY_AND_YEAR = { weekday: 'short', day: 'numeric', month: 'short', year: '2-digit' } as const;

function notesOf({ clashes, closure, hours }: ForeseenDate): string {
  const [first, ...more] = clashes;
  const others = more.length ? ` and ${more.length} more` : '';
  return [
    first === undefined ? '' : `overlaps “${first}”${others}`,
    closure === null ? '' : `on “${closure}”`,
    hours === null ? '' : hours[0]!.toLowerCase() + hours.slice(1),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** The next dates of a series, and what each would meet: clashes, closures, hours outside of work. */
export function Foresight({
  event,
  preferences,
}: {
  event: CalendarEvent;
  preferences: Preferences;
}) {
  const { clock, zone: home, wording } = preferences;
  const palette = usePalette();
  const { data: dates } = useForesight(event, clock);
  if (!dates) return null;
  const said = foresightWords(dates);
  return (
    <View
      role="status"
      aria-label="Next dates"
      style={[
        styles.box,
        { backgroundColor: said.length ? palette.amberWash : palette.accentWash },
      ]}
    >
      <Text variant="bodySmall" style={styles.head}>
        {dates.length === 0
          ? 'No dates to come.'
          : said.length
            ? said.join(' · ')
            : `The next ${dates.length === 1 ? 'date is' : `${dates.length} dates are`} clear`}
      </Text>
      {dates.map((date) => {
        const notes = notesOf(date);
        // While away the sheet's times are those of the place.
        const zone = zoneOnDay(clock, dayOfWall(date.start));
        const where = zone === home || date.wholeDay ? '' : ` in ${cityOf(zone)}`;
        return (
          <View key={date.start} style={styles.line}>
            <Icon
              name={notes ? 'alert-outline' : 'check'}
              size={15}
              color={notes ? palette.amber : palette.accent}
            />
            <Text variant="bodySmall" style={styles.text}>
              {saySpan(date, wording, DAY_AND_YEAR)}
              {where}
              {notes ? ` — ${notes}` : ''}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderRadius: 8, padding: 8, gap: 3 },
  head: { fontWeight: '600' },
  line: { flexDirection: 'row', gap: 6, alignItems: 'flex-start' },
  text: { flex: 1, minWidth: 0 },
});
