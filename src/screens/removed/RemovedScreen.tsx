import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { wallOnClock } from '@/core/editing/times';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import type { Task } from '@/core/model/task';
import { formatTask } from '@/core/tasks/formatTask';
import { count, DATED_DAY, joinWords, saySpan } from '@/core/time/words';
import { titleOf } from '@/core/model/titleOf';
import { useDo } from '@/data/commands';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useRemoved, useRemovedCalendars } from '@/data/queries';
import { useRemovedTasks } from '@/data/tasks';
import { useTaskWording } from '@/features/tasks/useTaskWording';
import { HelpMark } from '@/features/help/HelpMark';
import { Card } from '@/ui/Card';
import { Dialog } from '@/ui/Dialog';
import { Mark } from '@/ui/Mark';
import { Page } from '@/ui/Page';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { describeError } from '@/core/userError';

/** Rows shown at once; bringing some back or clearing shows the others. */
const ROWS = 200;
function RemovedRow({ event }: { event: CalendarEvent }) {
  const palette = usePalette();
  const { wording, clock } = usePreferences();
  const act = useDo();
  const calendar = useCalendars().find(({ id }) => id === event.calendarId);
  const span = {
    start: wallOnClock(event.start, clock),
    end: wallOnClock(event.end, clock),
    wholeDay: event.start.kind === 'date',
  };
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.hairline }]}>
      {calendar && (
        <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={14} />
      )}
      <View style={styles.text}>
        <Text style={styles.title}>{titleOf(event)}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {saySpan(span, wording, DATED_DAY)}
          {isSeries(event) ? ' · all dates of a series' : ''}
        </Text>
      </View>
      <Button
        icon="restore"
        onPress={() => void act({ kind: 'bringBackEvents', ids: [event.id] })}
        accessibilityLabel={`Bring back ${titleOf(event)}`}
      >
        Bring back
      </Button>
    </View>
  );
}

function RemovedTaskRow({ task }: { task: Task }) {
  const palette = usePalette();
  const act = useDo();
  const wording = useTaskWording();
  const calendar = useCalendars().find(({ id }) => id === task.calendarId);
  return (
    <View role="listitem" style={[styles.row, { borderColor: palette.hairline }]}>
      {calendar && (
        <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={14} />
      )}
      <View style={styles.text}>
        <Text style={styles.title}>{titleOf(task)}</Text>
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {formatTask(task, wording) || 'a task without a day'}
        </Text>
      </View>
      <Button
        icon="restore"
        onPress={() => void act({ kind: 'bringBackTasks', ids: [task.id] })}
        accessibilityLabel={`Bring back ${titleOf(task)}`}
      >
        Bring back
      </Button>
    </View>
  );
}

/** Where removed events wait until they are brought back or cleared. */
export function RemovedScreen() {
  const { data: removed = [] } = useRemoved();
  const { data: calendars = [] } = useRemovedCalendars();
  const { data: tasks = [] } = useRemovedTasks();
  const act = useDo();
  const { engine } = useEngine();
  const { say, complain } = useMessages();
  const [isAsking, setAsking] = useState(false);
  const palette = usePalette();

  const what = joinWords([
    ...(removed.length ? [count(removed.length, 'event')] : []),
    ...(tasks.length ? [count(tasks.length, 'task')] : []),
    ...(calendars.length ? [count(calendars.length, 'calendar')] : []),
  ]);

  async function clear() {
    setAsking(false);
    try {
      await engine?.commands.clearRemoved(Date.now());
      say(`Cleared ${what} for good.`);
    } catch (error) {
      complain(`They could not be cleared. ${describeError(error)}`);
    }
  }

  return (
    <Page title="Removed" mark={<HelpMark topic="undo" about="what was removed" />}>
      {calendars.length > 0 && (
        <Card title="Calendars">
          <View role="list" aria-label="Removed calendars">
            {calendars.map(({ calendar, events }) => (
              <View
                key={calendar.id}
                role="listitem"
                style={[styles.row, { borderColor: palette.hairline }]}
              >
                <Mark
                  mark={calendar.mark}
                  colour={inkColours(calendar.ink, palette).edge}
                  size={14}
                />
                <View style={styles.text}>
                  <Text style={styles.title}>{calendar.name}</Text>
                  <Text variant="bodySmall" style={{ color: palette.dim }}>
                    {count(events, 'event')} went with it
                  </Text>
                </View>
                <Button
                  icon="restore"
                  accessibilityLabel={`Bring back ${calendar.name}`}
                  onPress={() => void act({ kind: 'bringBackCalendar', id: calendar.id })}
                >
                  Bring back
                </Button>
              </View>
            ))}
          </View>
        </Card>
      )}
      {what === '' ? (
        <Text>Nothing is here. What you remove waits here until you bring it back.</Text>
      ) : (
        <Card>
          <View style={styles.buttons}>
            {removed.length > 0 && (
              <Button
                mode="outlined"
                icon="restore"
                onPress={() =>
                  void act({ kind: 'bringBackEvents', ids: removed.map(({ id }) => id) })
                }
              >
                {removed.length === 1
                  ? 'Bring it back'
                  : `Bring back all ${removed.length.toLocaleString('en')}`}
              </Button>
            )}
            <Button icon="trash-can-outline" onPress={() => setAsking(true)}>
              Clear for good…
            </Button>
          </View>
          {removed.length > 0 && (
            <View role="list" aria-label="Removed events">
              {removed.slice(0, ROWS).map((event) => (
                <RemovedRow key={event.id} event={event} />
              ))}
            </View>
          )}
          {tasks.length > 0 && (
            <View role="list" aria-label="Removed tasks">
              {tasks.slice(0, ROWS).map((task) => (
                <RemovedTaskRow key={task.id} task={task} />
              ))}
            </View>
          )}
          {removed.length > ROWS && (
            <Text>… and {(removed.length - ROWS).toLocaleString('en')} more.</Text>
          )}
        </Card>
      )}
      {isAsking && (
        <Dialog
          title={`Clear ${what} for good?`}
          onClose={() => setAsking(false)}
          footer={
            <>
              <Button onPress={() => setAsking(false)}>Keep them</Button>
              <Button mode="contained" onPress={() => void clear()}>
                Clear for good
              </Button>
            </>
          }
        >
          <Text>They can’t be brought back after that, not by Undo either.</Text>
        </Dialog>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: 52, borderBottomWidth: 1 },
  text: { flex: 1, minWidth: 0 },
  title: { fontWeight: '500' },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
