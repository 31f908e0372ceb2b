import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { OutColumn } from '@/core/files/csv/write';
import { OUT_COLUMNS } from '@/core/files/csv/write';
import type { Calendar } from '@/core/model/calendar';
import { EMPTY_FILTER } from '@/core/model/filter';
import type { EventQuery } from '@/core/query/eventQuery';
import { partsSet } from '@/core/query/filterParts';
import { civilDate, dayNumber } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';
import { useEngine } from '@/data/engineContext';
import { lastSheetShown } from '@/data/sheetShown';
import { usePreferences } from '@/data/preferences';
import { useExports } from '@/data/useExports';
import type { EngineStatus } from '@/engine/engine';
import { CalendarChip } from '@/ui/CalendarChip';
import { EventPicker } from '@/features/event/EventPicker';
import { Check } from '@/ui/Check';
import { Choice } from '@/ui/Choice';
import { DayField } from '@/ui/DayField';
import { Dialog } from '@/ui/Dialog';
import { ToggleGroup } from '@/ui/ToggleGroup';

interface Props {
  calendars: readonly Calendar[];
  /** Day number */
  today: DayNumber;
  onClose(): void;
}

const COLUMNS = (Object.keys(OUT_COLUMNS) as OutColumn[]).map((value) => ({
  value,
  label: OUT_COLUMNS[value],
}));

const UNFILTERED = { filter: EMPTY_FILTER, now: 0 };

/** What the sheet's filter lets through, where one was set when it was shown last. */
function lastFilter(): Pick<EventQuery, 'filter' | 'now'> | null {
  const last = lastSheetShown()?.query;
  return last && partsSet(last.filter) > 0 ? { filter: last.filter, now: last.now } : null;
}

/** The days that the sheet showed last; before it showed any, this year. The last is included. */
function daysToBegin(today: DayNumber): { from: number; to: number } {
  const last = lastSheetShown();
  if (last) return { from: last.fromDay, to: last.toDay - 1 };
  const { year } = civilDate(today);
  return { from: dayNumber(year, 1, 1), to: dayNumber(year, 12, 31) };
}

/** Why a file would not hold everything; null when it would. */
function sayMissing({ readOnly, ready, loaded, total }: EngineStatus): string | null {
  if (readOnly?.kind === 'incomplete') return readOnly.reason;
  if (ready) return null;
  return loaded > 0 ? `${loaded} of ${total} records are, so far.` : 'it is still being read.';
}

/** Which calendars, of which time, go out in which kind of file. */
export function ExportDialog({ calendars, today, onClose }: Props) {
  const exports = useExports();
  const { zone, wording, firstWeekday } = usePreferences();
  const [kind, setKind] = useState<'ics' | 'csv'>('ics');
  const [time, setTime] = useState<'all' | 'period' | 'chosen'>('all');
  // Those that are left out: calendars may still be on their way when this opens.
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  const ids = calendars.map(({ id }) => id).filter((id) => !leftOut.includes(id));
  const [days, setDays] = useState(() => daysToBegin(today));
  const [eventIds, setEventIds] = useState<string[]>([]);
  const [columns, setColumns] = useState(() => COLUMNS.map(({ value }) => value));
  const [withFiles, setWithFiles] = useState(false);
  const [filtered] = useState(lastFilter);
  const [isFiltered, setFiltered] = useState(false);
  const { status } = useEngine();
  const missing = sayMissing(status);
  const isTable = kind === 'csv';
  const isChosen = !isTable && time === 'chosen';
  const hasPeriod = isTable || time === 'period';
  const isGood =
    ids.length > 0 &&
    days.to >= days.from &&
    (!isTable || columns.length > 0) &&
    (!isChosen || eventIds.length > 0);

  async function exportIt() {
    const query: EventQuery = {
      calendars: ids.length === calendars.length ? 'all' : ids,
      eventIds: isChosen ? eventIds : null,
      ...(isFiltered && filtered && !isChosen ? filtered : UNFILTERED),
    };
    const period = { fromDay: days.from, toDay: days.to + 1, zone };
    // In their usual order, whatever the order of the presses.
    const inOrder = COLUMNS.flatMap(({ value }) => (columns.includes(value) ? [value] : []));
    const isDone = isTable
      ? await exports.table({ query, period, columns: inOrder })
      : await exports.calendarFile({
          query,
          withFiles,
          ...(hasPeriod && { period }),
        });
    if (isDone) onClose();
  }

  const day = { wording, firstWeekday };
  return (
    <Dialog
      title="Export"
      onClose={onClose}
      footer={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" disabled={!isGood} onPress={() => void exportIt()}>
            Export
          </Button>
        </>
      }
    >
      <ScrollView style={styles.scroll} contentContainerStyle={styles.parts}>
        {missing && (
          <Text role="alert">
            Not everything is here: {missing} The file will hold only what could be read.
          </Text>
        )}
        <Choice<'ics' | 'csv'>
          name="As"
          value={kind}
          options={[
            { value: 'ics' as const, label: 'Calendar file (.ics)' },
            { value: 'csv' as const, label: 'Table (.csv)' },
          ]}
          onChoose={setKind}
        />
        <View role="group" aria-label="Calendars to export" style={styles.row}>
          {calendars.map((calendar) => {
            const isOn = ids.includes(calendar.id);
            return (
              <CalendarChip
                key={calendar.id}
                calendar={calendar}
                role="switch"
                isOn={isOn}
                onPress={() =>
                  setLeftOut(
                    isOn ? [...leftOut, calendar.id] : leftOut.filter((id) => id !== calendar.id),
                  )
                }
              />
            );
          })}
        </View>
        {isTable ? (
          <Text variant="bodySmall">One line for each date of an event, in this time:</Text>
        ) : (
          <Choice<'all' | 'period' | 'chosen'>
            name="Of"
            value={time}
            options={[
              { value: 'all' as const, label: 'All time' },
              { value: 'period' as const, label: 'A period' },
              { value: 'chosen' as const, label: 'Events I choose' },
            ]}
            onChoose={setTime}
          />
        )}
        {isChosen && <EventPicker chosen={eventIds} onChange={setEventIds} />}
        {hasPeriod && (
          <View style={styles.row}>
            <DayField
              label="From"
              day={days.from}
              onChange={(from) => setDays(({ to }) => ({ from, to: Math.max(from, to) }))}
              {...day}
            />
            <DayField
              label="To"
              day={days.to}
              error={days.to < days.from}
              onChange={(to) => setDays(({ from }) => ({ from, to }))}
              {...day}
            />
          </View>
        )}
        {filtered && !isChosen && (
          <Check
            label="Only what the filter of the sheet lets through"
            isOn={isFiltered}
            onChange={setFiltered}
          />
        )}
        {!isTable && (
          <Check
            label="With attached files: inside it up to 2 MB each, larger ones beside it"
            isOn={withFiles}
            onChange={setWithFiles}
          />
        )}
        {isTable && (
          <ToggleGroup name="Columns" options={COLUMNS} chosen={columns} onChange={setColumns} />
        )}
      </ScrollView>
    </Dialog>
  );
}

const styles = StyleSheet.create({
  scroll: { maxHeight: '62vh', width: 'min(84vw, 460px)' } as object,
  parts: { gap: 12, paddingTop: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
