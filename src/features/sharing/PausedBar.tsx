import { useState } from 'react';
import { Button } from 'react-native-paper';
import type { Share } from '@/core/model/share';
import { isOn } from '@/core/people/shareToken';
import { useEngineQuery } from '@/data/engineQuery';
import { usePeople } from '@/data/people';
import { useShares, useSharing } from '@/data/sharing';
import { AskBar } from '@/ui/AskBar';
import { LEVEL_WORDS } from './levels';

/** Which shares are paused and not over. */
const isWaiting = (share: Share) =>
  !isOn(share) && (share.expires === null || share.expires > Date.now());

/** Who would see what of a paused share, and whether it goes on. */
function PausedShare({ share, more, onLater }: { share: Share; more: number; onLater(): void }) {
  const people = usePeople();
  const sharing = useSharing();
  const { data: name } = useEngineQuery(['shares', 'name', share.of], (engine) =>
    engine.sharing.nameOf(share.of),
  );
  const who =
    share.personId === null
      ? 'Whoever has its address'
      : (people.find(({ id }) => id === share.personId)?.name ?? 'Somebody');
  const text = `Sharing ${name ?? 'something'} is paused. ${who} would see ${LEVEL_WORDS[share.level][1]}.`;
  return (
    <AskBar name="Paused sharing" icon="account-outline" text={text} more={more}>
      <Button compact mode="contained" onPress={() => void sharing.resume(share)}>
        Resume at a new address
      </Button>
      <Button compact onPress={() => void sharing.end(share)}>
        End it
      </Button>
      <Button compact onPress={onLater}>
        Later
      </Button>
    </AskBar>
  );
}

/** After a backup was restored: each share waits until the person goes on with it. Nothing is shared before. */
export function PausedBar() {
  const [later, setLater] = useState<readonly string[]>([]);
  const paused = useShares().filter((share) => isWaiting(share) && !later.includes(share.id));
  const [share] = paused;
  if (!share) return null;
  return (
    <PausedShare
      share={share}
      more={paused.length - 1}
      onLater={() => setLater([...later, share.id])}
    />
  );
}
