import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { draftOf } from '@/core/editing/drafting';
import { newTask } from '@/core/model/task';
import { asEventLine, taskOfJot } from '@/core/tasks/jotTask';
import { sayTask } from '@/core/tasks/sayTask';
import { dayOfWall } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { TASK_LINE, useDraft } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import { useNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { JotHints } from '@/features/now/JotHints';
import { useJot } from '@/features/now/useJot';
import { useTaskWording } from '@/features/tasks/useTaskWording';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';

/** One line that becomes a task; what it was understood to mean stands under it. */
export function AddTask() {
  const preferences = usePreferences();
  const { clock, wording, settings, workdays } = preferences;
  const palette = usePalette();
  const act = useDo();
  const { say } = useMessages();
  const calendars = useCalendars();
  const categories = useCategories();
  const taskWording = useTaskWording();
  const { draft, keep: putBy, drop } = useDraft(TASK_LINE);
  const [line, setLine] = useState(draft?.title ?? '');
  const instant = useNow();
  const own = useMemo(
    () => calendars.filter(({ kind, listed }) => kind === 'own' && listed),
    [calendars],
  );
  const defaultCalendarId = calendarForNew(calendars, settings.defaultCalendarId)?.id ?? '';
  const day = dayOfWall(wallFromInstant(instant, clock));
  const setting = { day, calendars: own, defaultCalendarId, preferences };
  const read = useJot(asEventLine(line), setting);
  const { jot, span } = read;
  const calendar = own.find(({ id }) => id === jot.calendarId);
  const isGood = line.trim() !== '' && calendar !== undefined;

  function type(next: string) {
    setLine(next);
    if (next.trim()) putBy({ title: next, values: null });
    else drop();
  }
  function made(at: number) {
    const { repeat, zone, calendarId } = jot;
    const when = { span, repeat, clock, zone, workdays, now: at };
    const event = draftOf({ ...when, fields: { id: 'line', calendarId }, calendar });
    return newTask({ id: nanoid(12), ...taskOfJot(jot, event) }, at);
  }
  async function keep() {
    if (line.trim() === '') return;
    if (!isGood) return say('Your calendars are still being opened. Try again in a moment.');
    if (await act({ kind: 'keepTask', before: null, task: made(instant) })) type('');
  }

  const understood = isGood ? made(instant) : null;
  const labels = categories.filter(({ id }) => jot.categoryIds.includes(id));
  return (
    <View style={styles.all}>
      <View style={styles.line}>
        <TextField
          label="What is to be done, and by when"
          placeholder="due Friday: order shellac, 30 min #Lamps"
          value={line}
          onChangeText={type}
          onKeyPress={read.onKeyPress}
          onSubmitEditing={() => void keep()}
          style={styles.field}
        />
        <Button mode="contained" disabled={!isGood} onPress={() => void keep()}>
          Add task
        </Button>
      </View>
      {understood && (
        <>
          <JotHints
            jot={{ title: jot.title, problems: read.problems }}
            other={understood.due ? read.other : null}
            now={wallFromInstant(instant, clock)}
            wording={wording}
            onOther={read.takeOther}
          />
          <Text role="status" variant="bodySmall" style={{ color: palette.dim }}>
            {[
              `“${understood.title || 'Untitled'}”`,
              sayTask(understood, taskWording) || 'without a day',
              calendar?.name,
              ...labels.map(({ name }) => name),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, flexWrap: 'wrap' },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 220 },
});
