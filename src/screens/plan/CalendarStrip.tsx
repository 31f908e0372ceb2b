import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { CalendarSwitch } from './CalendarSwitch';
import { useCalendarsShown } from './useCalendarsShown';

/**
 * A chip for each listed calendar that shows or hides it, on as many lines as it takes; held, or by
 * the right button or the menu key, it opens what else can be done. Before them the way back from
 * one shown alone.
 */
export function CalendarStrip() {
  const showing = useCalendarsShown();
  const { listed, back, menu } = showing;
  return (
    <>
      <View role="group" aria-label="Calendars shown" style={styles.strip}>
        {back && (
          <Button
            mode="contained-tonal"
            icon="restore"
            {...(back.name && { accessibilityLabel: back.name })}
            style={styles.button}
            onPress={back.go}
          >
            {back.label}
          </Button>
        )}
        {listed.map((calendar) => (
          <CalendarSwitch key={calendar.id} calendar={calendar} showing={showing} />
        ))}
      </View>
      {menu}
    </>
  );
}

const styles = StyleSheet.create({
  // Past two lines the rest is scrolled to: the sheet is what the screen is for.
  strip: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    flexShrink: 0,
    gap: 6,
    maxHeight: 94,
    paddingHorizontal: 14,
    paddingBottom: 8,
    overflowY: 'auto',
  } as object,
  button: { height: 40, borderRadius: 9 },
});
