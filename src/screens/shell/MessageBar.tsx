import { useActions } from '@/data/actions';
import { useMessages } from '@/data/messages';
import { StyleSheet } from 'react-native';
import { Snackbar } from 'react-native-paper';

const WORDS = { undo: 'Undo', redo: 'Do again' } as const;
/** Long enough to read and to reach Undo, in ms. */
const STAYS = 8000;

/** The answer to the last action. */
export function MessageBar() {
  const { message, close } = useMessages();
  const { step } = useActions();
  const offer = message?.offer;
  return (
    <Snackbar
      key={message?.id}
      visible={message !== null}
      onDismiss={close}
      duration={message?.isProblem ? Infinity : STAYS}
      action={offer ? { label: WORDS[offer], onPress: () => void step(offer) } : undefined}
      icon="close"
      onIconPress={close}
      iconAccessibilityLabel="Close message"
      wrapperStyle={styles.place}
    >
      {message?.text ?? ''}
    </Snackbar>
  );
}

// Clear of the ruler and of a panel's buttons, and no wider than is read in a glance.
const styles = StyleSheet.create({ place: { bottom: 62, maxWidth: 560, zIndex: 20 } });
