import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { onClock } from '@/core/editing/drafting';
import { spanOf, timesOf, timesProblem } from '@/core/editing/form';
import type { Calendar } from '@/core/model/calendar';
import type { Candidate } from '@/core/message/candidates';
import { formatRepeat } from '@/core/recurrence/formatRepeat';
import { dayOfWall, minuteOfDay } from '@/core/time/civil';
import type { WallMs } from '@/core/time/units';
import type { Wording } from '@/core/time/words';
import { count as countOf, sayDay, sayMinute, saySpan, SHORT_DAY } from '@/core/time/words';
import { cityOf } from '@/core/time/zoneNames';
import type { Preferences } from '@/data/preferences';
import { TimesFields } from '@/features/event/TimesFields';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { Icon } from '@/ui/icons/Icon';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { Unreadable, useReadable } from '@/ui/unreadable';
import type { Corrected } from './useKeeping';

interface Props {
  /** Which of those that were found, from 1, of how many. */
  nth: number;
  count: number;
  candidate: Candidate;
  calendars: readonly Calendar[];
  calendarId: string;
  preferences: Preferences;
  onKeep(corrected: Corrected): Promise<boolean>;
}

const KINDS = [
  { value: 'event' as const, label: 'An event' },
  { value: 'task' as const, label: 'A task' },
];
const LONG = { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' } as const;

const formatArrival = (wall: WallMs, wording: Wording) =>
  `${sayDay(dayOfWall(wall), wording, SHORT_DAY)}, ${sayMinute(minuteOfDay(wall), wording.hourCycle)}`;

/** What is not sure of a candidate, so that nobody keeps a guess as a fact. */
function Doubts({ doubts }: Pick<Candidate, 'doubts'>) {
  const palette = usePalette();
  if (!doubts.length)
    return (
      <View style={styles.line}>
        <Icon name="check-circle-outline" size={18} color={palette.accent} />
        <Text variant="bodySmall">Day and time stand in the message.</Text>
      </View>
    );
  return (
    <View
      role="note"
      aria-label="Not sure"
      style={[styles.doubts, { backgroundColor: palette.amberWash }]}
    >
      {doubts.map((doubt) => (
        <View key={doubt} style={styles.line}>
          <Icon name="alert-outline" size={18} color={palette.amber} />
          <Text style={styles.grow}>{doubt}</Text>
        </View>
      ))}
    </View>
  );
}

/** One thing that a message asks for, to be corrected and kept, or left out. */
export function CandidateCard(props: Props) {
  const { nth, count, candidate, calendars, calendarId, preferences, onKeep } = props;
  const { clock, wording, workdays } = preferences;
  const palette = usePalette();
  const [one, setOne] = useState<Candidate>(candidate);
  const [asRead] = useState(() => timesOf(candidate));
  const [times, setTimes] = useState(asRead);
  const [fate, setFate] = useState<'open' | 'kept' | 'left'>('open');
  const { isReadable, report } = useReadable();
  const [chosenId, setChosenId] = useState<string | null>(null);
  const set = (fields: Partial<Candidate>) => setOne((last) => ({ ...last, ...fields }));
  const problem = timesProblem(times);
  const span = spanOf(times);
  const isTask = one.kind === 'task';
  const name = count > 1 ? `Found ${nth} of ${count}` : 'Found';

  async function keep() {
    if (problem || !isReadable) return;
    const { lasts, ...read } = one;
    const when = { ...span, ...(lasts && times === asRead && { lasts }) };
    if (await onKeep({ ...read, ...when, calendarId: chosenId ?? calendarId })) setFate('kept');
  }
  if (fate !== 'open')
    return (
      <Card title={name}>
        <View style={styles.line}>
          <Text style={styles.grow}>
            {fate === 'kept' ? `Kept: ${one.title}` : `Left out: ${one.title}`}
          </Text>
          {fate === 'left' && <Button onPress={() => setFate('open')}>Take it after all</Button>}
        </View>
      </Card>
    );
  return (
    <Unreadable value={report}>
      <Card title={name}>
        <Doubts doubts={candidate.doubts} />
        <Text
          variant="bodySmall"
          style={[styles.source, { borderColor: palette.hairline, color: palette.dim }]}
        >
          {candidate.source}
        </Text>
        <Choice
          name="What it is"
          value={one.kind}
          options={KINDS}
          onChoose={(kind) => set({ kind })}
        />
        <TextField label="Title" value={one.title} onChangeText={(title) => set({ title })} />
        {isTask && <Text variant="bodySmall">To be done by</Text>}
        <TimesFields times={times} preferences={preferences} onChange={setTimes} />
        {!isTask && one.repeat && (
          <View style={styles.line}>
            <Icon name="repeat" size={18} color={palette.dim} />
            <Text style={styles.grow}>
              {formatRepeat(one.repeat, { ...span, zone: one.zone ?? clock, workdays, wording })}
            </Text>
            <Button compact onPress={() => set({ repeat: undefined })}>
              Only once
            </Button>
          </View>
        )}
        {!isTask && one.endZone !== undefined && !times.wholeDay && (
          <View style={styles.line}>
            <Icon name="earth" size={18} color={palette.dim} />
            <Text style={styles.grow}>
              {`Arrives ${formatArrival(onClock({ ...span, wholeDay: false }, one.zone ?? clock, one.endZone).end, wording)} by the clock of ${cityOf(one.endZone)}`}
            </Text>
            <Button compact onPress={() => set({ endZone: undefined })}>
              By one clock
            </Button>
          </View>
        )}
        {!isTask && one.points && (
          <View style={styles.line}>
            <Icon name="format-list-checks" size={18} color={palette.dim} />
            <Text style={styles.grow}>
              {`${countOf(one.points.length, 'point')}: ${one.points.map(({ text }) => text).join(', ')}`}
            </Text>
            <Button compact onPress={() => set({ points: undefined })}>
              Without them
            </Button>
          </View>
        )}
        {one.zone !== null && !times.wholeDay && (
          <View style={styles.line}>
            <Icon name="earth" size={18} color={palette.dim} />
            <Text style={styles.grow}>
              {`By the clock of ${cityOf(one.zone)}; here ${saySpan(onClock({ ...span, wholeDay: false }, one.zone, clock), wording, LONG)}`}
            </Text>
            <Button compact onPress={() => set({ zone: null })}>
              By my clock
            </Button>
          </View>
        )}
        {!isTask && (
          <TextField label="Place" value={one.place} onChangeText={(place) => set({ place })} />
        )}
        <TextField label="Link" value={one.link} onChangeText={(link) => set({ link })} />
        {!isTask && one.people.length > 0 && (
          <View role="list" aria-label="People" style={styles.people}>
            {one.people.map((person) => (
              <View key={person} role="listitem">
                <Button
                  compact
                  mode="outlined"
                  icon="close"
                  accessibilityLabel={`Without ${person}`}
                  onPress={() => set({ people: one.people.filter((other) => other !== person) })}
                >
                  {person}
                </Button>
              </View>
            ))}
          </View>
        )}
        <CalendarChoice
          calendars={calendars}
          chosenId={chosenId ?? calendarId}
          onChoose={setChosenId}
        />
        <View style={styles.buttons}>
          <Button onPress={() => setFate('left')}>Leave it out</Button>
          <Button
            mode="contained"
            disabled={problem !== null || !isReadable || calendarId === ''}
            onPress={() => void keep()}
          >
            {isTask ? 'Keep the task' : 'Keep the event'}
          </Button>
        </View>
      </Card>
    </Unreadable>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  grow: { flex: 1, minWidth: 0 },
  doubts: { borderRadius: 8, padding: 10, gap: 4 },
  source: { borderLeftWidth: 3, paddingLeft: 10, fontStyle: 'italic' },
  people: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  buttons: { flexDirection: 'row', justifyContent: 'flex-end', gap: 8 },
});
