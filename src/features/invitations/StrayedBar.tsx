import { Button } from 'react-native-paper';
import { sayParty } from '@/core/invitations/party';
import { useDo } from '@/data/commands';
import { useStrayed } from '@/data/invitations';
import { putAside } from '@/data/touched';
import { AskBar } from '@/ui/AskBar';

/** After an event to which somebody else asks was moved: whether they are asked for that time too. */
export function StrayedBar() {
  const act = useDo();
  const all = useStrayed();
  const [row] = all;
  if (!row) return null;
  const { uid, eventId, start, end, title, from, when } = row;
  const who = sayParty(from).split(' ')[0];
  return (
    <AskBar
      name="Moved on your sheet alone"
      icon="clock-outline"
      text={`${who} asks to “${title}”. Only on your sheet it is at ${when}.`}
      more={all.length - 1}
    >
      {row.mayPropose && (
        <Button
          compact
          mode="contained"
          onPress={() =>
            void act({ kind: 'proposeTime', uid, key: null, start, end, line: '' }).then(
              (isDone) => isDone && putAside(eventId),
            )
          }
        >
          {`Propose it to ${who}`}
        </Button>
      )}
      <Button compact onPress={() => void act({ kind: 'backToAsked', uid })}>
        Put it back
      </Button>
      <Button compact onPress={() => putAside(eventId)}>
        Keep it so
      </Button>
    </AskBar>
  );
}
