import { useActions } from '@/data/actions';
import { useMessages } from '@/data/messages';
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
      onIconPress={close}
      iconAccessibilityLabel="Close message"
    >
      {message?.text ?? ''}
    </Snackbar>
  );
}
