import { nanoid } from 'nanoid';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { freshCalendar } from '@/core/calendars/freshCalendar';
import { alikeInks, inkName } from '@/core/calendars/inks';
import { remindsOtherwise } from '@/core/reminders/following';
import type { Calendar } from '@/core/model/calendar';
import { joinWords } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { useFollowers } from '@/data/queries';
import { Dialog } from '@/ui/Dialog';
import { InkChoice } from '@/ui/InkChoice';
import { MarkChoice } from '@/ui/MarkChoice';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { usePalette } from '@/ui/theme/theme';

import { CalendarDefaults } from './CalendarDefaults';
import { FollowersQuestion } from './FollowersQuestion';

interface Props {
  /** Null makes a new one. */
  calendar: Calendar | null;
  calendars: readonly Calendar[];
  onClose(): void;
}

/** Says with which other shown calendar an ink is easily mixed up, and offers a better one. */
function InkAdvice({
  form,
  others,
  onTake,
}: {
  form: Calendar;
  others: readonly Calendar[];
  onTake(ink: string): void;
}) {
  const palette = usePalette();
  const found = alikeInks([...others.filter(({ shown }) => shown), form]).find(
    ({ calendar }) => calendar.id === form.id,
  );
  if (!found) return null;
  const names = joinWords(found.like.map(({ name }) => name));
  return (
    <View role="status" style={styles.advice}>
      <Text variant="bodySmall" style={{ color: palette.amber, flex: 1 }}>
        {found.who === 'everyone'
          ? `Hard to tell from ${names}.`
          : `Hard to tell from ${names} for people who are colour-blind.`}
      </Text>
      <Button compact onPress={() => onTake(found.better)}>
        Take {inkName(found.better)}
      </Button>
    </View>
  );
}

/** A calendar's name, looks, and what its events begin with. */
export function CalendarDialog({ calendar, calendars, onClose }: Props) {
  const act = useDo();
  const [form, setForm] = useState(() => calendar ?? freshCalendar(nanoid(12), '', calendars));
  const [hasMore, setMore] = useState(false);
  const set = (fields: Partial<Calendar>) => setForm((last) => ({ ...last, ...fields }));
  const others = calendars.filter(({ id }) => id !== form.id);
  const name = form.name.trim();
  const isTaken = others.some((other) => other.name.toLowerCase() === name.toLowerCase());
  const isGood = name !== '' && !isTaken;

  const [isAsking, setAsking] = useState(false);
  const followers = useFollowers(calendar?.id ?? null);

  async function keep(isForNewOnly = false) {
    if (!isGood) return;
    const after = { ...form, name };
    const done = calendar
      ? await act({ kind: 'editCalendar', before: calendar, fields: after, isForNewOnly })
      : await act({ kind: 'addCalendar', calendar: after });
    if (done) onClose();
  }
  /** Asks first where events would be reminded of otherwise. */
  function keepOrAsk() {
    if (calendar && followers > 0 && remindsOtherwise(calendar, form)) setAsking(true);
    else void keep();
  }

  if (isAsking)
    return (
      <FollowersQuestion
        count={followers}
        name={name}
        onAnswer={(isForNewOnly) => void keep(isForNewOnly)}
        onBack={() => setAsking(false)}
      />
    );

  return (
    <Dialog
      title={calendar ? `Edit ${calendar.name}` : 'New calendar'}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={!isGood} onPress={keepOrAsk}>
            {calendar ? 'Keep' : 'Make'}
          </Button>
        </>
      }
    >
      <ScrollView style={styles.scroll} contentContainerStyle={styles.fields}>
        <TextField
          label="Name"
          value={form.name}
          error={isTaken}
          autoFocus={calendar === null}
          onChangeText={(text) => set({ name: text })}
          onSubmitEditing={keepOrAsk}
        />
        {isTaken && <Text role="alert">Another calendar has this name.</Text>}
        <TextField
          label="Description"
          value={form.description}
          onChangeText={(description) => set({ description })}
        />
        <InkChoice name="Ink" ink={form.ink} onChoose={(ink) => set({ ink })} />
        <InkAdvice form={form} others={others} onTake={(ink) => set({ ink })} />
        <MarkChoice mark={form.mark} ink={form.ink} onChoose={(mark) => set({ mark })} />
        <View style={styles.closures}>
          <ToggleChip
            label="Its events are closures"
            isOn={form.isClosures}
            onPress={() => set({ isClosures: !form.isClosures })}
          />
          <Text variant="bodySmall" style={styles.hint}>
            You are told when a series falls on one, and its dates can be swept off.
          </Text>
        </View>
        {form.kind === 'followed' && (
          <View style={styles.closures}>
            <ToggleChip
              label="They are facts of the day"
              isOn={form.isFacts}
              onPress={() => set({ isFacts: !form.isFacts })}
            />
            <Text variant="bodySmall" style={styles.hint}>
              Tides, weather and the like: they stand in the heads of days, not as events.
            </Text>
          </View>
        )}
        {form.kind === 'own' &&
          (hasMore ? (
            <CalendarDefaults form={form} set={set} />
          ) : (
            <View style={styles.more}>
              <Button compact icon="chevron-down" onPress={() => setMore(true)}>
                What new events begin with
              </Button>
            </View>
          ))}
      </ScrollView>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  // Dialogs are as high as what they hold; the buttons stay in sight.
  scroll: { maxHeight: '62vh', width: 'min(84vw, 460px)' } as object,
  fields: { gap: 12, paddingTop: 6, paddingBottom: 4 },
  advice: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  closures: { gap: 4, alignItems: 'flex-start' },
  hint: { flex: 1 },
  more: { alignItems: 'flex-start' },
});
