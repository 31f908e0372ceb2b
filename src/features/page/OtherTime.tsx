import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { isOpen } from '@/core/model/task';
import { openPoints } from '@/core/page/points';
import { count, DATED_DAY, saySpan } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { openTask } from '@/data/openedTask';
import { pageAddress } from '@/data/pages';
import { usePreferences } from '@/data/preferences';
import type { EventPage, Time } from '@/engine/pages/pages';
import { TaskLine } from '@/features/tasks/TaskLine';
import { Card } from '@/ui/Card';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  page: EventPage;
  time: Time;
  which: 'last' | 'next';
}

/** The time before or after this one of a series, with what was left open. */
export function OtherTime({ page, time, which }: Props) {
  const palette = usePalette();
  const router = useRouter();
  const act = useDo();
  const { wording } = usePreferences();
  const { occurrence: o, date, followUps } = time;
  const open = openPoints(which === 'last' ? date.agenda : page.date.agenda);
  const tasks = followUps.flatMap(({ task }) => (isOpen(task) ? [task] : []));
  const isLast = which === 'last';
  const [from, to] = isLast ? [o, page.occurrence] : [page.occurrence, o];
  const carry = () =>
    void act({
      kind: 'carryPoints',
      id: page.event.id,
      fromKey: from.dateKey!,
      toKey: to.dateKey!,
    });
  return (
    <Card title={isLast ? 'Last time' : 'Next time'}>
      <View style={styles.head}>
        <Text style={styles.when}>{saySpan(o, wording, DATED_DAY)}</Text>
        <Button compact onPress={() => router.navigate(pageAddress(o.id))}>
          {isLast ? 'Its page' : 'Go there'}
        </Button>
      </View>
      {isLast && open.length > 0 && (
        <View role="list" aria-label="Left open last time">
          {open.map(({ id, text }) => (
            <Text key={id} role="listitem">
              · {text}
            </Text>
          ))}
        </View>
      )}
      {isLast && tasks.length > 0 && (
        <View role="list" aria-label="Follow-ups of last time">
          {tasks.map((task) => (
            <TaskLine key={task.id} task={task} onOpen={() => openTask(task.id)} />
          ))}
        </View>
      )}
      {isLast && !open.length && !tasks.length && (
        <Text style={{ color: palette.dim }}>Nothing was left open.</Text>
      )}
      {!isLast && date.agenda.length > 0 && (
        <Text style={{ color: palette.dim }}>{`${count(date.agenda.length, 'point')} so far`}</Text>
      )}
      {open.length > 0 && (
        <Button mode="outlined" icon="arrow-right" style={styles.start} onPress={carry}>
          {isLast
            ? `Carry ${count(open.length, 'open point')} on to this time`
            : `Carry ${count(open.length, 'open point')} on to it`}
        </Button>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  when: { flex: 1, fontWeight: '600' },
  start: { alignSelf: 'flex-start' },
});
