import { useRouter } from 'expo-router';
import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, ProgressBar, Text } from 'react-native-paper';
import { rememberColumns } from '@/core/files/csv/columns';
import { newCalendar } from '@/core/model/calendar';
import { nextInkAndMark } from '@/core/model/inks';
import { count } from '@/core/time/words';
import { useDo } from '@/data/commands';
import { putIncoming, useIncoming } from '@/data/incomingFiles';
import { usePreferences } from '@/data/preferences';
import { useCalendars } from '@/data/queries';
import type { ImportPreview, ImportTarget } from '@/engine/files/importer';
import { FileDrop } from '@/features/files/FileDrop';
import { HelpMark } from '@/features/help/HelpMark';
import { CalendarChoice } from '@/ui/CalendarChoice';
import { Card } from '@/ui/Card';
import { Check } from '@/ui/Check';
import { Page } from '@/ui/Page';
import { ToggleChip } from '@/ui/ToggleChip';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';
import { AsInvitation } from './AsInvitation';
import { ColumnsStep } from './ColumnsStep';
import { Preview } from './Preview';
import type { OpenTable } from './useImport';
import { useImport } from './useImport';

interface TargetProps {
  preview: ImportPreview;
  isBusy: boolean;
  onKeep(target: ImportTarget): void;
  onStop(): void;
}

/** Which calendar new events go to: one that is there or a new one, which the file's name is offered for. */
function Target({ preview, isBusy, onKeep, onStop }: TargetProps) {
  const calendars = useCalendars();
  const own = calendars.filter(({ kind }) => kind === 'own');
  const alike = own.find(({ name }) => name.toLowerCase() === preview.calendarName.toLowerCase());
  const [chosenId, setChosenId] = useState<string | null>(alike?.id ?? null);
  const [name, setName] = useState(preview.calendarName);
  const isNew = chosenId === null;
  const { doubles, oddZones } = preview.odd;
  const canTidy = doubles.length + oddZones.length > 0;
  const [wantsTidy, setWantsTidy] = useState(false);
  const isTidied = canTidy && wantsTidy;
  const changes = preview.fates.new + preview.fates.updated + preview.counts.tasks;

  function keep() {
    if (!isNew) {
      onKeep({ calendarId: chosenId, isTidied });
      return;
    }
    const order = Math.max(-1, ...calendars.map((calendar) => calendar.order)) + 1;
    onKeep({
      isTidied,
      newCalendar: newCalendar({
        id: nanoid(12),
        name: name.trim(),
        order,
        ...nextInkAndMark(calendars),
      }),
    });
  }

  return (
    <Card title="New events go to">
      <View style={styles.buttons}>
        <ToggleChip label="A new calendar" isOn={isNew} onPress={() => setChosenId(null)} />
      </View>
      <CalendarChoice calendars={own} chosenId={chosenId ?? ''} onChoose={setChosenId} />
      {isNew && <TextField label="Name of the new calendar" value={name} onChangeText={setName} />}
      <Text variant="bodySmall">What updates an event stays on that event’s calendar.</Text>
      {canTidy && (
        <Check
          label="Tidied: what is there already is joined with it, and nights go to the zone that they fit"
          isOn={wantsTidy}
          onChange={setWantsTidy}
        />
      )}
      {isBusy && <ProgressBar indeterminate aria-label="Keeping" />}
      <View style={styles.buttons}>
        <Button onPress={onStop} disabled={isBusy}>
          Cancel
        </Button>
        <Button
          mode="contained"
          onPress={keep}
          disabled={isBusy || changes === 0 || (isNew && name.trim() === '')}
        >
          {changes === 0 ? 'Nothing to bring in' : `Bring in ${count(changes, 'entry', 'entries')}`}
        </Button>
      </View>
    </Card>
  );
}

/** Brings calendar files or a table in: choose, look, keep. */
export function ImportScreen() {
  const router = useRouter();
  const palette = usePalette();
  const { state, isReady, read, readTable, backToColumns, keep, stop } = useImport();
  const { settings, zone, wording } = usePreferences();
  const act = useDo();

  const readRows = (table: OpenTable) =>
    readTable(table, { zone, defaultLength: settings.defaultLength, now: Date.now() });

  // What another screen found in a message.
  const incoming = useIncoming();
  useEffect(() => {
    if (!isReady || !incoming) return;
    putIncoming(null);
    void read([...incoming]);
  }, [isReady, incoming, read]);

  /** What the columns mean is remembered once rows came in by it: a wrong match is not. */
  async function remember({ look, choice }: OpenTable) {
    const { csvColumns } = settings;
    const chosen = rememberColumns(look.columns, choice.columns);
    if (JSON.stringify(csvColumns[look.signature]) === JSON.stringify(chosen)) return;
    await act({
      kind: 'setSettings',
      before: settings,
      fields: { csvColumns: { ...csvColumns, [look.signature]: chosen } },
      label: `Remembered the columns of ${look.fileName}`,
    });
  }

  const back = (
    <Button icon="arrow-left" onPress={() => router.navigate('/calendars')}>
      Calendars
    </Button>
  );
  return (
    <Page title="Import files" mark={<HelpMark topic="files" about="files" />} actions={back}>
      {state.step === 'choose' && (
        <>
          {state.problem && (
            <View
              role="alert"
              style={[
                styles.problem,
                { backgroundColor: palette.amberWash, borderColor: palette.amber },
              ]}
            >
              <Text style={styles.strong}>This file can’t come in. Nothing was changed.</Text>
              <Text>{state.problem}</Text>
            </View>
          )}
          {isReady ? (
            <FileDrop
              says="Drop calendar files (.ics) or a table (.csv) here, or"
              label="Calendar file"
              accept=".ics,.ical,.ifb,.csv,.tsv,text/calendar,text/csv"
              icon="calendar-import"
              onFiles={(files) => void read(files)}
            />
          ) : (
            <Text>Opening your calendars …</Text>
          )}
        </>
      )}
      {state.step === 'reading' && (
        <Card title={`Reading ${state.fileName}`}>
          <ProgressBar
            aria-label="Reading"
            indeterminate={!state.progress}
            progress={
              state.progress ? state.progress.done / Math.max(1, state.progress.total) : undefined
            }
          />
          <Text>
            {state.progress
              ? `${state.progress.done.toLocaleString('en')} of ${count(state.progress.total, 'entry', 'entries')}`
              : 'Opening the file …'}
          </Text>
          <Button onPress={stop}>Stop</Button>
        </Card>
      )}
      {state.step === 'columns' && (
        <ColumnsStep
          look={state.look}
          remembered={settings.csvColumns[state.look.signature]}
          wording={wording}
          chosen={state.chosen}
          onRead={(choice) => void readRows({ look: state.look, choice })}
          onStop={stop}
        />
      )}
      {(state.step === 'preview' || state.step === 'keeping') && (
        <>
          {state.invitation && <AsInvitation file={state.invitation} />}
          <Target
            preview={state.preview}
            isBusy={state.step === 'keeping'}
            onKeep={(target) => {
              if (state.table) void remember(state.table);
              void keep(state, target);
            }}
            onStop={stop}
          />
          {state.table && state.step === 'preview' && (
            <Button icon="arrow-left" onPress={() => backToColumns(state.table!)}>
              What the columns mean
            </Button>
          )}
          <Preview preview={state.preview} />
        </>
      )}
      {state.step === 'done' && (
        <Card>
          <Text role="status">{state.text}</Text>
          <View style={styles.buttons}>
            <Button mode="contained" onPress={() => router.navigate('/')}>
              See the plan
            </Button>
            <Button onPress={stop}>Import another file</Button>
          </View>
        </Card>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
  problem: { borderWidth: 1, borderRadius: 10, padding: 12, gap: 4 },
  strong: { fontWeight: '600' },
});
