import { nanoid } from 'nanoid';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { alikeInks, freeInk, inkName } from '@/core/calendars/inks';
import {
  minutesFromStart,
  TIMED_REMINDERS,
  WHOLE_DAY_REMINDERS,
  withMinutes,
} from '@/core/reminders/words';
import type { Calendar } from '@/core/model/calendar';
import { newCalendar } from '@/core/model/calendar';
import { nextInkAndMark } from '@/core/model/inks';
import { joinWords } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { usePreferences } from '@/data/preferences';
import { AVAILABILITIES } from '@/features/event/choices';
import { ZonePicker } from '@/features/zones/ZonePicker';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { InkChoice } from '@/ui/InkChoice';
import { MarkChoice } from '@/ui/MarkChoice';
import { TextField } from '@/ui/TextField';
import { ToggleChip } from '@/ui/ToggleChip';
import { ToggleGroup } from '@/ui/ToggleGroup';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** Null makes a new one. */
  calendar: Calendar | null;
  calendars: readonly Calendar[];
  onClose(): void;
}

const LENGTHS = [15, 30, 45, 60, 90, 120];

function freshCalendar(calendars: readonly Calendar[]): Calendar {
  const { mark } = nextInkAndMark(calendars);
  return newCalendar({
    id: nanoid(12),
    name: '',
    order: Math.max(-1, ...calendars.map(({ order }) => order)) + 1,
    mark,
    ink: freeInk(calendars.map(({ ink }) => ink)),
  });
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

/** What new events of a calendar begin with. */
function Defaults({ form, set }: { form: Calendar; set(fields: Partial<Calendar>): void }) {
  const { settings, wording } = usePreferences();
  const lengths = [...new Set([...LENGTHS, ...(form.defaultLength ? [form.defaultLength] : [])])];
  return (
    <>
      <Choice
        name="New events last"
        value={form.defaultLength ?? null}
        options={[
          { value: null, label: `As in settings (${settings.defaultLength} min)` },
          ...lengths.map((value) => ({ value, label: `${value} min` })),
        ]}
        onChoose={(length) => set({ defaultLength: length ?? undefined })}
      />
      <Choice
        name="While they last I am"
        value={form.defaultAvailability}
        options={AVAILABILITIES}
        onChoose={(defaultAvailability) => set({ defaultAvailability })}
      />
      <ToggleGroup
        name="Remind me of events with a time"
        options={TIMED_REMINDERS}
        chosen={minutesFromStart(form.defaultReminders)}
        onChange={(minutes) =>
          set({ defaultReminders: withMinutes(form.defaultReminders, minutes) })
        }
      />
      <ToggleGroup
        name="Remind me of whole days"
        options={WHOLE_DAY_REMINDERS}
        chosen={minutesFromStart(form.defaultWholeDayReminders)}
        onChange={(minutes) =>
          set({ defaultWholeDayReminders: withMinutes(form.defaultWholeDayReminders, minutes) })
        }
      />
      <ZonePicker
        key={form.zone ?? 'home'}
        label="Zone of new events"
        placeholder="Home"
        zone={form.zone ?? null}
        hourCycle={wording.hourCycle}
        onChoose={(zone) => set({ zone })}
        {...(form.zone
          ? { other: { label: 'Back to home', onPress: () => set({ zone: undefined }) } }
          : {})}
      />
    </>
  );
}

/** A calendar's name, looks, and what its events begin with. */
export function CalendarDialog({ calendar, calendars, onClose }: Props) {
  const act = useDo();
  const [form, setForm] = useState(() => calendar ?? freshCalendar(calendars));
  const [hasMore, setMore] = useState(false);
  const set = (fields: Partial<Calendar>) => setForm((last) => ({ ...last, ...fields }));
  const others = calendars.filter(({ id }) => id !== form.id);
  const name = form.name.trim();
  const isTaken = others.some((other) => other.name.toLowerCase() === name.toLowerCase());
  const isGood = name !== '' && !isTaken;

  async function keep() {
    if (!isGood) return;
    const after = { ...form, name };
    const done = calendar
      ? await act({ kind: 'editCalendar', before: calendar, fields: after })
      : await act({ kind: 'addCalendar', calendar: after });
    if (done) onClose();
  }

  return (
    <Dialog
      title={calendar ? `Edit ${calendar.name}` : 'New calendar'}
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={!isGood} onPress={() => void keep()}>
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
          onSubmitEditing={() => void keep()}
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
        {form.kind === 'own' &&
          (hasMore ? (
            <Defaults form={form} set={set} />
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
