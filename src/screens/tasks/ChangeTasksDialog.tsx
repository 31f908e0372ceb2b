import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { BulkStep } from '@/core/model/bulkSteps';
import type { Importance } from '@/core/model/importance';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { useCalendars, useCategories } from '@/data/queries';
import { IMPORTANCE_CHOICES } from '@/features/event/choices';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { CategoryChips } from '@/ui/CategoryChips';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { NumberField } from '@/ui/NumberField';
import { TextField } from '@/ui/TextField';

interface Props {
  ids: readonly string[];
  onClose(): void;
}

const AS_IT_IS = 'asItIs';
const IMPORTANCES = [{ value: AS_IT_IS, label: 'As it is' } as const, ...IMPORTANCE_CHOICES];

/** What is to be done to each of many tasks. */
interface Wanted {
  days: number;
  importance: Importance | typeof AS_IT_IS;
  calendarId: string | null;
  categoryIds: string[];
  find: string;
  instead: string;
}

const NOTHING: Wanted = {
  days: 0,
  importance: AS_IT_IS,
  calendarId: null,
  categoryIds: [],
  find: '',
  instead: '',
};

function stepsOf({ days, importance, calendarId, categoryIds, find, instead }: Wanted): BulkStep[] {
  return [
    ...(days ? [{ kind: 'shiftDays' as const, days }] : []),
    ...(importance === AS_IT_IS ? [] : [{ kind: 'importance' as const, importance }]),
    ...(calendarId === null ? [] : [{ kind: 'calendar' as const, calendarId }]),
    ...(categoryIds.length
      ? [{ kind: 'categories' as const, add: categoryIds, remove: [], isReplaced: false }]
      : []),
    ...(find
      ? [
          {
            kind: 'replace' as const,
            fields: ['title' as const, 'notes' as const],
            find,
            with: instead,
            matching: 'any' as const,
          },
        ]
      : []),
  ];
}

/** Does several things to all tasks that are listed, as one change. */
export function ChangeTasksDialog({ ids, onClose }: Props) {
  const { clock } = usePreferences();
  const act = useDo();
  const calendars = useCalendars().filter(({ kind }) => kind === 'own');
  const categories = useCategories();
  const [wanted, setWanted] = useState(NOTHING);
  const set = (fields: Partial<Wanted>) => setWanted((now) => ({ ...now, ...fields }));
  const steps = stepsOf(wanted);

  async function keep() {
    if (await act({ kind: 'changeTasks', ids, steps, clock })) onClose();
  }

  return (
    <Dialog
      title={`Change ${count(ids.length, 'task')}`}
      onClose={onClose}
      footer={
        <Button mode="contained" disabled={!steps.length} onPress={() => void keep()}>
          {`Change ${count(ids.length, 'task')}`}
        </Button>
      }
    >
      <View style={styles.fields}>
        <NumberField
          label="Days on, or back"
          value={wanted.days}
          min={-366}
          max={366}
          unit="days"
          onChange={(days) => set({ days })}
        />
        <Choice
          name="Importance"
          value={wanted.importance}
          options={IMPORTANCES}
          onChoose={(importance) => set({ importance })}
        />
        <Text variant="bodySmall">To the calendar</Text>
        <CalendarChoice
          calendars={calendars}
          chosenId={wanted.calendarId ?? ''}
          onChoose={(calendarId) => set({ calendarId })}
        />
        {categories.length > 0 && (
          <>
            <Text variant="bodySmall">With the categories</Text>
            <CategoryChips
              categories={categories}
              chosen={wanted.categoryIds}
              onChange={(categoryIds) => set({ categoryIds })}
            />
          </>
        )}
        <TextField
          label="Find in titles and notes"
          value={wanted.find}
          onChangeText={(find) => set({ find })}
        />
        {wanted.find !== '' && (
          <TextField
            label="Put instead"
            value={wanted.instead}
            onChangeText={(instead) => set({ instead })}
          />
        )}
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  fields: { gap: 10, width: 'min(84vw, 480px)' } as object,
});
