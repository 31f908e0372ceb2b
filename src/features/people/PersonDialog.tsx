import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { freeInk } from '@/core/calendars/inks';
import { nextInkAndMark } from '@/core/model/inks';
import type { Person, PersonKind } from '@/core/model/person';
import { newPerson } from '@/core/model/person';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { WeekFields } from '@/features/workweek/WeekFields';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { Fold } from '@/ui/Fold';
import { InkChoice } from '@/ui/InkChoice';
import { MarkChoice } from '@/ui/MarkChoice';
import { TextField } from '@/ui/TextField';

interface Props {
  /** Null adds somebody. */
  person: Person | null;
  /** What a new one begins with. */
  begin?: Partial<Person>;
  people: readonly Person[];
  onClose(): void;
}

const KINDS: { value: PersonKind; label: string }[] = [
  { value: 'person', label: 'A person' },
  { value: 'room', label: 'A room' },
  { value: 'thing', label: 'A thing' },
];

function fresh(people: readonly Person[], begin: Partial<Person>, zone: string): Person {
  return newPerson({
    id: nanoid(12),
    name: '',
    zone,
    mark: nextInkAndMark(people).mark,
    ink: freeInk(people.map(({ ink }) => ink)),
    order: Math.max(-1, ...people.map(({ order }) => order)) + 1,
    ...begin,
  });
}

/** Somebody with all that is kept of them. */
export function PersonDialog({ person, begin = {}, people, onClose }: Props) {
  const act = useDo();
  const { zone, wording } = usePreferences();
  const [form, setForm] = useState(() => person ?? fresh(people, begin, zone));
  const [groups, setGroups] = useState(form.groups.join(', '));
  const set = (fields: Partial<Person>) => setForm((last) => ({ ...last, ...fields }));
  const name = form.name.trim();
  const isTaken = people.some(
    (other) => other.id !== form.id && other.name.toLowerCase() === name.toLowerCase(),
  );
  const isGood = name !== '' && !isTaken;

  async function keep() {
    if (!isGood) return;
    const after: Person = {
      ...form,
      name,
      address: form.address.trim(),
      calendarAddress: form.calendarAddress.trim(),
      groups: [...new Set(groups.split(',').map((group) => group.trim()))].filter(Boolean),
    };
    if (await act({ kind: 'keepPerson', before: person, person: after })) onClose();
  }

  return (
    <Dialog
      title={person ? person.name : 'Somebody new'}
      onClose={onClose}
      footer={
        <>
          {person && (
            <Button
              onPress={async () => {
                if (await act({ kind: 'removePerson', id: person.id })) onClose();
              }}
            >
              Remove
            </Button>
          )}
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={!isGood} onPress={() => void keep()}>
            {person ? 'Keep' : 'Add'}
          </Button>
        </>
      }
    >
      <View style={styles.fields}>
        <TextField
          label="Name"
          value={form.name}
          error={isTaken}
          onChangeText={(text) => set({ name: text })}
          onSubmitEditing={() => void keep()}
        />
        {isTaken && <Text role="alert">Somebody of that name is there already.</Text>}
        <Choice name="It is" value={form.kind} options={KINDS} onChoose={(kind) => set({ kind })} />
        <TextField
          label="Mail address"
          value={form.address}
          inputMode="email"
          onChangeText={(address) => set({ address })}
        />
        <TextField
          label="Where their calendar or free/busy is read (address)"
          value={form.calendarAddress}
          inputMode="url"
          onChangeText={(calendarAddress) => set({ calendarAddress })}
        />
        <ZonePicker
          label="Time zone"
          zone={form.zone}
          hourCycle={wording.hourCycle}
          onChoose={(chosen) => set({ zone: chosen })}
        />
        <TextField label="Groups, with commas between" value={groups} onChangeText={setGroups} />
        <TextField
          label="My notes"
          value={form.notes}
          multiline
          onChangeText={(notes) => set({ notes })}
        />
        <Fold icon="clock-outline" name="Hours, ink and mark" said="Hours, ink and mark">
          <WeekFields
            workweek={form.workweek}
            hourCycle={wording.hourCycle}
            onChange={(workweek) => set({ workweek })}
          />
          <InkChoice name="Ink" ink={form.ink} onChoose={(ink) => set({ ink })} />
          <MarkChoice mark={form.mark} ink={form.ink} onChoose={(mark) => set({ mark })} />
        </Fold>
      </View>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  fields: { gap: 10, width: 'min(84vw, 480px)' } as object,
});
