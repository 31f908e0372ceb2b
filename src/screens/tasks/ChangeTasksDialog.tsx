import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, HelperText } from 'react-native-paper';
import type { BulkStep } from '@/core/model/bulkSteps';
import { FOR_TASKS } from '@/core/tasks/bulkTasks';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { useTaskPreview } from '@/data/tasks';
import { isReady } from '@/features/steps/newStep';
import { PreviewLater } from '@/features/steps/later';
import { StepsCard } from '@/features/steps/StepsCard';
import { Dialog } from '@/ui/Dialog';
import { describeError } from '@/core/userError';

interface Props {
  ids: readonly string[];
  onClose(): void;
}

/** Does several things to all tasks that are listed, as one change: first all of it is looked at. */
export function ChangeTasksDialog({ ids, onClose }: Props) {
  const preferences = usePreferences();
  const act = useDo();
  const calendars = useCalendars();
  const categories = useCategories();
  const [steps, setSteps] = useState<BulkStep[]>([]);
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  const ready = steps.filter(isReady);
  const { data: preview, error } = useTaskPreview(ids, useDeferredValue(ready));
  const meant = ids.filter((id) => !leftOut.has(id));
  const changed =
    ready.length && preview && !error
      ? preview.lines.filter(({ id, isChanged }) => isChanged && !leftOut.has(id)).length +
        Math.max(0, preview.changed - preview.lines.filter(({ isChanged }) => isChanged).length)
      : 0;

  function leaveOut(id: string, isOut: boolean) {
    const next = new Set(leftOut);
    if (isOut) next.add(id);
    else next.delete(id);
    setLeftOut(next);
  }
  async function keep() {
    const { clock } = preferences;
    if (await act({ kind: 'changeTasks', ids: meant, steps: ready, clock })) onClose();
  }

  return (
    <Dialog
      title={`Change ${count(ids.length, 'task')}`}
      onClose={onClose}
      footer={
        <Button mode="contained" disabled={changed === 0} onPress={() => void keep()}>
          {changed ? `Change ${count(changed, 'task')}` : 'Change'}
        </Button>
      }
    >
      <View style={styles.all}>
        <StepsCard
          steps={steps}
          setting={{ preferences, calendars, categories }}
          kinds={FOR_TASKS}
          // A dialog that opens together with the one around it would lie under it.
          isChoiceOpen={false}
          onSteps={setSteps}
        />
        {error && (
          <HelperText type="error" role="alert" padding="none">
            {describeError(error)}
          </HelperText>
        )}
        {ready.length > 0 && preview && !error && (
          <PreviewLater preview={preview} leftOut={leftOut} onLeaveOut={leaveOut} />
        )}
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 10, width: 'min(84vw, 560px)' } as object,
});
