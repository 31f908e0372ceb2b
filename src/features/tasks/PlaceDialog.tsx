import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { calendarForNew } from '@/core/calendars/showing';
import { titleOf } from '@/core/model/titleOf';
import type { Block } from '@/core/tasks/placing';
import { sayNearDay } from '@/core/tasks/formatTask';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import { count, sayLength, sayMinute } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import { usePlacing } from '@/data/tasks';
import type { TaskRow } from '@/engine/tasks/tasks';
import { useTaskWording } from '@/features/tasks/useTaskWording';
import { Check } from '@/ui/Check';
import { DayField } from '@/ui/DayField';
import { Dialog } from '@/ui/Dialog';
import { NumberField } from '@/ui/NumberField';
import { ToggleGroup } from '@/ui/ToggleGroup';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  rows: readonly TaskRow[];
  onClose(): void;
}

/** How far ahead time is looked for at first, in days. */
const AHEAD = 13;
/** Minutes for a task of which nobody said how long it takes. */
const USUAL = 30;

const keyOf = ({ taskId, start }: Block) => `${taskId} ${start}`;

/** Clear time for tasks as it could be given to them: each block can be left out, then all are kept at once. */
export function PlaceDialog({ rows, onClose }: Props) {
  const preferences = usePreferences();
  const { clock, wording, firstWeekday, settings } = preferences;
  const palette = usePalette();
  const act = useDo();
  const calendars = useCalendars();
  const taskWording = useTaskWording();
  const [toDay, setToDay] = useState(taskWording.today + AHEAD);
  const [hours, setHours] = useState(4);
  const [workplaces, setWorkplaces] = useState<string[]>([]);
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  const { data: placing } = usePlacing({
    taskIds: rows.map(({ task }) => task.id),
    toDay,
    usual: USUAL,
    mostADay: hours * 60,
    workplaces,
  });
  const titles = new Map(rows.map(({ task }) => [task.id, titleOf(task)]));
  const places = [...new Set(settings.workweek.days.map(({ workplace }) => workplace))].filter(
    Boolean,
  );
  const chosen = placing?.blocks.filter((block) => !leftOut.has(keyOf(block))) ?? [];
  const at = (wall: number) => sayMinute(minuteOfDay(wall), wording.hourCycle);
  const said = (block: Block) =>
    `${sayNearDay(dayOfWall(block.start), taskWording)}, ${at(block.start)} – ${at(block.end)}`;

  function leave(block: Block, isIn: boolean) {
    const next = new Set(leftOut);
    if (isIn) next.delete(keyOf(block));
    else next.add(keyOf(block));
    setLeftOut(next);
  }
  async function keep() {
    const calendarId = calendarForNew(calendars, settings.defaultCalendarId)?.id ?? '';
    const blocks = chosen.map(({ taskId, start, end }) => ({ taskId, start, end }));
    if (await act({ kind: 'placeBlocks', blocks, calendarId, clock })) onClose();
  }

  return (
    <Dialog
      title={rows.length === 1 ? `Time for “${titleOf(rows[0]!.task)}”` : 'Find time'}
      onClose={onClose}
      footer={
        <Button mode="contained" disabled={!chosen.length} onPress={() => void keep()}>
          {chosen.length ? `Give time to ${count(chosen.length, 'block')}` : 'Nothing to keep'}
        </Button>
      }
    >
      <View style={styles.all}>
        <DayField
          label="Until"
          day={toDay}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={setToDay}
        />
        <NumberField
          label="Hours a day"
          value={hours}
          min={1}
          max={12}
          unit="h at most"
          onChange={setHours}
        />
        {places.length > 1 && (
          <ToggleGroup
            name="Only on days at"
            options={places.map((place) => ({ value: place, label: place }))}
            chosen={workplaces}
            onChange={setWorkplaces}
          />
        )}
        {placing && (
          <View role="list" aria-label="Time found">
            {placing.blocks.map((block) => (
              <View
                key={keyOf(block)}
                role="listitem"
                style={[styles.block, { borderColor: palette.hairline }]}
              >
                <Check
                  label={`${titles.get(block.taskId) ?? ''}: ${said(block)}`}
                  isOn={!leftOut.has(keyOf(block))}
                  onChange={(isIn) => leave(block, isIn)}
                />
                {block.isLate && (
                  <Text variant="bodySmall" style={{ color: palette.brick }}>
                    after it is due
                  </Text>
                )}
              </View>
            ))}
          </View>
        )}
        {placing && placing.blocks.length + placing.unplaced.length === 0 && (
          <Text>They have all the time that they need.</Text>
        )}
        {placing?.unplaced.map(({ taskId, minutes }) => (
          <Text key={taskId} style={{ color: palette.brick }}>
            {`No clear time for ${sayLength(minutes)} of “${titles.get(taskId) ?? ''}” until then.`}
          </Text>
        ))}
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  all: { gap: 10, width: 'min(84vw, 480px)' } as object,
  block: { borderBottomWidth: 1, paddingVertical: 2 },
});
