import { useState } from 'react';
import { Button } from 'react-native-paper';
import { titleOf } from '@/core/model/titleOf';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useAskingTasks } from '@/data/tasks';
import type { TaskRow } from '@/engine/tasks/tasks';
import { AskBar } from '@/ui/AskBar';
import { PlaceLater } from './later';

/** Where a task that was worked on is thought to stand when only half of it is done, in percent. */
const HALF = 50;

/** When time for a task is over: how it stands. On every screen, until that is said. */
export function StandingBar() {
  const act = useDo();
  const { clock } = usePreferences();
  const { data: asking = [] } = useAskingTasks();
  const [placed, setPlaced] = useState<TaskRow | null>(null);
  const [row] = asking;
  const stands = (percent: number) =>
    row && act({ kind: 'sayTaskStands', id: row.task.id, percent });

  async function moreTime() {
    if (row && (await stands(row.task.percent))) setPlaced(row);
  }
  return (
    <>
      {row && (
        <AskBar
          name="How a task stands"
          icon="checkbox-marked-outline"
          text={`The time for “${titleOf(row.task)}” is over. How does it stand?`}
          more={asking.length - 1}
        >
          <Button
            compact
            mode="contained-tonal"
            onPress={() => void act({ kind: 'tickTasks', ids: [row.task.id], isDone: true, clock })}
          >
            It is done
          </Button>
          <Button compact onPress={() => void stands(Math.max(HALF, row.task.percent))}>
            Half of it
          </Button>
          <Button compact onPress={() => void stands(row.task.percent)}>
            Not yet
          </Button>
          <Button compact onPress={() => void moreTime()}>
            It needs more time
          </Button>
        </AskBar>
      )}
      {placed && <PlaceLater rows={[placed]} onClose={() => setPlaced(null)} />}
    </>
  );
}
