import { useState } from 'react';
import { View } from 'react-native';
import type { Task } from '@/core/model/task';
import { isOpen } from '@/core/model/task';
import { titleOf } from '@/core/model/titleOf';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { openTask } from '@/data/openedTask';
import { usePreferences } from '@/data/preferences';
import { TaskLine } from '@/features/tasks/TaskLine';
import { Dialog } from '@/ui/Dialog';
import { usePalette } from '@/ui/theme/theme';
import type { Box } from './Ghost';

/** Room that the title of a task takes at least, in px; with less for each only their number is said. */
const LEAST_ROOM = 110;

/** The quiet line of a day: what is due on it, to be ticked there; where that is too much, how many. */
export function TaskBar({ at, tasks }: { at: Box; tasks: readonly Task[] }) {
  const palette = usePalette();
  const act = useDo();
  const { clock } = usePreferences();
  const [isListed, setListed] = useState(false);
  const open = tasks.filter(isOpen);
  const fits = Math.floor(at.width / LEAST_ROOM);
  const shown = fits >= tasks.length ? tasks : fits > 1 ? tasks.slice(0, fits - 1) : [];
  const left = tasks.length - shown.length;
  return (
    <div
      data-nodrag
      role="group"
      aria-label={`${count(open.length, 'task')} to do`}
      className="sheet-tasks"
      style={{ ...at, color: palette.dim }}
    >
      {shown.map((task) => (
        <span key={task.id} className="sheet-task">
          <label className="sheet-tick">
            <input
              type="checkbox"
              aria-label={`Done: ${titleOf(task)}`}
              checked={task.status === 'done'}
              onChange={(event) =>
                void act({
                  kind: 'tickTasks',
                  ids: [task.id],
                  isDone: event.target.checked,
                  clock,
                })
              }
            />
          </label>
          <button
            type="button"
            onClick={() => openTask(task.id)}
            style={isOpen(task) ? undefined : { textDecoration: 'line-through' }}
          >
            {titleOf(task)}
          </button>
        </span>
      ))}
      {left > 0 && (
        <button
          type="button"
          aria-haspopup="dialog"
          className="sheet-task-count"
          onClick={() => setListed(true)}
        >
          <span>{shown.length ? left : open.length}</span>{' '}
          <span>{shown.length ? 'more' : 'to do'}</span>
        </button>
      )}
      {isListed && (
        <Dialog title="To do by this day" onClose={() => setListed(false)}>
          <View role="list" aria-label="To do by this day">
            {tasks.map((task) => (
              <TaskLine
                key={task.id}
                task={task}
                onOpen={() => {
                  setListed(false);
                  openTask(task.id);
                }}
              />
            ))}
          </View>
        </Dialog>
      )}
    </div>
  );
}
