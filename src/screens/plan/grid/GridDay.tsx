import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { dayOfWall } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { sayDay, sayHours } from '@/core/time/words';
import type { LineSetting } from '@/features/agenda/AgendaLines';
import { DayLines } from '@/features/agenda/DayLines';
import { FactsLine } from '@/features/facts/FactsLine';
import { openTask } from '@/data/openedTask';
import { TaskLine } from '@/features/tasks/TaskLine';
import { Title } from '@/ui/Title';
import { usePalette } from '@/ui/theme/theme';
import type { FormProps } from '../sheet/formProps';

interface Props extends Pick<FormProps, 'content' | 'look' | 'hands'> {
  day: DayNumber;
  calendarOf: LineSetting['calendarOf'];
}

/** What happens on the chosen day in full, under a grid that has no room to say it. */
export function GridDay({ day, content, look, hands, calendarOf }: Props) {
  const palette = usePalette();
  const { preferences, categoryInks, selectedId } = look;
  const events = content.occurrences.filter(({ tasks }) => !tasks);
  const tasks = content.occurrences.flatMap((o) =>
    o.tasks && dayOfWall(o.start) === day ? o.tasks : [],
  );
  const name = sayDay(day, preferences.wording, { weekday: 'long', day: 'numeric', month: 'long' });
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
      <View style={styles.facts}>
        <FactsLine day={day} facts={content.factsOn(day)} wording={preferences.wording} />
      </View>
      <ScrollView tabIndex={-1} contentContainerStyle={{ paddingBottom: look.covered }}>
        {tasks.length > 0 && (
          <View role="list" aria-label="To do by this day" style={styles.facts}>
            {tasks.map((task) => (
              <TaskLine key={task.id} task={task} isTight onOpen={() => openTask(task.id)} />
            ))}
          </View>
        )}
        <DayLines
          day={day}
          occurrences={events}
          preferences={preferences}
          setting={{ calendarOf, categoryInks, selectedId, onOpen: hands.onOpen }}
        />
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
  facts: { paddingHorizontal: 10 },
});
