import { useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, IconButton, Text, useTheme } from 'react-native-paper';
import { useHistory } from '@/data/history';
import { useAskSheet } from '@/data/asked';
import { useSheetShown } from '@/data/sheetShown';
import type { Message, Offer } from '@/data/messages';
import { useMessages } from '@/data/messages';
import { useCalendars, useWhereabouts } from '@/data/queries';
import { useClearPlace } from './useClearPlace';

const WORDS = { undo: 'Undo', redo: 'Do again' } as const;
/** Long enough to read and to reach Undo, in ms. */
const STAYS = 8000;

/** Whether what a message is about can be seen as things are; and if not, why. */
function useSeen(about: string | null): { isSeen: boolean; why: string } {
  const inSight = useSheetShown();
  const calendars = useCalendars();
  const { data: found } = useWhereabouts(about, inSight);
  if (!found) return { isSeen: true, why: '' };
  const { occurrence: o, isCalendarShown, passesFilter } = found;
  const name = calendars.find(({ id }) => id === o.calendarId)?.name;
  if (!isCalendarShown) return { isSeen: false, why: `${name} is hidden here.` };
  if (!inSight) return { isSeen: false, why: '' };
  if (!passesFilter) return { isSeen: false, why: 'The filter holds it back.' };
  return { isSeen: found.isInDays, why: '' };
}

function Shown({ message }: { message: Message }) {
  const { close } = useMessages();
  const { step } = useHistory();
  const { colors } = useTheme();
  const askSheet = useAskSheet();
  const bar = useRef<View>(null);
  const { text, offers, about, isProblem } = message;
  const { isSeen, why } = useSeen(about);
  const place = useClearPlace(bar, about);
  useEffect(() => {
    if (isProblem) return;
    const timer = setTimeout(close, STAYS);
    return () => clearTimeout(timer);
  }, [isProblem, close, message]);

  const all: readonly Offer[] =
    about === null || isSeen
      ? offers
      : [
          ...offers,
          {
            label: 'Show it',
            run: () => {
              close();
              askSheet({ kind: 'event', id: about, uncovers: true });
            },
          },
        ];
  return (
    <View ref={bar} style={[styles.bar, styles[place], { backgroundColor: colors.inverseSurface }]}>
      <Text style={[styles.text, { color: colors.inverseOnSurface }]}>
        {why ? `${text.replace(/\.$/, '')}. ${why}` : text}
      </Text>
      {all.map((offer) => {
        const isStep = typeof offer === 'string';
        const label = isStep ? WORDS[offer] : offer.label;
        return (
          <Button
            key={label}
            compact
            textColor={colors.inversePrimary}
            onPress={() => (isStep ? void step(offer) : offer.run())}
          >
            {label}
          </Button>
        );
      })}
      <IconButton
        icon="close"
        size={20}
        iconColor={colors.inverseOnSurface}
        accessibilityLabel="Close message"
        onPress={close}
        style={styles.close}
      />
    </View>
  );
}

/** The answer to the last action. The region is there before its text, so that it is read out. */
export function MessageBar() {
  const { message } = useMessages();
  return (
    <>
      {(['polite', 'assertive'] as const).map((urgency) => (
        <View key={urgency} aria-live={urgency} style={styles.region}>
          {message && (urgency === 'assertive') === message.isProblem && (
            <Shown key={message.id} message={message} />
          )}
        </View>
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  region: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, pointerEvents: 'none' },
  bar: {
    position: 'absolute',
    alignSelf: 'center',
    left: 8,
    right: 8,
    maxWidth: 560,
    marginHorizontal: 'auto',
    minHeight: 48,
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'flex-end',
    borderRadius: 8,
    paddingLeft: 14,
    paddingVertical: 2,
    boxShadow: '0 2px 10px rgba(0,0,0,0.3)',
    pointerEvents: 'auto',
    zIndex: 20,
  },
  // Clear of the ruler and of a panel's buttons, or of the title.
  bottom: { bottom: 62 },
  top: { top: 58 },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 200, paddingVertical: 8 },
  close: { margin: 0, width: 40, height: 40 },
});
