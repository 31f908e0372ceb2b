import { nanoid } from 'nanoid';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';
import type { NamedPeriod, PeriodRun } from '@/core/model/view';
import { namedPeriod, periodRun } from '@/core/model/view';
import { formatDate, parseDate, civilDate } from '@/core/time/civil';
import { sayDay, sayDays } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import { useDo } from '@/data/commands';
import type { Preferences } from '@/data/preferences';
import { Choice } from '@/ui/Choice';
import { DayField } from '@/ui/DayField';
import { Dialog } from '@/ui/Dialog';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';

type Kind = 'once' | PeriodRun['pattern'];

const KINDS: { value: Kind; label: string }[] = [
  { value: 'once', label: 'From – to' },
  { value: 'months', label: '12 months a year' },
  { value: 'weeks445', label: '4, 4 and 5 weeks' },
  { value: 'fourWeeks', label: '13 times 4 weeks' },
];

const KIND_WORDS: Record<PeriodRun['pattern'], string> = {
  months: '12 months a year',
  weeks445: '12 a year, of 4, 4 and 5 weeks',
  fourWeeks: '13 a year, of 4 weeks',
};

const DATE = { day: 'numeric', month: 'long', year: 'numeric' } as const;

interface Props {
  preferences: Preferences;
  /** Day number to begin a new one at. */
  day: DayNumber;
  /** Shows the period that was made. */
  onMade(id: string): void;
  onClose(): void;
}

/** Why what was put in makes no period; null when it does. */
function problemOf(kind: Kind, period: NamedPeriod, run: PeriodRun): string | null {
  const { success, error } =
    kind === 'once' ? namedPeriod.safeParse(period) : periodRun.safeParse(run);
  if (success) return null;
  const issue = error.issues[0]!;
  return issue.path[0] === 'name' ? 'Give it a name.' : `The period ${issue.message}.`;
}

/** The person's periods: stretches with a name, and runs of them as accounts are kept by. */
export function PeriodsDialog({ preferences, day, onMade, onClose }: Props) {
  const { settings, wording, firstWeekday } = preferences;
  const act = useDo();
  const palette = usePalette();
  const [kind, setKind] = useState<Kind>('once');
  const [name, setName] = useState('');
  const [from, setFrom] = useState(day);
  const [to, setTo] = useState(day + 27);
  const [isTold, setTold] = useState(false);
  const id = 'new';
  const period: NamedPeriod = { id, name: name.trim(), from: formatDate(from), to: formatDate(to) };
  const run: PeriodRun = {
    id,
    name: name.trim(),
    pattern: kind === 'once' ? 'months' : kind,
    start: formatDate(from),
  };
  const problem = problemOf(kind, period, run);

  async function make() {
    setTold(true);
    if (problem !== null) return;
    const made = nanoid(12);
    const fields =
      kind === 'once'
        ? { periods: [...settings.periods, { ...period, id: made }] }
        : { periodRuns: [...settings.periodRuns, { ...run, id: made }] };
    await act({
      kind: 'setSettings',
      before: settings,
      fields,
      label: `Made the period ${period.name}`,
    });
    onMade(made);
  }

  const remove = (gone: string, called: string) =>
    void act({
      kind: 'setSettings',
      before: settings,
      fields: {
        periods: settings.periods.filter((each) => each.id !== gone),
        periodRuns: settings.periodRuns.filter((each) => each.id !== gone),
      },
      label: `Removed the period ${called}`,
    });

  const rows = [
    ...settings.periods.map((each) => ({
      ...each,
      says: sayDays(
        parseDate(each.from),
        parseDate(each.to) + 1,
        wording,
        civilDate(day).year,
        true,
      ),
    })),
    ...settings.periodRuns.map((each) => ({
      ...each,
      says: `${KIND_WORDS[each.pattern]}, from ${sayDay(parseDate(each.start), wording, DATE)}`,
    })),
  ];
  return (
    <Dialog
      title="Periods"
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={() => void make()}>
            Make and show
          </Button>
        </>
      }
    >
      {rows.length > 0 && (
        <View role="list" aria-label="Periods">
          {rows.map((row) => (
            <View key={row.id} role="listitem" style={styles.row}>
              <View style={styles.words}>
                <Text style={styles.name}>{row.name}</Text>
                <Text variant="bodySmall" style={{ color: palette.dim }}>
                  {row.says}
                </Text>
              </View>
              <IconButton
                icon="delete-outline"
                size={20}
                accessibilityLabel={`Remove ${row.name}`}
                onPress={() => remove(row.id, row.name)}
                style={styles.button}
              />
            </View>
          ))}
        </View>
      )}
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        A new one
      </Text>
      <TextField label="Name" value={name} onChangeText={setName} error={isTold && !period.name} />
      <Choice<Kind> name="What it is" value={kind} options={KINDS} onChoose={setKind} />
      <View style={styles.days}>
        <DayField
          label={kind === 'once' ? 'From' : 'A year begins on'}
          day={from}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={setFrom}
        />
        {kind === 'once' && (
          <DayField
            label="To, included"
            day={to}
            wording={wording}
            firstWeekday={firstWeekday}
            onChange={setTo}
            error={isTold && to < from}
          />
        )}
      </View>
      {isTold && problem !== null && (
        <Text role="alert" style={{ color: palette.brick }}>
          {problem}
        </Text>
      )}
    </Dialog>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', minHeight: 44 },
  words: { flex: 1, minWidth: 0 },
  name: { fontWeight: '600' },
  button: { margin: 0, width: 40, height: 40 },
  days: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
