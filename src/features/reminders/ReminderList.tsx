import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, HelperText, IconButton, Text } from 'react-native-paper';
import type { Begin } from '@/core/jot/reminders';
import { readReminder } from '@/core/jot/reminders';
import type { Reminder } from '@/core/model/common';
import {
  isSameTime,
  MOST_REMINDERS,
  sayReminder,
  usualReminders,
  withReminder,
} from '@/core/reminders/words';
import { daytimeOf } from '@/core/model/workweek';
import { dayOfWall } from '@/core/time/civil';
import type { Preferences } from '@/data/preferences';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';
import { WayChoice } from './WayChoice';
import { capital } from '@/core/time/words';

interface Props {
  name: string;
  reminders: readonly Reminder[];
  /** When what is reminded of begins: times of a day are meant from there. */
  begin: Begin;
  hasTravel?: boolean;
  preferences: Preferences;
  onChange(reminders: Reminder[]): void;
}

const UNREADABLE = 'Say when, for example “90 min before” or “the day before at 16:00”.';
const ENOUGH = `An event has at most ${MOST_REMINDERS} reminders.`;

/** Reminders: the usual ones by a press, others in words, each with the way in which it comes. */
export function ReminderList(props: Props) {
  const { name, reminders, begin, hasTravel = false, preferences, onChange } = props;
  const { wording, clock, settings } = preferences;
  const { dim } = usePalette();
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { wholeDay } = begin;
  const say = (one: Reminder) => capital(sayReminder(one, begin, { ...wording, clock }));
  const usual = usualReminders(wholeDay, hasTravel);
  const isFull = reminders.length >= MOST_REMINDERS;

  function add(one: Reminder) {
    setProblem(isFull ? ENOUGH : null);
    if (!isFull) onChange(withReminder(reminders, one));
  }
  function addTyped() {
    if (!typed.trim()) return;
    const workHours = daytimeOf(dayOfWall(begin.start ?? 0), settings.workweek);
    const one = readReminder(typed, begin, { workHours });
    if (!one) return setProblem(UNREADABLE);
    add(one);
    if (!isFull) setTyped('');
  }
  const without = (one: Reminder) => reminders.filter((other) => other !== one);

  return (
    <View role="group" aria-label={name} style={styles.all}>
      <View style={styles.chips}>
        {usual.map((one) => {
          const there = reminders.find((other) => isSameTime(other, one));
          return (
            <ToggleChip
              key={say(one)}
              label={say(one)}
              isOn={there !== undefined}
              onPress={() => (there ? onChange(without(there)) : add(one))}
            />
          );
        })}
      </View>
      <View role="list" aria-label={`${name}, as they stand`}>
        {reminders.map((one) => (
          <View key={say(one)} role="listitem" style={styles.row}>
            <Text style={styles.when}>
              {capital(sayReminder({ ...one, how: undefined }, begin, { ...wording, clock }))}
            </Text>
            <WayChoice
              name={`How: ${say(one)}`}
              how={one.how}
              onChoose={(how) => {
                const { how: _how, alarm: _alarm, ...rest } = one;
                onChange(withReminder(without(one), how ? { ...rest, how } : rest));
              }}
            />
            <IconButton
              icon="close"
              size={18}
              accessibilityLabel={`Take away: ${say(one)}`}
              onPress={() => onChange(without(one))}
              style={styles.away}
            />
          </View>
        ))}
      </View>
      <View style={styles.row}>
        <TextField
          label="Another, in words"
          placeholder={wholeDay ? 'the day before at 16:00' : '90 min before'}
          value={typed}
          error={problem !== null}
          onChangeText={(text) => {
            setTyped(text);
            setProblem(null);
          }}
          onSubmitEditing={addTyped}
          style={styles.field}
        />
        <Button compact onPress={addTyped} disabled={!typed.trim()}>
          Add
        </Button>
      </View>
      {problem && (
        <HelperText type="error" role="alert" padding="none">
          {problem}
        </HelperText>
      )}
      {!reminders.length && (
        <Text variant="bodySmall" style={{ color: dim }}>
          No reminder yet.
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 6, minHeight: 40 },
  when: { flex: 1, minWidth: 0 },
  field: { flex: 1 },
  away: { margin: 0, width: 40, height: 40 },
});
