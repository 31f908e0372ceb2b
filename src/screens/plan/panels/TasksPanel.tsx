import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { EMPTY_FILTER } from '@/core/model/filter';
import { isOpen } from '@/core/model/task';
import { inTaskOrder } from '@/core/tasks/groups';
import { openTask } from '@/data/openedTask';
import { usePreferences } from '@/data/preferences';
import { useEffort, useTasks } from '@/data/tasks';
import { EffortLine } from '@/features/tasks/EffortLine';
import { TaskLine } from '@/features/tasks/TaskLine';
import { PanelFrame } from '@/ui/PanelFrame';

/** What is to be done, over a sheet that it can be dragged onto. */
export function TasksPanel({ onClose }: { onClose(): void }) {
  const { clock } = usePreferences();
  const router = useRouter();
  const { data: rows } = useTasks(EMPTY_FILTER);
  const { data: effort } = useEffort(EMPTY_FILTER);
  const open = rows?.flatMap(({ task }) => (isOpen(task) ? [task] : [])) ?? [];
  return (
    <PanelFrame
      title="To do"
      onClose={onClose}
      footer={<Button onPress={() => router.navigate('/tasks')}>All tasks</Button>}
    >
      {effort && <EffortLine effort={effort} />}
      {rows && open.length === 0 && (
        <Text>There is nothing to do. Tasks that are due stand here.</Text>
      )}
      <View role="list" aria-label="To do">
        {inTaskOrder(open, 'due', clock).map((task) => (
          <TaskLine key={task.id} task={task} onOpen={() => openTask(task.id)} />
        ))}
      </View>
    </PanelFrame>
  );
}
