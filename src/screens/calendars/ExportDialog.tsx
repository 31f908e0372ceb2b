import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { OutColumn } from '@/core/files/csv/write';
import { OUT_COLUMNS } from '@/core/files/csv/write';
import { sayFilesLeft } from '@/core/files/attached';
import type { Calendar } from '@/core/model/calendar';
import { civilDate, dayNumber } from '@/core/time/civil';
import { count } from '@/core/time/words';
import { download } from '@/data/browser';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { usePreferences } from '@/data/preferences';
import { CalendarChip } from '@/ui/CalendarChip';
import { Choice } from '@/ui/Choice';
import { DayField } from '@/ui/DayField';
import { Dialog } from '@/ui/Dialog';
import { EventPicker } from './EventPicker';
import { ToggleGroup } from '@/ui/ToggleGroup';

interface Props {
  calendars: readonly Calendar[];
  /** Day number */
  today: number;
  onClose(): void;
}

const COLUMNS = (Object.keys(OUT_COLUMNS) as OutColumn[]).map((value) => ({
  value,
  label: OUT_COLUMNS[value],
}));

/** Which calendars, of which time, go out in which kind of file. */
export function ExportDialog({ calendars, today, onClose }: Props) {
  const { engine } = useEngine();
  const { say, complain } = useMessages();
  const { zone, wording, firstWeekday } = usePreferences();
  const { year } = civilDate(today);
  const [kind, setKind] = useState<'ics' | 'csv'>('ics');
  const [time, setTime] = useState<'all' | 'period' | 'chosen'>('all');
  const [ids, setIds] = useState(() => calendars.map(({ id }) => id));
  const [days, setDays] = useState({ from: dayNumber(year, 1, 1), to: dayNumber(year, 12, 31) });
  const [eventIds, setEventIds] = useState<string[]>([]);
  const [columns, setColumns] = useState(() => COLUMNS.map(({ value }) => value));
  const isTable = kind === 'csv';
  const isChosen = !isTable && time === 'chosen';
  const hasPeriod = isTable || time === 'period';
  const isGood =
    ids.length > 0 &&
    days.to >= days.from &&
    (!isTable || columns.length > 0) &&
    (!isChosen || eventIds.length > 0);

  async function exportIt() {
    if (!engine) return;
    const calendarIds = ids.length === calendars.length ? null : ids;
    const period = { fromDay: days.from, toDay: days.to + 1, zone };
    try {
      const file = isTable
        ? await engine.exportTable({
            calendarIds,
            period,
            // In their usual order, whatever the order of the presses.
            columns: COLUMNS.flatMap(({ value }) => (columns.includes(value) ? [value] : [])),
          })
        : await engine.exportCalendars({
            calendarIds,
            ...(hasPeriod && { period }),
            ...(isChosen && { eventIds }),
          });
      download(`${file.name}.${kind}`, file.text, isTable ? 'text/csv' : 'text/calendar');
      say(
        `Exported ${count(file.events, isTable ? 'line' : 'event')} to ${file.name}.${kind}${sayFilesLeft(file.filesLeft)}`,
      );
      onClose();
    } catch (error) {
      complain(`That could not be exported: ${(error as Error).message}`);
    }
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
                  setIds(isOn ? ids.filter((id) => id !== calendar.id) : [...ids, calendar.id])
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
