import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { EMPTY_FILTER } from '@/core/model/filter';
import { isOpen } from '@/core/model/task';
import { dayOn } from '@/core/tasks/due';
import { inTaskOrder } from '@/core/tasks/groups';
import { openTask } from '@/data/openedTask';
import { usePreferences } from '@/data/preferences';
import { useEffort, useTasks } from '@/data/tasks';
import { Title } from '@/ui/Title';
import { EffortLine } from './EffortLine';
import { TaskLine } from './TaskLine';
import { useTaskWording } from './useTaskWording';

/** Tasks that are listed; the rest is a press away. */
const LISTED = 5;

/** What is to be done by today, and whether there is time enough for what comes. */
export function TasksToday() {
  const { clock } = usePreferences();
  const { today } = useTaskWording();
  const router = useRouter();
  const { data: rows = [] } = useTasks(EMPTY_FILTER);
  const { data: effort } = useEffort(EMPTY_FILTER);
  const open = rows.flatMap(({ task }) => (isOpen(task) ? [task] : []));
  const due = open.filter((task) => task.due !== null && dayOn(task.due, clock) <= today);
  if (!open.length) return null;
  const listed = inTaskOrder(due, 'due', clock).slice(0, LISTED);
  return (
    <View role="region" aria-label="To do by today" style={styles.all}>
      <View style={styles.head}>
        <Title level={2}>To do by today</Title>
        <Button compact onPress={() => router.navigate('/tasks')}>
          {`All ${open.length}`}
        </Button>
      </View>
      {effort && <EffortLine effort={effort} />}
      <View role="list" aria-label="To do by today">
        {listed.map((task) => (
          <TaskLine key={task.id} task={task} onOpen={() => openTask(task.id)} />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
});
