import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { titleOf } from '@/core/model/titleOf';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useAskingTasks } from '@/data/tasks';
import type { TaskRow } from '@/engine/tasks/tasks';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';
import { PlaceLater } from './later';

/** Where a task that was worked on is thought to stand when only half of it is done, in percent. */
const HALF = 50;

/** When time for a task is over: how it stands. On every screen, until that is said. */
export function StandingBar() {
  const palette = usePalette();
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
        <View
          role="region"
          aria-label="How a task stands"
          style={[
            styles.bar,
            { backgroundColor: palette.accentWash, borderColor: palette.hairline },
          ]}
        >
          <Icon name="checkbox-marked-outline" size={20} color={palette.accent} />
          <Text style={styles.text}>
            {`The time for “${titleOf(row.task)}” is over. How does it stand?`}
            {asking.length > 1 ? ` ${asking.length - 1} more to say.` : ''}
          </Text>
          <View style={styles.buttons}>
            <Button
              compact
              mode="contained-tonal"
              onPress={() =>
                void act({ kind: 'tickTasks', ids: [row.task.id], isDone: true, clock })
              }
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
          </View>
        </View>
      )}
      {placed && <PlaceLater rows={[placed]} onClose={() => setPlaced(null)} />}
    </>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 10,
    borderBottomWidth: 1,
    paddingHorizontal: 14,
    paddingVertical: 6,
  },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, marginLeft: 'auto' },
});
