import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Button } from 'react-native-paper';
import type { Filter } from '@/core/model/filter';
import { sayFilter } from '@/core/query/sayFilter';
import { useDo } from '@/data/commands';
import { useQuestions } from '@/data/finding';
import { useFilterWording } from '@/features/query/useFilterWording';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';

/** Whether filters ask the same, as long as days called by a period count as that period. */
const isSameQuestion = (a: Filter, b: Filter) => {
  const asked = (filter: Filter) =>
    filter.dates?.period ? { ...filter, dates: filter.dates.period } : filter;
  return JSON.stringify(asked(a)) === JSON.stringify(asked(b));
};

/** Keeps a question under a name. */
export function KeepQuestion({ filter }: { filter: Filter }) {
  const wording = useFilterWording();
  const questions = useQuestions();
  const act = useDo();
  const [name, setName] = useState<string | null>(null);
  const isKept = questions.some((kept) => isSameQuestion(kept.filter, filter));
  const order = questions.reduce((most, kept) => Math.max(most, kept.order + 1), 0);

  async function keep() {
    const question = { id: nanoid(12), name: name!.trim(), order, filter };
    if (await act({ kind: 'keepQuestion', before: null, question })) setName(null);
  }

  if (isKept) return null;
  return (
    <>
      <Button icon="star-outline" onPress={() => setName(sayFilter(filter, wording))}>
        Keep
      </Button>
      {name !== null && (
        <Dialog
          title="Keep this question"
          onClose={() => setName(null)}
          footer={
            <Button mode="contained" disabled={name.trim() === ''} onPress={() => void keep()}>
              Keep
            </Button>
          }
        >
          <TextField
            label="Name"
            value={name}
            onChangeText={setName}
            onSubmitEditing={() => name.trim() !== '' && void keep()}
          />
        </Dialog>
      )}
    </>
  );
}
