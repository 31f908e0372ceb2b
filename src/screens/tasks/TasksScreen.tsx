import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { isOpen } from '@/core/model/task';
import { isOverdue } from '@/core/tasks/due';
import type { TaskGrouping, TaskOrder } from '@/core/tasks/groups';
import { groupTasks } from '@/core/tasks/groups';
import { sayLength } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { openTask } from '@/data/openedTask';
import { useNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useEffort, useTasks } from '@/data/tasks';
import type { TaskRow } from '@/engine/tasks/tasks';
import { PartChips } from '@/features/query/PartChips';
import { useFilterWording } from '@/features/query/useFilterWording';
import { AddTask } from '@/features/tasks/AddTask';
import { EffortLine } from '@/features/tasks/EffortLine';
import { PlaceLater } from '@/features/tasks/later';
import { TaskLine } from '@/features/tasks/TaskLine';
import { useTaskWording } from '@/features/tasks/useTaskWording';
import { HelpMark } from '@/features/help/HelpMark';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { Columns } from '@/ui/Columns';
import { Page } from '@/ui/Page';
import { ToggleChip } from '@/ui/ToggleChip';
import { useIsWide } from '@/ui/useIsWide';
import { ChangeTasksDialog } from './ChangeTasksDialog';
import type { TasksView } from './useTasksView';
import { useTasksView } from './useTasksView';

const GROUPINGS: { value: TaskGrouping; label: string }[] = [
  { value: 'due', label: 'Due' },
  { value: 'start', label: 'Start' },
  { value: 'calendar', label: 'Calendar' },
  { value: 'category', label: 'Category' },
  { value: 'event', label: 'Event' },
  { value: 'importance', label: 'Importance' },
];
const ORDERS: { value: TaskOrder; label: string }[] = [
  { value: 'due', label: 'Due' },
  { value: 'start', label: 'Start' },
  { value: 'importance', label: 'Importance' },
  { value: 'estimate', label: 'How long' },
  { value: 'title', label: 'Title' },
];
/** Parts of a question that tasks have nothing of. */
const NOT_FOR_TASKS = [
  ...(['availability', 'visibility', 'people', 'broughtIn', 'checks'] as const),
  ...(['weekdays', 'timeOfDay', 'length'] as const),
] as const;

function ViewCard({
  view,
  onChange,
}: {
  view: TasksView;
  onChange(fields: Partial<TasksView>): void;
}) {
  return (
    <Card>
      <Choice
        name="Put together by"
        value={view.grouping}
        options={GROUPINGS}
        onChoose={(grouping) => onChange({ grouping })}
      />
      <Choice
        name="In order of"
        value={view.order}
        options={ORDERS}
        onChoose={(order) => onChange({ order })}
      />
      <View style={styles.row}>
        <ToggleChip
          label="Done ones too"
          isOn={view.hasDone}
          onPress={() => onChange({ hasDone: !view.hasDone })}
        />
      </View>
    </Card>
  );
}

/** What is there: time given to it, and the event that it belongs to. */
function sayAround({ eventTitle, blockedAhead }: TaskRow): string {
  return [
    eventTitle === null ? '' : `of ${eventTitle}`,
    blockedAhead > 0 ? `${sayLength(blockedAhead)} given to it` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** What is to be done: listed, ticked, moved on, and given time. */
export function TasksScreen() {
  const router = useRouter();
  const { clock, firstWeekday } = usePreferences();
  const { today } = useTaskWording();
  const names = useFilterWording();
  const isWide = useIsWide();
  const now = useNow();
  const act = useDo();
  const [view, change] = useTasksView();
  const { data: rows } = useTasks(view.filter);
  const { data: effort } = useEffort(view.filter);
  const [changed, setChanged] = useState<readonly string[] | null>(null);
  const [placed, setPlaced] = useState<readonly TaskRow[] | null>(null);
  const shown = rows?.filter(({ task }) => view.hasDone || isOpen(task)) ?? [];
  const byId = new Map(shown.map((row) => [row.task.id, row]));
  const groups = groupTasks(
    shown.map(({ task }) => task),
    view.grouping,
    view.order,
    {
      now,
      today,
      clock,
      firstWeekday,
      calendarName: (id) => (id === undefined ? 'On no calendar' : names.calendarName(id)),
      categoryName: (id) => names.categoryName(id),
      eventTitle: (id) =>
        shown.find(({ task }) => task.eventId === id)?.eventTitle ?? 'a removed event',
    },
  );
  const open = shown.filter(({ task }) => isOpen(task));
  const overdue = open.flatMap(({ task }) => (isOverdue(task, now, clock) ? [task.id] : []));

  const list = (
    <>
      {rows && shown.length === 0 && (
        <Card>
          <Text>
            Nothing to do is listed here. Type a line above, for example “due Friday: order shellac,
            30 min”.
          </Text>
        </Card>
      )}
      {groups.map(({ name, tasks }) => (
        <Card key={name} title={`${name} · ${tasks.length}`}>
          <View role="list" aria-label={name}>
            {tasks.map((task) => (
              <TaskLine
                key={task.id}
                task={task}
                more={sayAround(byId.get(task.id)!)}
                onOpen={() => openTask(task.id)}
              />
            ))}
          </View>
        </Card>
      ))}
    </>
  );
  const side = (
    <>
      {effort && <EffortLine effort={effort} />}
      {overdue.length > 0 && (
        <Button
          mode="outlined"
          style={styles.start}
          onPress={() => void act({ kind: 'moveTasks', ids: overdue, day: today, clock })}
        >
          {`Move ${overdue.length} overdue to today`}
        </Button>
      )}
      <PartChips
        filter={view.filter}
        without={NOT_FOR_TASKS}
        hasPast={false}
        onFilter={(filter) => change({ filter })}
      />
    </>
  );
  const settings = <ViewCard view={view} onChange={change} />;
  return (
    <Page
      title="Tasks"
      isBroad
      mark={<HelpMark topic="tasks" about="tasks" />}
      actions={
        open.length > 0 && (
          <View style={styles.row}>
            <Button onPress={() => setChanged(open.map(({ task }) => task.id))}>
              Change these …
            </Button>
            <Button onPress={() => router.navigate('/print?what=tasks')}>Print…</Button>
            <Button mode="outlined" onPress={() => setPlaced(open)}>
              Find time
            </Button>
          </View>
        )
      }
    >
      <AddTask />
      {isWide ? (
        <Columns
          main={<View style={styles.column}>{list}</View>}
          side={
            <View style={styles.column}>
              {side}
              {settings}
            </View>
          }
        />
      ) : (
        <>
          {side}
          {list}
          {rows && settings}
        </>
      )}
      {changed && <ChangeTasksDialog ids={changed} onClose={() => setChanged(null)} />}
      {placed && <PlaceLater rows={placed} onClose={() => setPlaced(null)} />}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  column: { gap: 16 },
  start: { alignSelf: 'flex-start' },
});
