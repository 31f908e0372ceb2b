import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { Dialog } from '@/ui/Dialog';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { CalendarSwitch } from './CalendarSwitch';
import { usePlan } from './PlanProvider';
import { useCalendarsShown } from './useCalendarsShown';

/** Marks that the button has room for, in two lines. */
const MARKS = 8;

/** On a phone: the marks of the calendars, those that are shown in their inks, and the way to all of them. */
export function CalendarsButton() {
  const { calendars, dialog, dispatch } = usePlan();
  const showing = useCalendarsShown();
  const { listed, back, openMenu, menu } = showing;
  const palette = usePalette();
  const shown = listed.filter((calendar) => calendar.shown).length;
  const close = () => dispatch({ do: 'ask', dialog: null });
  // They come a moment after the sheet.
  if (!calendars.length) return null;
  return (
    <>
      <Pressable
        role="button"
        aria-haspopup="dialog"
        aria-label={`Calendars: ${shown} of ${listed.length} shown`}
        onPress={() => dispatch({ do: 'ask', dialog: 'calendars' })}
        style={[
          styles.button,
          { borderColor: palette.hairline, backgroundColor: palette.sheet },
          shown < listed.length && { borderColor: palette.amber },
        ]}
      >
        <View style={styles.marks}>
          {listed.slice(0, MARKS).map(({ id, mark, ink, shown: isShown }) => (
            <View key={id} style={!isShown && styles.hidden}>
              <Mark
                mark={mark}
                size={10}
                colour={isShown ? inkColours(ink, palette).edge : palette.dim}
              />
            </View>
          ))}
        </View>
      </Pressable>
      {dialog === 'calendars' && (
        <Dialog
          title="Calendars shown"
          onClose={close}
          footer={
            <Button mode="contained" onPress={close}>
              Done
            </Button>
          }
        >
          <ScrollView style={styles.scroll} contentContainerStyle={styles.list}>
            {back && (
              <Button mode="contained-tonal" icon="restore" onPress={back.go}>
                {back.name ?? back.label}
              </Button>
            )}
            <View role="group" aria-label="Calendars shown" style={styles.list}>
              {listed.map((calendar) => (
                <View key={calendar.id} style={styles.line}>
                  <View style={styles.chip}>
                    <CalendarSwitch calendar={calendar} showing={showing} />
                  </View>
                  <Icon
                    name={calendar.shown ? 'eye-outline' : 'eye-off-outline'}
                    size={20}
                    color={calendar.shown ? palette.accent : palette.dim}
                  />
                  <IconButton
                    icon="dots-vertical"
                    size={20}
                    accessibilityLabel={`More for ${calendar.name}`}
                    onPress={() => openMenu(calendar.id)}
                    style={styles.more}
                  />
                </View>
              ))}
            </View>
          </ScrollView>
        </Dialog>
      )}
      {menu}
    </>
  );
}

const styles = StyleSheet.create({
  button: {
    height: 40,
    paddingHorizontal: 9,
    borderWidth: 1,
    borderRadius: 9,
    justifyContent: 'center',
  },
  marks: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, maxWidth: 56 },
  hidden: { opacity: 0.35 },
  scroll: { maxHeight: '60vh', width: 'min(80vw, 320px)' } as object,
  list: { gap: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  chip: { flex: 1, minWidth: 0 },
  more: { margin: 0, width: 40, height: 40 },
});
