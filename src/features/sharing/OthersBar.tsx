import { Button } from 'react-native-paper';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import { useOthersChanges } from '@/data/sharedChanges';
import type { OthersChange } from '@/engine/people/sharing';
import { AskBar } from '@/ui/AskBar';

/** What somebody did, in a sentence, with what they wrote where the person wrote something else. */
function sayChange({ by, title, isGone, isToGo, theirs }: OthersChange): string {
  if (isGone) return `${by} removed ${title}.`;
  if (isToGo) return `${by} wanted ${title} removed. You had changed it, so it stays.`;
  if (theirs) return `${by} and you both changed ${title}. Yours stays; theirs: ${theirs}.`;
  return `${by} changed ${title}.`;
}

/** What others with whom something is shared did to it: seen, or theirs taken after all. */
export function OthersBar() {
  const act = useDo();
  const askSheet = useAskSheet();
  const all = useOthersChanges();
  const [first] = all;
  if (!first) return null;
  const settle = (takes: boolean) =>
    void act({ kind: 'settleShared', id: first.eventId, takes }, { isQuiet: !takes });
  return (
    <AskBar
      name="Changed by others"
      icon="account-outline"
      text={sayChange(first)}
      more={all.length - 1}
    >
      {!first.isGone && (
        <Button
          compact
          onPress={() => askSheet({ kind: 'event', id: first.occurrenceId, uncovers: true })}
        >
          Look
        </Button>
      )}
      {(first.isToGo || first.theirs !== '') && (
        <Button compact onPress={() => settle(true)}>
          {first.isToGo ? 'Remove it' : 'Take theirs'}
        </Button>
      )}
      <Button compact mode="contained" onPress={() => settle(false)}>
        Seen
      </Button>
    </AskBar>
  );
}
