import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Person } from '@/core/model/person';
import { findPeople } from '@/core/people/findPeople';
import { shortName } from '@/core/people/sayOpenings';
import { joinWords } from '@/core/time/words';
import { usePeople } from '@/data/people';
import type { Guest } from '@/engine/people/people';
import { PersonMark } from '@/features/people/PersonMark';
import { Check } from '@/ui/Check';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  guests: readonly Guest[];
  onChange(guests: Guest[]): void;
}

/** More than this are looked for by name. */
const MANY = 8;

function sayGuests(guests: readonly Guest[], people: readonly Person[]): string {
  const names = guests.flatMap(({ id, isRequired }) => {
    const person = people.find((one) => one.id === id);
    return person ? [isRequired ? shortName(person) : `${shortName(person)} (optional)`] : [];
  });
  return names.length ? joinWords(names) : 'Nobody yet';
}

/** Who is to be there: people, rooms and things, each required or not. Folded up once somebody is chosen. */
export function GuestChoice({ guests, onChange }: Props) {
  const palette = usePalette();
  const people = usePeople();
  const [typed, setTyped] = useState('');
  const guestOf = (id: string) => guests.find((guest) => guest.id === id);
  const found = findPeople(people, typed);

  function choose(id: string, isOn: boolean) {
    const others = guests.filter((guest) => guest.id !== id);
    onChange(isOn ? [...others, { id, isRequired: true }] : others);
  }
  const require = (id: string, isRequired: boolean) =>
    onChange(guests.map((guest) => (guest.id === id ? { id, isRequired } : guest)));

  return (
    <Fold
      icon="account-multiple-outline"
      name="With"
      said={sayGuests(guests, people)}
      isFirstOpen={guests.length === 0}
    >
      {people.length > MANY && (
        <TextField label="Look for somebody" value={typed} onChangeText={setTyped} />
      )}
      <View role="group" aria-label="Who is to be there">
        {found.map((person) => {
          const guest = guestOf(person.id);
          return (
            <View key={person.id} style={styles.person}>
              <PersonMark person={person} />
              <View style={styles.names}>
                <Check
                  label={person.name}
                  isOn={guest !== undefined}
                  onChange={(isOn) => choose(person.id, isOn)}
                />
              </View>
              {guest && (
                <ToggleChip
                  label="Optional"
                  name={`${person.name} is optional`}
                  isOn={!guest.isRequired}
                  onPress={() => require(person.id, !guest.isRequired)}
                />
              )}
            </View>
          );
        })}
        {people.length === 0 && (
          <Text style={{ color: palette.dim }}>
            Nobody is known yet. Add those you work with under People.
          </Text>
        )}
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({
  names: { flex: 1, minWidth: 0 },
  person: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 40 },
});
