import { ScrollView, StyleSheet } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { CalendarChip } from '@/ui/CalendarChip';

/** A chip for each calendar that shows or hides it. */
export function CalendarStrip({
  calendars,
  onShow,
}: {
  calendars: readonly Calendar[];
  onShow(calendar: Calendar, shown: boolean): void;
}) {
  return (
    <ScrollView
      horizontal
      role="group"
      aria-label="Calendars shown"
      tabIndex={-1}
      showsHorizontalScrollIndicator={false}
      style={styles.strip}
      contentContainerStyle={styles.chips}
    >
      {calendars.map((calendar) => (
        <CalendarChip
          key={calendar.id}
          calendar={calendar}
          role="switch"
          isOn={calendar.shown}
          onPress={() => onShow(calendar, !calendar.shown)}
        />
      ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  strip: { flexGrow: 0, flexShrink: 0 },
  chips: { gap: 6, paddingHorizontal: 14, paddingBottom: 8 },
});
