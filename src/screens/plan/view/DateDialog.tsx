import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { civilDate, dayNumber } from '@/core/time/civil';
import { isMonthFirst, LONG_DAY, sayDay } from '@/core/time/words';
import type { DayNumber } from '@/core/time/units';
import type { EventQuery } from '@/core/query/eventQuery';
import { typedDay } from '@/core/view/typedDate';
import type { Preferences } from '@/data/preferences';
import { useDayLoads } from '@/data/queries';
import { useCopyAddress } from '@/data/useCopyAddress';
import { DayPicker } from '@/ui/DayPicker';
import { TextField } from '@/ui/TextField';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** Day number */
  day: DayNumber;
  today: DayNumber;
  /** The days shown now. */
  range: { from: number; to: number };
  query: EventQuery;
  preferences: Preferences;
  onGo(day: DayNumber): void;
  onClose(): void;
}

/** Room for a month, in px. */
const MONTH = 320;
const MOST_MONTHS = 3;

/** First day of a month that lies some months after that of a day. */
function monthAfter(day: DayNumber, months: number): number {
  const { year, month } = civilDate(day);
  const index = year * 12 + month - 1 + months;
  return dayNumber(Math.floor(index / 12), (index % 12) + 1, 1);
}

/** Going to a date: typed, or picked from one to three months that mark what is shown and booked. */
export function DateDialog({ day, today, range, query, preferences, onGo, onClose }: Props) {
  const { clock, wording, firstWeekday } = preferences;
  const { width } = useWindowDimensions();
  const { dim, brick } = usePalette();
  const copyAddress = useCopyAddress();
  const months = Math.max(1, Math.min(MOST_MONTHS, Math.floor(width / MONTH)));
  const [shown, setShown] = useState(day);
  const [text, setText] = useState('');
  const from = monthAfter(shown, 0);
  const to = monthAfter(shown, months);
  const { data: loads } = useDayLoads({ fromDay: from, toDay: to, zone: clock }, query, true);
  const typed = typedDay(text, {
    today,
    firstWeekday,
    isMonthFirst: isMonthFirst(wording),
  });
  return (
    <DayPicker
      title="Go to a date"
      day={day}
      months={months}
      wording={wording}
      firstWeekday={firstWeekday}
      marks={{
        isShown: (each) => each >= range.from && each < range.to,
        isBusy: (each) => (loads?.events[each - from] ?? 0) > 0,
      }}
      onMonth={setShown}
      onPick={onGo}
      onClose={onClose}
    >
      <View style={styles.typed}>
        <TextField
          label="A date, “week 32” or “in 3 weeks”"
          value={text}
          onChangeText={setText}
          onSubmitEditing={() => typed !== null && onGo(typed)}
          style={styles.field}
        />
        <Button mode="contained" disabled={typed === null} onPress={() => onGo(typed!)}>
          Go
        </Button>
      </View>
      <Button compact icon="link-variant" onPress={() => void copyAddress()} style={styles.address}>
        Copy the address of what is shown
      </Button>
      {text.trim() !== '' && (
        <Text role="status" variant="bodySmall" style={{ color: typed === null ? brick : dim }}>
          {typed === null ? 'That names no date yet.' : sayDay(typed, wording, LONG_DAY)}
        </Text>
      )}
    </DayPicker>
  );
}

const styles = StyleSheet.create({
  typed: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  field: { flex: 1, minWidth: 0 },
  address: { alignSelf: 'flex-start' },
});
