import { useEffect, useMemo } from 'react';
import { mayChange } from '@/core/model/share';
import { isOn } from '@/core/people/shareToken';
import type { OthersChange } from '@/engine/people/sharing';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { inOneWindow } from './inOneWindow';
import { useMessages } from './messages';
import { useNow } from './now';
import { usePreferences } from './preferences';
import { useShares } from './sharing';
import type { Taken } from './takeShared';

/** Only one window of a browser takes in at a time. */
const takeIn = inOneWindow('orderly-week-shared-changes');

const sayAll = ([first = '', ...rest]: readonly string[]): string =>
  rest.length ? `${first}, and ${rest.length} more by others` : first;

/** Takes in what others do by shares that let them: once a minute, and when such a share is begun. */
export function useSharedChanges(): void {
  const { engine, status } = useEngine();
  const { clock, wording } = usePreferences();
  const { say, complain } = useMessages();
  const now = useNow();
  const all = useShares();
  const shares = useMemo(() => all.filter((share) => mayChange(share.level) && isOn(share)), [all]);
  const { ready } = status;
  useEffect(() => {
    if (!engine || !ready || !shares.length) return;
    const takeAll = async () => {
      // What reads it comes once something is shared so.
      const { takeShared } = await import('./takeShared');
      const taken: Taken = { did: [], refused: [] };
      for (const share of shares) {
        try {
          const saying = { wording, clock };
          const { did, refused } = await takeShared(engine, share, { now: Date.now(), saying });
          taken.did.push(...did);
          taken.refused.push(...refused);
        } catch {
          // The server does not answer: what waits there is asked for again within the minute.
        }
      }
      if (taken.did.length) say(sayAll(taken.did), { offers: ['undo'] });
      if (taken.refused.length) complain(sayAll(taken.refused));
    };
    void takeIn(takeAll);
  }, [engine, ready, shares, now, say, complain, wording, clock]);
}

/** What others changed and the person has not seen yet, the last first. */
export function useOthersChanges(): readonly OthersChange[] {
  const { wording } = usePreferences();
  const { data } = useEngineQuery(['byOthers', wording], (engine) =>
    engine.sharing.byOthers({ wording }),
  );
  return useMemo(() => data ?? [], [data]);
}
