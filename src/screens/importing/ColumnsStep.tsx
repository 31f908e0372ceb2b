import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { ColumnMap, ColumnMeaning } from '@/core/files/csv/columns';
import { COLUMN_MEANINGS, recallColumns } from '@/core/files/csv/columns';
import type { DateOrder } from '@/core/files/csv/dates';
import { readDate } from '@/core/files/csv/dates';
import type { Wording } from '@/core/time/words';
import { count, LONG_DAY, sayDay } from '@/core/time/words';
import type { TableLook } from '@/engine/files/importer';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { usePalette } from '@/ui/theme/theme';

const MEANINGS = Object.keys(COLUMN_MEANINGS) as ColumnMeaning[];

/** How a table is to be read. */
export interface TableChoice {
  columns: ColumnMap;
  order: DateOrder;
}

interface Props {
  look: TableLook;
  /** What was chosen before, when one comes back from the look at the rows. */
  chosen: TableChoice | null;
  remembered: Readonly<Record<string, string>> | undefined;
  wording: Wording;
  onRead(choice: TableChoice): void;
  onStop(): void;
}

/** Which column means what, and which way round the dates are. */
export function ColumnsStep({ look, chosen, remembered, wording, onRead, onStop }: Props) {
  const palette = usePalette();
  const [columns, setColumns] = useState<ColumnMap>(
    () => chosen?.columns ?? recallColumns(look.columns, remembered) ?? look.guessed,
  );
  const [order, setOrder] = useState<DateOrder>(chosen?.order ?? look.order ?? 'day');
  const choose = (meaning: ColumnMeaning, at: number) =>
    setColumns(({ [meaning]: _last, ...others }) =>
      at < 0 ? others : { ...others, [meaning]: at },
    );
  const sample = (at: number | undefined) =>
    at === undefined ? '' : (look.samples.find((cells) => cells[at])?.[at] ?? '');
  const date = sample(columns.startDate);
  const day = date === '' ? null : readDate(date, order);

  return (
    <Card title={look.fileName}>
      <Text>
        {count(look.rows, 'row')}. What do its columns mean? The choice is remembered for files with
        the same columns.
      </Text>
      <View style={styles.columns}>
        {MEANINGS.map((meaning) => (
          <label key={meaning} className="column-choice" style={{ color: palette.ink }}>
            <span>{COLUMN_MEANINGS[meaning]}</span>
            <select
              value={columns[meaning] ?? -1}
              onChange={(event) => choose(meaning, Number(event.target.value))}
              style={{
                borderColor: palette.hairline,
                background: palette.sheet,
                color: palette.ink,
              }}
            >
              <option value={-1}>No column</option>
              {look.columns.map((name, at) => (
                <option key={at} value={at}>
                  {name}
                </option>
              ))}
            </select>
            <em style={{ color: palette.dim }}>{sample(columns[meaning]).slice(0, 40)}</em>
          </label>
        ))}
      </View>
      {look.isOrderAsked && (
        <Choice<DateOrder>
          name={
            look.order === null
              ? 'The dates could be read either way. Which comes first?'
              : `The dates tell that the ${look.order} comes first`
          }
          value={order}
          options={[
            { value: 'day' as const, label: 'Day first' },
            { value: 'month' as const, label: 'Month first' },
          ]}
          onChoose={setOrder}
        />
      )}
      {date !== '' && (
        <Text role="status">
          {day === null
            ? `“${date}” is no date that way.`
            : `“${date}” is ${sayDay(day, wording, LONG_DAY)}.`}
        </Text>
      )}
      <View style={styles.buttons}>
        <Button onPress={onStop}>Cancel</Button>
        <Button
          mode="contained"
          disabled={columns.startDate === undefined}
          onPress={() => onRead({ columns, order })}
        >
          Look at the rows
        </Button>
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  columns: { gap: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
