import { closeTask, useOpenedTask } from '@/data/openedTask';
import { useTaskRow } from '@/data/tasks';
import { TaskDialog } from './TaskDialog';

/** The task that was opened, over whichever screen. */
export function OpenedTask() {
  const id = useOpenedTask();
  const { data: row } = useTaskRow(id);
  if (id === null || !row) return null;
  return <TaskDialog key={id} row={row} onClose={closeTask} />;
}
