import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { dayOf, wallOf } from '@/core/model/common';
import { importanceOf, withImportance } from '@/core/model/importance';
import type { Task } from '@/core/model/task';
import { anchorOf } from '@/core/tasks/asEvent';
import { repeatOfTask, withTaskRepeat } from '@/core/tasks/repeatTask';
import { sayTaskTime } from '@/core/tasks/formatTask';
import { dayOfWall, MINUTE } from '@/core/time/civil';
import { sayLength } from '@/core/time/words';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories, useEvent } from '@/data/queries';
import type { TaskRow } from '@/engine/tasks/tasks';
import { IMPORTANCE_CHOICES } from '@/features/event/choices';
import { EventPicker } from '@/features/event/EventPicker';
import { RepeatFields } from '@/features/event/RepeatFields';
import { ReminderList } from '@/features/reminders/ReminderList';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { CategoryChips } from '@/ui/CategoryChips';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { NumberField } from '@/ui/NumberField';
import { TextField } from '@/ui/TextField';
import { TaskTimeField } from './TaskTimeField';
import { useTaskWording } from './useTaskWording';

interface Props {
  row: TaskRow;
  onClose(): void;
}

/** Minutes that a task is thought to take when that is first asked. */
const FIRST_ESTIMATE = 30;
const MOST_MINUTES = 6000;

/** Where a task has its blocks of time, each a press away. */
function Blocks({ row, onClose }: Props) {
  const { blocks } = row;
  const wording = useTaskWording();
  const askSheet = useAskSheet();
  if (!blocks.length) return null;
  return (
    <View role="list" aria-label="Its time on the sheet">
      {blocks.map(({ id, start, end }) => (
        <View key={id} role="listitem">
          <Button
            compact
            style={styles.start}
            onPress={() => {
              onClose();
              askSheet({ kind: 'event', id, uncovers: true });
            }}
          >
            {`Time for it ${sayTaskTime(start, wording)}, ${sayLength((wallOf(end) - wallOf(start)) / MINUTE)}`}
          </Button>
        </View>
      ))}
    </View>
  );
}

/** The event that a task belongs to, and the way to another one. */
function Belonging({
  row,
  eventId,
  onChange,
}: Pick<Props, 'row'> & {
  eventId: string | undefined;
  onChange(fields: Pick<Task, 'eventId' | 'eventDate'>): void;
}) {
  const [isOpen, setOpen] = useState(false);
  const { data: event } = useEvent(eventId ?? null);
  const title = eventId === row.task.eventId ? row.eventTitle : (event?.title ?? null);
  const choose = (id: string | undefined) =>
    // The date that it was of is one of the other event.
    onChange({ eventId: id, eventDate: id === row.task.eventId ? row.task.eventDate : undefined });
  return (
    <View>
      <View style={styles.belonging}>
        <Text variant="bodySmall" style={styles.grow}>
          {eventId === undefined ? 'Of no event' : `Of “${title ?? 'a removed event'}”`}
        </Text>
        {eventId !== undefined && (
          <Button compact onPress={() => choose(undefined)}>
            Of none
          </Button>
        )}
        <Button compact onPress={() => setOpen((last) => !last)}>
          {isOpen ? 'Close' : 'Of an event…'}
        </Button>
      </View>
      {isOpen && (
        <EventPicker
          isOne
          chosen={eventId === undefined ? [] : [eventId]}
          onChange={([id]) => choose(id)}
        />
      )}
    </View>
  );
}

/** A task with all that it has, to be changed. */
export function TaskDialog({ row, onClose }: Props) {
  const { task: before } = row;
  const preferences = usePreferences();
  const { clock, workdays } = preferences;
  const act = useDo();
  const calendars = useCalendars().filter(({ kind }) => kind === 'own');
  const categories = useCategories();
  const today = dayOfWall(useWallNow(clock));
  const [task, setTask] = useState(before);
  const set = (fields: Partial<Task>) => setTask((now) => ({ ...now, ...fields }));
  const anchor = anchorOf(task);
  const isChanged = JSON.stringify(task) !== JSON.stringify(before);

  async function keep() {
    if (!isChanged) return onClose();
    if (await act({ kind: 'keepTask', before, task })) onClose();
  }
  async function remove() {
    if (await act({ kind: 'removeTasks', ids: [before.id] })) onClose();
  }

  return (
    <Dialog
      title={before.title.trim() || 'Untitled'}
      onClose={onClose}
      footer={
        <>
          <Button onPress={() => void remove()}>Remove</Button>
          <Button mode="contained" onPress={() => void keep()}>
            Keep
          </Button>
        </>
      }
    >
      <View style={styles.fields}>
        <TextField
          label="What is to be done"
          value={task.title}
          onChangeText={(title) => set({ title })}
        />
        <Belonging row={row} eventId={task.eventId} onChange={set} />
        <TaskTimeField
          label="Due"
          time={task.due}
          firstDay={today}
          preferences={preferences}
          onChange={(due) => set({ due })}
        />
        <TaskTimeField
          label="From"
          time={task.start}
          firstDay={today}
          preferences={preferences}
          onChange={(start) => set({ start })}
        />
        <Check
          label="I know about how long it takes"
          isOn={task.estimate !== null}
          onChange={(isOn) => set({ estimate: isOn ? FIRST_ESTIMATE : null })}
        />
        {task.estimate !== null && (
          <NumberField
            label="It takes"
            value={task.estimate}
            min={1}
            max={MOST_MINUTES}
            unit="min"
            onChange={(estimate) => set({ estimate })}
          />
        )}
        <NumberField
          label="Done so far"
          value={task.percent}
          min={0}
          max={100}
          unit="%"
          onChange={(percent) => set({ percent, status: percent > 0 ? 'started' : 'open' })}
        />
        <Blocks row={row} onClose={onClose} />
        <Choice
          name="Importance"
          value={importanceOf(task.importance)}
          options={IMPORTANCE_CHOICES}
          onChoose={(value) => set({ importance: withImportance(value, task.importance) })}
        />
        <Text variant="bodySmall">Calendar</Text>
        <CalendarChoice
          calendars={calendars}
          chosenId={task.calendarId ?? ''}
          onChoose={(calendarId) => set({ calendarId })}
        />
        {categories.length > 0 && (
          <CategoryChips
            categories={categories}
            chosen={task.categoryIds}
            onChange={(categoryIds) => set({ categoryIds })}
          />
        )}
        {anchor && (
          <>
            <RepeatFields
              repeat={repeatOfTask(task, workdays)}
              day={dayOf(anchor)}
              preferences={preferences}
              onChange={(repeat) => setTask(withTaskRepeat(task, repeat, workdays))}
            />
            <ReminderList
              name="Reminders"
              reminders={task.reminders}
              begin={{ wholeDay: anchor.kind === 'date', start: wallOf(anchor) }}
              preferences={preferences}
              onChange={(reminders) => set({ reminders })}
            />
          </>
        )}
        <TextField
          label="Notes"
          value={task.notes}
          multiline
          onChangeText={(notes) => set({ notes })}
        />
        <TextField label="Link" value={task.link} onChangeText={(link) => set({ link })} />
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  belonging: { flexDirection: 'row', alignItems: 'center' },
  grow: { flex: 1 },
  fields: { gap: 10, width: 'min(84vw, 520px)' } as object,
  start: { alignSelf: 'flex-start' },
});
