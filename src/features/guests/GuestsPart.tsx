import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import type { Attendee } from '@/core/model/attendees';
import { mailAddress } from '@/core/model/common';
import type { Person } from '@/core/model/person';
import { findPeople } from '@/core/people/findPeople';
import { attendeesOf, guestsOf, isSamePerson } from '@/core/people/guests';
import { sayWhy } from '@/core/people/sayOpenings';
import { usePeople, useSuits } from '@/data/people';
import type { TakenOpening } from '@/features/openings/OpeningsDialog';
import { OpeningsLater } from '@/features/openings/later';
import { PersonMark } from '@/features/people/PersonMark';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  attendees: readonly Attendee[];
  /** When it is (instants); null while its times are wrong, or for whole days. */
  span: { start: number; end: number } | null;
  /** The first day that openings are looked for on (day number), and how long it lasts. */
  day: number;
  minutes: number;
  eventId: string;
  onChange(attendees: Attendee[]): void;
  /** An opening was taken: when it begins (instant), and how long it lasts. */
  onTime(start: number, minutes: number): void;
}

/** People that are offered at once. */
const OFFERED = 5;

const isRequired = ({ role }: Attendee) => role === 'required' || role === 'chair';

/** A guest: who, whether required, what they answered, and how the time suits them. */
function GuestLine({
  attendee,
  person,
  suits,
  onRequire,
  onRemove,
}: {
  attendee: Attendee;
  person: Person | undefined;
  suits: string;
  onRequire(isRequired: boolean): void;
  onRemove(): void;
}) {
  const palette = usePalette();
  const name = attendee.name || attendee.address;
  const isClear = suits === CLEAR;
  return (
    <View
      role="listitem"
      aria-label={name}
      style={[styles.guest, { borderColor: palette.hairline }]}
    >
      {person && <PersonMark person={person} />}
      <View style={styles.words}>
        <Text>{name}</Text>
        <Text variant="bodySmall" style={{ color: isClear ? palette.accent : palette.amber }}>
          {[suits, attendee.answer === 'none' ? '' : attendee.answer].filter(Boolean).join(' · ')}
        </Text>
      </View>
      <ToggleChip
        label="Optional"
        name={`${name} is optional`}
        isOn={!isRequired(attendee)}
        onPress={() => onRequire(!isRequired(attendee))}
      />
      <IconButton
        icon="close"
        size={18}
        accessibilityLabel={`Take ${name} away`}
        onPress={onRemove}
        style={styles.icon}
      />
    </View>
  );
}

const CLEAR = 'clear then';

/** Who is to come: found by name, or by a mail address, each with how the time suits them. */
export function GuestsPart(props: Props) {
  const { attendees, span, day, minutes, eventId, onChange, onTime } = props;
  const palette = usePalette();
  const people = usePeople();
  const [typed, setTyped] = useState('');
  const [isLooking, setLooking] = useState(false);
  const guests = guestsOf(attendees, people);
  const ids = useMemo(() => guestsOf(attendees, people).map(({ id }) => id), [attendees, people]);
  const suits = useSuits(ids, span);
  const personOf = (one: Attendee) => people.find((person) => isSamePerson(one, person));
  const wanted = typed.trim();
  const offered = wanted
    ? findPeople(people, wanted)
        .filter((person) => !attendees.some((one) => isSamePerson(one, person)))
        .slice(0, OFFERED)
    : [];
  const isAddress = mailAddress.safeParse(wanted).success;

  function add(attendee: Attendee) {
    setTyped('');
    onChange([...attendees, attendee]);
  }
  const addPerson = ({ id }: Person) => add(attendeesOf([{ id, isRequired: true }], people)[0]!);
  function addTyped() {
    const [first] = offered;
    if (first) addPerson(first);
    else if (isAddress) add({ name: '', address: wanted, role: 'required', answer: 'none' });
  }
  function saySuits(one: Attendee): string {
    const person = personOf(one);
    const found = person && suits.get(person.id);
    if (!found) return '';
    if (found.why) return sayWhy(found.why);
    return found.isKnown ? CLEAR : 'their time is not known';
  }
  function take({ start, minutes: length, guests: asked }: TakenOpening) {
    setLooking(false);
    const strangers = attendees.filter((one) => !personOf(one));
    // Those who were there keep what they answered.
    const known = attendeesOf(asked, people).map((one) => {
      const before = attendees.find((other) => isSamePerson(other, one));
      return before ? { ...one, answer: before.answer } : one;
    });
    onChange([...known, ...strangers]);
    onTime(start, length);
  }

  return (
    <View style={styles.all}>
      {attendees.length > 0 && (
        <View role="list" aria-label="Guests">
          {attendees.map((one, at) => (
            <GuestLine
              key={`${one.address} ${one.name}`}
              attendee={one}
              person={personOf(one)}
              suits={saySuits(one)}
              onRequire={(isOn) =>
                onChange(
                  attendees.map((other, i) =>
                    i === at ? { ...other, role: isOn ? 'required' : 'optional' } : other,
                  ),
                )
              }
              onRemove={() => onChange(attendees.filter((_, i) => i !== at))}
            />
          ))}
        </View>
      )}
      <TextField
        label="Guests: a name or a mail address"
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={addTyped}
        // The next guest is typed at once.
        blurOnSubmit={false}
      />
      {(offered.length > 0 || isAddress) && (
        <View role="group" aria-label="Guests found" style={styles.found}>
          {offered.map((person) => (
            <Button
              key={person.id}
              mode="outlined"
              compact
              icon={() => <PersonMark person={person} size={12} />}
              onPress={() => addPerson(person)}
            >
              {person.name}
            </Button>
          ))}
          {isAddress && offered.length === 0 && (
            <Button mode="outlined" compact icon="plus" onPress={addTyped}>
              {wanted}
            </Button>
          )}
        </View>
      )}
      {wanted !== '' && offered.length === 0 && !isAddress && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          None of your people goes by that. A mail address can be added as it is.
        </Text>
      )}
      {people.length > 0 && (
        <Button
          compact
          icon="calendar-range-outline"
          style={styles.look}
          onPress={() => setLooking(true)}
        >
          Find openings
        </Button>
      )}
      {isLooking && (
        <OpeningsLater
          title="When could all come?"
          guests={guests}
          minutes={minutes}
          day={day}
          eventId={eventId}
          take="Take it"
          onTake={take}
          onClose={() => setLooking(false)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  guest: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    minHeight: 48,
  },
  words: { flex: 1, minWidth: 0 },
  icon: { margin: 0, width: 40, height: 40 },
  found: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  look: { alignSelf: 'flex-start' },
});
