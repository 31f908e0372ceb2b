import { closeTask, useOpenedTask } from '@/data/openedTask';
import { useTaskRow } from '@/data/tasks';
import { TaskLater } from './later';

/** The task that was opened, over whichever screen. */
export function OpenedTask() {
  const id = useOpenedTask();
  const { data: row } = useTaskRow(id);
  if (id === null || !row) return null;
  return <TaskLater key={id} row={row} onClose={closeTask} />;
}
