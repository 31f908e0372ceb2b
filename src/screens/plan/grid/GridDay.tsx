import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { agendaDays } from '@/core/agenda/agendaDays';
import { workdayOf } from '@/core/model/workweek';
import type { DayNumber } from '@/core/time/units';
import { sayDay, sayHours } from '@/core/time/words';
import { AgendaLines } from '@/features/agenda/AgendaLines';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';
import type { FormProps } from '../sheet/formProps';

interface Props extends Pick<FormProps, 'content' | 'look' | 'hands'> {
  day: DayNumber;
  calendarOf: Parameters<typeof AgendaLines>[0]['setting']['calendarOf'];
}

/** What happens on the chosen day in full, under a grid that has no room to say it. */
export function GridDay({ day, content, look, hands, calendarOf }: Props) {
  const palette = usePalette();
  const { preferences, categoryInks, selectedId } = look;
  const { wording, settings } = preferences;
  const hoursOf = () => workdayOf(day, settings.workweek).hours;
  const [found] = agendaDays(content.occurrences, day, day + 1, hoursOf);
  const name = sayDay(day, wording, { weekday: 'long', day: 'numeric', month: 'long' });
  return (
    <View role="region" aria-label={name} style={[styles.day, { borderColor: palette.hairline }]}>
      <View style={styles.head}>
        <Title level={2} style={styles.title}>
          {name}
        </Title>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {sayHours(content.bookedOn(day))} booked
        </Text>
      </View>
      <ScrollView tabIndex={-1} contentContainerStyle={{ paddingBottom: look.covered }}>
        {found ? (
          <AgendaLines
            day={day}
            lines={found.lines}
            setting={{ calendarOf, categoryInks, wording, selectedId, onOpen: hands.onOpen }}
          />
        ) : (
          <Text style={[styles.nothing, { color: palette.dim }]}>Nothing on this day.</Text>
        )}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  day: { flex: 1, minHeight: 0, borderTopWidth: 1 },
  head: {
    flexDirection: 'row',
    alignItems: 'baseline',
    justifyContent: 'space-between',
    paddingHorizontal: 14,
    paddingTop: 8,
    paddingBottom: 4,
  },
  title: { fontSize: 17 },
  nothing: { paddingHorizontal: 14, paddingTop: 4 },
});
