import { StyleSheet } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { CalendarChip } from './CalendarChip';
import { RadioGroup } from './RadioGroup';

interface Props {
  calendars: readonly Calendar[];
  chosenId: string;
  onChoose(id: string): void;
}

/** The calendar that something goes to. */
export function CalendarChoice({ calendars, chosenId, onChoose }: Props) {
  return (
    <RadioGroup name="Calendar" style={styles.row}>
      {calendars.map((calendar) => (
        <CalendarChip
          key={calendar.id}
          calendar={calendar}
          role="radio"
          isOn={calendar.id === chosenId}
          onPress={() => onChoose(calendar.id)}
        />
      ))}
    </RadioGroup>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 } });
