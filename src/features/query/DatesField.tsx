import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, HelperText } from 'react-native-paper';
import { daysIn, filterDates } from '@/core/find/daysIn';
import type { Filter } from '@/core/model/filter';
import { dayOfWall, formatDate, parseDate } from '@/core/time/civil';
import { isMonthFirst } from '@/core/time/words';
import { useWallNow } from '@/data/now';
import { usePreferences } from '@/data/preferences';
import { DayField } from '@/ui/DayField';
import { TextField } from '@/ui/TextField';
import { PresetChips } from './PresetChips';

type Dates = Filter['dates'];

const OFTEN = ['Last week', 'This week', 'Next week', 'Last month', 'This month', 'This year'].map(
  (label) => ({ label, value: label }),
);

/** Days to ask for: said in words, chosen from those that are often meant, or picked. */
export function DatesField({ dates, onChange }: { dates: Dates; onChange(dates: Dates): void }) {
  const { clock, wording, firstWeekday } = usePreferences();
  const today = dayOfWall(useWallNow(clock));
  const [typed, setTyped] = useState('');
  const meant = (words: string) =>
    daysIn(words, { today, firstWeekday, isMonthFirst: isMonthFirst(wording) })[0];
  const take = (words: string) => {
    const days = meant(words);
    if (days) onChange(filterDates(days));
  };
  const isUnread = typed.trim() !== '' && !meant(typed);
  const isSame = (words: string) => {
    const days = meant(words);
    const said = days && filterDates(days);
    return said !== undefined && dates?.from === said.from && dates.to === said.to;
  };
  const day = (date: string | null | undefined) => (date ? parseDate(date) : today);
  return (
    <View style={styles.all}>
      <PresetChips
        name="Often asked for"
        presets={OFTEN}
        isChosen={isSame}
        onChoose={(words) => (words === null ? onChange(null) : take(words))}
      />
      <TextField
        label="Days in words"
        placeholder="march, q3 2026, 3 to 14 may"
        value={typed}
        onChangeText={(next) => {
          setTyped(next);
          take(next);
        }}
        error={isUnread}
      />
      {isUnread && (
        <HelperText type="error" padding="none">
          That names no days. Try “march”, “last week” or “3 to 14 may”.
        </HelperText>
      )}
      <View style={styles.row}>
        <DayField
          label="From"
          day={day(dates?.from)}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={(from) => {
            const to = dates?.to ?? null;
            const last = to !== null && parseDate(to) < from ? formatDate(from) : to;
            onChange({ from: formatDate(from), to: last });
          }}
        />
        <DayField
          label="To"
          day={day(dates?.to ?? dates?.from)}
          wording={wording}
          firstWeekday={firstWeekday}
          onChange={(to) => {
            const from = dates?.from ?? null;
            const first = from !== null && parseDate(from) > to ? formatDate(to) : from;
            onChange({ from: first, to: formatDate(to) });
          }}
        />
      </View>
      {dates && (
        <View style={styles.row}>
          <Button compact onPress={() => onChange({ from: dates.from ?? dates.to, to: null })}>
            Without an end
          </Button>
          <Button compact onPress={() => onChange({ from: null, to: dates.to ?? dates.from })}>
            Without a beginning
          </Button>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
