import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Task } from '@/core/model/task';
import { formatTask } from '@/core/tasks/formatTask';
import { useTaskWording } from '@/features/tasks/useTaskWording';

interface Props {
  /** What the line would be as a task. */
  task: Task;
  isTask: boolean;
  onChoose(isTask: boolean): void;
}

/** A line that may be a task as well as an event: which of the two it is to become. */
export function AsTask({ task, isTask, onChoose }: Props) {
  const wording = useTaskWording();
  const says = ['A task', formatTask(task, wording) || 'without a day'].join(': ');
  return (
    <View style={styles.line}>
      {isTask && (
        <Text role="status" variant="bodySmall">
          {says}
        </Text>
      )}
      <Button compact onPress={() => onChoose(!isTask)}>
        {isTask ? 'Add as an event' : 'Add as a task'}
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});
