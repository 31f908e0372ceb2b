import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Task } from '@/core/model/task';
import { importanceOf } from '@/core/model/importance';
import { titleOf } from '@/core/model/titleOf';
import { isOverdue } from '@/core/tasks/due';
import { formatTask } from '@/core/tasks/formatTask';
import { useDo } from '@/data/commands';
import { useNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { useHasSheetTarget } from '@/data/sheetTarget';
import { CategoryDot } from '@/ui/CategoryDot';
import { Check } from '@/ui/Check';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { TaskHandle } from './TaskHandle';
import { useTaskWording } from './useTaskWording';

interface Props {
  task: Task;
  /** What else is to be told of it, in a few words. */
  more?: string | undefined;
  /** Whether there is only room for its title. */
  isTight?: boolean;
  onOpen(): void;
}

/** One task: ticked by its box, opened by a press on the rest. */
export function TaskLine({ task, more, isTight = false, onOpen }: Props) {
  const palette = usePalette();
  const { clock } = usePreferences();
  const act = useDo();
  const hasSheet = useHasSheetTarget();
  const wording = useTaskWording();
  const calendars = useCalendars();
  const categories = useCategories();
  const late = isOverdue(task, useNow(), clock);
  const isDone = task.status === 'done' || task.status === 'dropped';
  const title = titleOf(task);
  const calendar = calendars.find(({ id }) => id === task.calendarId);
  const labels = categories.filter(({ id }) => task.categoryIds.includes(id));
  const said = [formatTask(task, wording), more].filter(Boolean).join(' · ');
  return (
    <View
      role="listitem"
      aria-label={title}
      style={[styles.line, isTight && styles.tight, { borderColor: palette.hairline }]}
    >
      {hasSheet && !isDone && !isTight && <TaskHandle task={task} />}
      <Check
        label={`Done: ${title}`}
        isLabelHidden
        isOn={task.status === 'done'}
        onChange={(isOn) => void act({ kind: 'tickTasks', ids: [task.id], isDone: isOn, clock })}
      />
      <Pressable
        role="button"
        aria-label={[title, said, late ? 'overdue' : ''].filter(Boolean).join(', ')}
        onPress={onOpen}
        style={styles.rest}
      >
        <View style={styles.head}>
          {calendar && (
            <Mark mark={calendar.mark} colour={inkColours(calendar.ink, palette).edge} size={12} />
          )}
          {importanceOf(task.importance) === 'high' && (
            <Icon name="alert-outline" size={16} color={palette.amber} />
          )}
          <Text
            numberOfLines={2}
            style={[styles.title, isDone && { ...styles.done, color: palette.dim }]}
          >
            {title}
          </Text>
          {labels.map((category) => (
            <CategoryDot key={category.id} ink={category.ink} size={12} />
          ))}
          {task.rule !== undefined && <Icon name="repeat" size={14} color={palette.dim} />}
        </View>
        {!isTight && said !== '' && (
          <Text variant="bodySmall" style={{ color: late ? palette.brick : palette.dim }}>
            {said}
          </Text>
        )}
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    minHeight: 44,
    borderBottomWidth: 1,
  },
  tight: { minHeight: 32, borderBottomWidth: 0 },
  rest: { flex: 1, minWidth: 0, paddingVertical: 6, minHeight: 40, justifyContent: 'center' },
  head: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  title: { flexShrink: 1, fontWeight: '500' },
  done: { textDecorationLine: 'line-through', fontWeight: '400' },
});
