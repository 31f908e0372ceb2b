import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator, Button, Switch, Text } from 'react-native-paper';
import type { Occurrence } from '@/core/agenda/occurrence';
import { partOn } from '@/core/agenda/parts';
import type { Person } from '@/core/model/person';
import { titleOf } from '@/core/model/titleOf';
import { sayMoment, sayStanding, sayTheirTime } from '@/core/people/standing';
import { dayOfWall } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { LONG_DAY, sayDay, saySpan } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { useNow } from '@/data/now';
import { useAskAgain, useNextClear, usePeople, usePeopleTime } from '@/data/people';
import type { Preferences } from '@/data/preferences';
import { NewMeetingLater } from '@/features/openings/later';
import { usePeopleNow } from '@/features/people/usePeopleNow';
import { PanelFrame } from '@/ui/PanelFrame';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  personId: string;
  /** What of their time was pressed; null for a look at them now. */
  occurrence: Occurrence | null;
  today: DayNumber;
  preferences: Preferences;
  onClose(): void;
}

/** Opens a page of somebody's event, which may change it; `whenBack` is called once one looks here again. */
function openPage(address: string, whenBack: () => void): void {
  window.open(address, '_blank', 'noopener');
  window.addEventListener('focus', whenBack, { once: true });
}

/** What somebody does on a day, as far as they let it be seen. */
function TheirDay({
  person,
  day,
  chosenId,
  preferences,
}: {
  person: Person;
  day: DayNumber;
  chosenId: string | null;
  preferences: Preferences;
}) {
  const { clock, wording } = preferences;
  const palette = usePalette();
  const askAgain = useAskAgain();
  const ids = useMemo(() => [person.id], [person.id]);
  const { times, isAsking } = usePeopleTime(ids, { fromDay: day, toDay: day + 1, zone: clock });
  const [time] = times;
  if (!time || isAsking) return <ActivityIndicator aria-label="Asking for their time" />;
  if (time.problem !== null) return <Text style={{ color: palette.amber }}>{time.problem}</Text>;
  const theirs = time.occurrences.filter((o) => partOn(o, day));
  return (
    <View role="list" aria-label={`${person.name}, ${sayDay(day, wording, LONG_DAY)}`}>
      {theirs.map((o) => (
        <View
          key={o.id}
          role="listitem"
          style={[styles.line, o.id === chosenId && { backgroundColor: palette.amberWash }]}
        >
          <Text variant="bodySmall" style={[styles.when, { color: palette.dim }]}>
            {o.wholeDay ? 'whole day' : saySpan(o, wording).split(', ').at(-1)}
          </Text>
          <View style={styles.words}>
            <Text>{titleOf(o)}</Text>
            {o.place !== '' && (
              <Text variant="bodySmall" style={{ color: palette.dim }}>
                {o.place}
              </Text>
            )}
          </View>
          <Text variant="bodySmall" style={{ color: palette.dim }}>
            {o.availability}
          </Text>
          {time.pages.has(o.eventId) && (
            <Button
              compact
              accessibilityLabel={`Open the page of ${titleOf(o)}`}
              onPress={() => openPage(time.pages.get(o.eventId)!, () => void askAgain(person.id))}
            >
              Its page
            </Button>
          )}
        </View>
      ))}
      {theirs.length === 0 && <Text style={{ color: palette.dim }}>Nothing on this day.</Text>}
    </View>
  );
}

/** Somebody, now and on the day that was pressed. */
export function PersonPanel({ personId, occurrence, today, preferences, onClose }: Props) {
  const { clock, wording } = preferences;
  const palette = usePalette();
  const router = useRouter();
  const act = useDo();
  const now = useNow();
  const people = usePeople();
  const person = people.find(({ id }) => id === personId);
  const those = useMemo(() => (person ? [person] : []), [person]);
  const standing = usePeopleNow(those).get(personId)?.standing;
  const clear = useNextClear(useMemo(() => [personId], [personId])).get(personId);
  const [isMeeting, setMeeting] = useState(false);
  if (!person) return null;
  const day = occurrence ? dayOfWall(occurrence.start) : today;
  const said = [
    sayTheirTime(person, now, clock, wording),
    standing ? sayStanding(standing, now, clock, wording) : '',
    standing && standing.is !== 'clear' && clear
      ? `next clear hour ${sayMoment(clear, now, clock, wording)}`
      : '',
  ].filter(Boolean);
  return (
    <PanelFrame
      title={person.name}
      onClose={onClose}
      footer={
        <>
          <Button onPress={() => router.navigate('/people')}>All about people</Button>
          <Button mode="contained" onPress={() => setMeeting(true)}>
            Find openings
          </Button>
        </>
      }
    >
      {said.length > 0 && <Text role="status">{said.join(' · ')}</Text>}
      {person.notes !== '' && (
        <Text variant="bodySmall" style={{ color: palette.dim }}>
          {person.notes}
        </Text>
      )}
      <View style={styles.shown}>
        <Text style={styles.words}>On the sheet</Text>
        <Switch
          value={person.shown}
          onValueChange={(shown) => void act({ kind: 'showPerson', id: person.id, shown })}
          aria-label={`Show ${person.name} on the sheet`}
        />
      </View>
      <Text variant="titleSmall">{sayDay(day, wording, LONG_DAY)}</Text>
      <TheirDay
        person={person}
        day={day}
        chosenId={occurrence?.id ?? null}
        preferences={preferences}
      />
      {isMeeting && (
        <NewMeetingLater
          guests={[{ id: person.id, isRequired: true }]}
          day={Math.max(day, today)}
          onClose={() => setMeeting(false)}
        />
      )}
    </PanelFrame>
  );
}

const styles = StyleSheet.create({
  shown: { flexDirection: 'row', alignItems: 'center' },
  line: {
    flexDirection: 'row',
    gap: 10,
    paddingVertical: 4,
    paddingHorizontal: 4,
    borderRadius: 6,
  },
  when: { width: 92, fontVariant: ['tabular-nums'] },
  words: { flex: 1, minWidth: 0 },
});
