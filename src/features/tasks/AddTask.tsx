import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { draftOf } from '@/core/editing/drafting';
import { newTask } from '@/core/model/task';
import { quotedTitle } from '@/core/model/titleOf';
import { asEventLine, startIn, taskOfJot } from '@/core/tasks/jotTask';
import { formatTask } from '@/core/tasks/formatTask';
import { dayOfWall } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { useDo } from '@/data/commands';
import { TASK_LINE } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import { useNow } from '@/data/now';
import { NO_CALENDAR, useOnceOpen } from '@/data/onceOpen';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { JotHints } from '@/features/now/JotHints';
import { TypedLine, useTypedLine } from '@/features/now/TypedLine';
import { useJot } from '@/features/now/useJot';
import { useTaskStart } from './useTaskStart';
import { useTaskWording } from './useTaskWording';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** The event that tasks are to belong to, and which of its dates. */
  of?: { eventId: string; eventDate: string | null; calendarId: string };
}

/** The name under which a line waits that was begun. */
const lineOf = (of: Props['of']) =>
  of ? `${TASK_LINE} of ${of.eventId}@${of.eventDate ?? ''}` : TASK_LINE;

/** One line that becomes a task; what it was understood to mean stands under it. */
export function AddTask({ of }: Props) {
  const preferences = usePreferences();
  const { clock, wording, settings, workdays } = preferences;
  const palette = usePalette();
  const act = useDo();
  const { say } = useMessages();
  const calendars = useCalendars();
  const categories = useCategories();
  const taskWording = useTaskWording();
  const [line, type] = useTypedLine(lineOf(of));
  const instant = useNow();
  const own = useMemo(
    () => calendars.filter(({ kind, listed }) => kind === 'own' && listed),
    [calendars],
  );
  const defaultCalendarId =
    of?.calendarId ?? calendarForNew(calendars, settings.defaultCalendarId)?.id ?? '';
  const day = dayOfWall(wallFromInstant(instant, clock));
  const setting = { day, calendars: own, defaultCalendarId, preferences };
  const parted = startIn(line);
  const start = useTaskStart(parted?.start, setting);
  const { notBefore } = start;
  const read = useJot(asEventLine(parted?.rest ?? line), { ...setting, notBefore });
  const { jot, span } = read;
  const calendar = own.find(({ id }) => id === jot.calendarId);
  const isGood = line.trim() !== '' && calendar !== undefined;

  function made(at: number) {
    const { repeat, zone, calendarId } = jot;
    const when = { span, repeat, clock, zone, workdays, now: at };
    const event = draftOf({ ...when, fields: { id: 'line', calendarId }, calendar });
    const belongs = of && {
      eventId: of.eventId,
      ...(of.eventDate !== null && { eventDate: of.eventDate }),
    };
    return newTask(
      { id: nanoid(12), ...taskOfJot(jot, event), start: start.at(at), ...belongs },
      at,
    );
  }
  async function keep() {
    if (line.trim() === '') return;
    if (!isGood) return say(NO_CALENDAR);
    if (await act({ kind: 'keepTask', before: null, task: made(instant) })) type('');
  }

  const keepOnceOpen = useOnceOpen(keep, line);

  const understood = isGood ? made(instant) : null;
  const labels = categories.filter(({ id }) => jot.categoryIds.includes(id));
  return (
    <View style={styles.all}>
      <TypedLine
        label={of ? 'What follows, and by when' : 'What is to be done, and by when'}
        placeholder="due Friday: order shellac, 30 min #Lamps"
        button={of ? 'Add follow-up' : 'Add task'}
        line={line}
        isGood={isGood}
        onType={type}
        onKeyPress={read.onKeyPress}
        onKeep={keepOnceOpen}
      />
      {understood && (
        <>
          <JotHints
            jot={{ ...read, guesses: [], title: jot.title, zone: jot.zone }}
            other={understood.due ? read.other : null}
            now={wallFromInstant(instant, clock)}
            wording={wording}
            onOther={read.takeOther}
          />
          <Text role="status" variant="bodySmall" style={{ color: palette.dim }}>
            {[
              quotedTitle(understood),
              formatTask(understood, taskWording) || 'without a day',
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
});
