import { StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { CalendarChip } from './CalendarChip';

interface Props {
  calendars: readonly Calendar[];
  chosenId: string;
  onChoose(id: string): void;
}

/** The calendar that something goes to. */
export function CalendarChoice({ calendars, chosenId, onChoose }: Props) {
  return (
    <View role="radiogroup" aria-label="Calendar" style={styles.row}>
      {calendars.map((calendar) => (
        <CalendarChip
          key={calendar.id}
          calendar={calendar}
          role="radio"
          isOn={calendar.id === chosenId}
          onPress={() => onChoose(calendar.id)}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 } });
