import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Person } from '@/core/model/person';
import type { DirectoryEntry } from '@/core/people/directory';
import { findPeople } from '@/core/people/findPeople';
import { dayOfWall } from '@/core/time/civil';
import { useWallNow } from '@/data/now';
import { useDirectory, useNextClear, usePeople } from '@/data/people';
import { usePreferences } from '@/data/preferences';
import type { Guest } from '@/engine/people/people';
import { NewMeetingLater } from '@/features/openings/later';
import { PersonDialog } from '@/features/people/PersonDialog';
import { PersonMark } from '@/features/people/PersonMark';
import { usePeopleNow } from '@/features/people/usePeopleNow';
import { HelpMark } from '@/features/help/HelpMark';
import { Card } from '@/ui/Card';
import { Page } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { OffersCard } from './OffersCard';
import { PersonRow } from './PersonRow';
import { SharesCard } from './SharesCard';

/** People by their groups, each under every group that they are in; rooms and things by themselves. */
function groupsOf(people: readonly Person[]): { name: string; people: Person[] }[] {
  const groups = new Map<string, Person[]>();
  for (const person of people) {
    const own = person.kind !== 'person' ? ['Rooms and things'] : person.groups;
    for (const name of own.length ? own : ['Others'])
      groups.set(name, [...(groups.get(name) ?? []), person]);
  }
  return [...groups].map(([name, inside]) => ({ name, people: inside }));
}

/** Those of the directory who are not known yet and go by what was typed. */
const strangers = (
  directory: readonly DirectoryEntry[],
  people: readonly Person[],
  typed: string,
): DirectoryEntry[] =>
  typed.trim() === ''
    ? []
    : findPeople(directory, typed).filter(({ id }) => !people.some((one) => one.id === id));

/** What is open over the screen. */
type Open =
  | { kind: 'person'; person: Person }
  | { kind: 'new'; begin: Partial<Person> }
  | { kind: 'meeting'; guests: Guest[] };

/** Those one works with: how it stands with each, who is found and added, and times for all. */
export function PeopleScreen() {
  const palette = usePalette();
  const { clock } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const people = usePeople();
  const directory = useDirectory();
  const now = usePeopleNow(people);
  const clear = useNextClear(people.map(({ id }) => id));
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState<Open | null>(null);
  const close = () => setOpen(null);
  const found = findPeople(people, typed);
  const unknown = strangers(directory, people, typed);
  const meet = (guests: readonly Person[]) =>
    setOpen({ kind: 'meeting', guests: guests.map(({ id }) => ({ id, isRequired: true })) });

  return (
    <Page
      title="People"
      isBroad
      mark={<HelpMark topic="meet" about="people and openings" />}
      actions={
        <Button mode="contained" icon="calendar-range-outline" onPress={() => meet([])}>
          Find openings
        </Button>
      }
    >
      <TextField
        label="Whom do you look for?"
        placeholder="A name, a group or a mail address"
        value={typed}
        onChangeText={setTyped}
      />
      {(unknown.length > 0 || typed.trim() !== '') && (
        <View role="group" aria-label="Not among your people yet" style={styles.buttons}>
          {unknown.map((entry) => (
            <Button
              key={entry.id}
              mode="outlined"
              icon={() => <PersonMark person={entry} />}
              onPress={() => setOpen({ kind: 'new', begin: entry })}
            >
              {`Add ${entry.name}`}
            </Button>
          ))}
          <Button
            icon="plus"
            onPress={() => setOpen({ kind: 'new', begin: asTyped(typed.trim()) })}
          >
            {`Add “${typed.trim()}” by hand`}
          </Button>
        </View>
      )}
      {people.length === 0 && (
        <Card>
          <Text>
            Here stand those you work with: how it stands with each now, and when you could meet.
            Type a name above and add it by hand; with the address of their calendar, or of their
            free/busy, you also see when they are booked.
          </Text>
        </Card>
      )}
      <View style={styles.groups}>
        {groupsOf(found).map(({ name, people: inside }) => (
          <View key={name} style={styles.group}>
            <Card title={name}>
              <View role="list" aria-label={name}>
                {inside.map((person) => (
                  <PersonRow
                    key={person.id}
                    person={person}
                    now={now.get(person.id)}
                    clear={clear.get(person.id)}
                    onOpen={() => setOpen({ kind: 'person', person })}
                  />
                ))}
              </View>
              {inside.length > 1 && inside.every(({ kind }) => kind === 'person') && (
                <View style={styles.buttons}>
                  <Button compact onPress={() => meet(inside)}>
                    {`When could all of ${name} meet?`}
                  </Button>
                </View>
              )}
            </Card>
          </View>
        ))}
      </View>
      <OffersCard />
      <SharesCard />
      {people.length > 0 && found.length === 0 && (
        <Text style={{ color: palette.dim }}>None of your people goes by that.</Text>
      )}
      {open?.kind === 'person' && (
        <PersonDialog person={open.person} people={people} onClose={close} />
      )}
      {open?.kind === 'new' && (
        <PersonDialog
          person={null}
          begin={open.begin}
          people={people}
          onClose={() => {
            setTyped('');
            close();
          }}
        />
      )}
      {open?.kind === 'meeting' && (
        <NewMeetingLater guests={open.guests} day={today} onClose={close} />
      )}
    </Page>
  );
}

/** What a typed text begins a new person with: a mail address, or a name. */
const asTyped = (typed: string): Partial<Person> =>
  typed.includes('@')
    ? { address: typed, name: typed.split('@')[0]!.replaceAll(/[._-]+/g, ' ') }
    : { name: typed };

const styles = StyleSheet.create({
  groups: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  group: { flexGrow: 1, flexBasis: 340, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
