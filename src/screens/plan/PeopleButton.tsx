import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Switch, Text } from 'react-native-paper';
import { findPeople } from '@/core/people/findPeople';
import { sayStanding } from '@/core/people/standing';
import { useDo } from '@/data/commands';
import { useNow } from '@/data/now';
import { usePeople } from '@/data/people';
import { NewMeetingLater } from '@/features/openings/later';
import { PersonMark } from '@/features/people/PersonMark';
import { usePeopleNow } from '@/features/people/usePeopleNow';
import { Check } from '@/ui/Check';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { usePlan } from './PlanProvider';

/** Whose time is on the sheet: the way to choose, with their marks. */
export function PeopleButton() {
  const { dialog, dispatch, people, place } = usePlan();
  const palette = usePalette();
  const [isMeeting, setMeeting] = useState(false);
  const { shown } = people;
  const close = () => dispatch({ do: 'ask', dialog: null });
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label={shown.length ? `People: ${shown.length} on the sheet` : 'People'}
        onPress={() => dispatch({ do: 'ask', dialog: 'people' })}
        style={[
          styles.button,
          { borderColor: palette.hairline, backgroundColor: palette.sheet },
          shown.length > 0 && { borderColor: palette.accent },
        ]}
      >
        {shown.slice(0, MARKS).map((person) => (
          <PersonMark key={person.id} person={person} size={11} />
        ))}
        <Text style={{ color: palette.ink }}>
          {shown.length > MARKS ? `+${shown.length - MARKS}` : shown.length ? '' : 'People'}
        </Text>
      </Pressable>
      {dialog === 'people' && (
        <PeopleDialog
          onClose={close}
          onMeet={() => {
            close();
            setMeeting(true);
          }}
        />
      )}
      {isMeeting && (
        <NewMeetingLater
          guests={shown.map(({ id }) => ({ id, isRequired: true }))}
          day={place.range.from}
          onClose={() => setMeeting(false)}
        />
      )}
    </>
  );
}

/** Marks that the button has room for. */
const MARKS = 4;

/** Everybody with a switch that puts their time on the sheet, and how it stands with them now. */
function PeopleDialog({ onClose, onMeet }: { onClose(): void; onMeet(): void }) {
  const { people: onSheet, place, preferences, content, dispatch } = usePlan();
  const { clock, wording } = preferences;
  const palette = usePalette();
  const router = useRouter();
  const act = useDo();
  const now = useNow();
  const people = usePeople();
  const standings = usePeopleNow(people);
  const [typed, setTyped] = useState('');
  const { view } = place;
  const isSplit = view.split === 'person';
  const canSplit = view.form === 'rows' || view.form === 'columns';
  return (
    <Dialog
      title="People on the sheet"
      onClose={onClose}
      footer={
        <>
          <Button onPress={onMeet}>Find openings</Button>
          <Button mode="contained" onPress={onClose}>
            Done
          </Button>
        </>
      }
    >
      <View style={styles.all}>
        {people.length > FEW && (
          <TextField label="Look for somebody" value={typed} onChangeText={setTyped} />
        )}
        <ScrollView style={styles.scroll}>
          <View role="list" aria-label="People">
            {findPeople(people, typed).map((person) => {
              const standing = standings.get(person.id)?.standing;
              const isUnknown = content.unknown.includes(person.id);
              return (
                <View key={person.id} role="listitem" aria-label={person.name} style={styles.line}>
                  <Pressable
                    role="button"
                    aria-label={`Look at ${person.name}, now`}
                    onPress={() => {
                      onClose();
                      dispatch({
                        do: 'open',
                        panel: { kind: 'person', personId: person.id, occurrence: null },
                      });
                    }}
                    style={styles.press}
                  >
                    <PersonMark person={person} size={16} />
                    <View style={styles.words}>
                      <Text style={styles.name}>{person.name}</Text>
                      {(standing || isUnknown) && (
                        <Text variant="bodySmall" style={{ color: palette.dim }}>
                          {standing
                            ? sayStanding(standing, now, clock, wording)
                            : 'their time is not known'}
                        </Text>
                      )}
                    </View>
                  </Pressable>
                  <Switch
                    value={person.shown}
                    onValueChange={(shown) =>
                      void act({ kind: 'showPerson', id: person.id, shown })
                    }
                    aria-label={`Show ${person.name}`}
                  />
                </View>
              );
            })}
          </View>
          {people.length === 0 && (
            <Text style={{ color: palette.dim }}>
              Nobody is known yet. Add those you work with under People.
            </Text>
          )}
        </ScrollView>
        <Check
          label="Side by side: a row or a column each"
          isOn={isSplit}
          onChange={(isOn) =>
            place.show({
              ...view,
              form: canSplit ? view.form : 'rows',
              split: isOn ? 'person' : 'day',
            })
          }
        />
        <View style={styles.buttons}>
          {onSheet.shown.length > 0 && (
            <Button
              compact
              onPress={() => void act({ kind: 'showPerson', id: null, shown: false })}
            >
              Nobody
            </Button>
          )}
          <Button compact onPress={() => router.navigate('/people')}>
            All about people
          </Button>
        </View>
      </View>
    </Dialog>
  );
}

/** More than this are looked for by name. */
const FEW = 8;

const styles = StyleSheet.create({
  button: {
    height: 40,
    paddingHorizontal: 10,
    borderWidth: 1,
    borderRadius: 9,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 5,
  },
  all: { gap: 8, width: 'min(84vw, 420px)' } as object,
  scroll: { maxHeight: '48vh' } as object,
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
  press: {
    flex: 1,
    minWidth: 0,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: 44,
  },
  words: { flex: 1, minWidth: 0 },
  name: { fontWeight: '500' },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
