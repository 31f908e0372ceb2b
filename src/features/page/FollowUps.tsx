import { Text } from 'react-native-paper';
import { View } from 'react-native';
import { inTaskOrder } from '@/core/tasks/groups';
import { openTask } from '@/data/openedTask';
import { usePreferences } from '@/data/preferences';
import type { EventPage } from '@/engine/pages/pages';
import { AddTask } from '@/features/tasks/AddTask';
import { TaskLine } from '@/features/tasks/TaskLine';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

/** What is to be done after an event: tasks that belong to it. */
export function FollowUps({ page }: { page: EventPage }) {
  const palette = usePalette();
  const { clock } = usePreferences();
  const { followUps, occurrence, event } = page;
  const tasks = inTaskOrder(
    followUps.map(({ task }) => task),
    'due',
    clock,
  );
  return (
    <Card title="Follow-ups">
      {tasks.length > 0 ? (
        <View role="list" aria-label="Follow-ups">
          {tasks.map((task) => (
            <TaskLine key={task.id} task={task} onOpen={() => openTask(task.id)} />
          ))}
        </View>
      ) : (
        <Text style={{ color: palette.dim }}>
          Nothing follows from it yet. What you add here becomes a task.
        </Text>
      )}
      <AddTask
        of={{ eventId: event.id, eventDate: occurrence.dateKey, calendarId: event.calendarId }}
      />
    </Card>
  );
}
