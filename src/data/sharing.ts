import { nanoid } from 'nanoid';
import { useEffect, useMemo } from 'react';
import type { Share, SharedThing, ShareLevel } from '@/core/model/share';
import { z } from '@/core/model/zod';
import type { SharedCopy } from '@/core/people/shared';
import { DAY, dayOfWall } from '@/core/time/civil';
import type { RemoteEngine } from '@/engine/client';
import { outboxOf } from '@/engine/reminders/outbox';
import { download } from './browser';
import { useDo } from './commands';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { useMessages } from './messages';
import { useNow, useWallNow } from './now';
import { outsideState } from './outsideState';
import type { Preferences } from './preferences';
import { usePreferences } from './preferences';

/** Letters of a token and of a key: 144 bits each. */
const SECRET = 24;
/** How long it is quiet before what was changed is published, in ms. */
const QUIET = 2000;

/** The address of a share, whole. */
export const shareAddress = ({ token }: Share): string =>
  `${window.location.origin}/shared/${token}`;

/** What is shared, in the order in which it was. */
export function useShares(): readonly Share[] {
  const { data } = useEngineQuery(['shares'], (engine) => engine.sharing.all());
  return useMemo(() => data ?? [], [data]);
}

const mannerOf = ({ clock, wording }: Preferences) => ({ clock, wording, now: Date.now() });

/** The coming days of a calendar or a lens as they would be seen at a level. */
export function useSharePreview(of: SharedThing, level: ShareLevel) {
  const preferences = usePreferences();
  const today = dayOfWall(useWallNow(preferences.clock));
  return useEngineQuery(['sharePreview', of, level, today, preferences.clock], (engine) =>
    engine.sharing.preview(of, level, mannerOf(preferences)),
  );
}

/** How each share stands with the server, by its id: published as it is, or waiting until it answers. */
const standing = outsideState<ReadonlyMap<string, 'published' | 'waiting'>>(new Map());

const stand = (id: string, how: 'published' | 'waiting') =>
  standing.put(new Map(standing.get()).set(id, how));

export const useShareStanding = (id: string) => standing.use((all) => all.get(id));

type Secret = Pick<Share, 'token' | 'key'>;

/** What a request about a share says of who makes it. */
export const headersOf = ({ key }: Secret) => ({
  'X-Orderly-Week': 'shares',
  'X-Share-Key': key,
  'Content-Type': 'application/json',
});

async function send(share: Share, copy: SharedCopy): Promise<void> {
  const response = await fetch(`/shares/${share.token}`, {
    method: 'PUT',
    headers: headersOf(share),
    body: JSON.stringify(copy),
  });
  if (!response.ok) throw new Error(`It answered ${response.status}.`);
}

const takeBack = (share: Secret) =>
  fetch(`/shares/${share.token}`, { method: 'DELETE', headers: headersOf(share) });

/** Where this browser remembers what it published, so that what is ended meanwhile is taken back. */
const SENT_KEY = 'orderly-week-published';
const sentShares = z.record(z.string(), z.object({ token: z.string(), key: z.string() }));
type Sent = z.infer<typeof sentShares>;

/** What this browser published, by the shares' ids: one that is there no longer is taken back. */
function sentOf(store: string): Sent {
  try {
    return sentShares.parse(
      JSON.parse(window.localStorage.getItem(`${SENT_KEY}-${store}`) ?? '{}'),
    );
  } catch {
    return {}; // What can't be read, or not be kept, is what nobody can take back from here.
  }
}

function noteSent(store: string, id: string, share: Secret | null): void {
  const { [id]: _before, ...others } = sentOf(store);
  const next: Sent = share ? { ...others, [id]: { token: share.token, key: share.key } } : others;
  try {
    window.localStorage.setItem(`${SENT_KEY}-${store}`, JSON.stringify(next));
  } catch {
    // A browser that keeps nothing keeps no share for the next time either.
  }
}

/** Who publishes: the engine of a store. */
interface Publisher {
  engine: RemoteEngine;
  store: string;
}

/** Puts a share's copy at its address as things are, or takes it back where it is over or what it was of is gone. */
async function publish({ engine, store }: Publisher, share: Share, preferences: Preferences) {
  const isOver = share.expires !== null && share.expires <= Date.now();
  const copy = isOver ? null : await engine.sharing.copyOf(share, mannerOf(preferences));
  try {
    await (copy ? send(share, copy) : takeBack(share));
    noteSent(store, share.id, share);
    stand(share.id, 'published');
  } catch {
    // It is told beside the share, and tried again at the next minute.
    stand(share.id, 'waiting');
  }
}

async function publishAll(
  publisher: Publisher,
  shares: readonly Share[],
  preferences: Preferences,
) {
  for (const share of shares) await publish(publisher, share, preferences);
  for (const [id, share] of Object.entries(sentOf(publisher.store))) {
    if (shares.some((one) => one.id === id)) continue;
    try {
      await takeBack(share);
      noteSent(publisher.store, id, null);
    } catch {
      // The server does not answer: nobody sees it there either, and it is taken back when it does.
    }
  }
}

/** Keeps what stands at the addresses of shares like what they are of. */
export function usePublishing(): void {
  const { engine, store } = useEngine();
  const preferences = usePreferences();
  const { data: shares } = useEngineQuery(['shares'], (remote) => remote.sharing.all());
  const now = useNow();
  const { data: turn } = useEngineQuery(['shareTurn'], (remote) => remote.sharing.turn());
  const isWaiting = standing.use((all) => [...all.values()].includes('waiting'));
  const retry = isWaiting ? now : 0;
  useEffect(() => {
    if (!engine || !shares || turn === undefined) return;
    if (!shares.length && !Object.keys(sentOf(store)).length) return;
    const timer = setTimeout(() => void publishAll({ engine, store }, shares, preferences), QUIET);
    return () => clearTimeout(timer);
  }, [engine, store, shares, preferences, turn, retry]);
}

/** Sharing, and ending it. */
export function useSharing() {
  const act = useDo();
  const { engine, store } = useEngine();
  const preferences = usePreferences();
  const { say, complain } = useMessages();
  return {
    /** Shares something, by an address that nobody can guess. */
    begin: async (
      fields: Pick<Share, 'of' | 'level' | 'personId'>,
      /** Days that it lasts; 0 for as long as it is not ended. */
      days: number,
      /** Who is told by mail, and what it is called. */
      told: { address: string; name: string } | null,
    ): Promise<void> => {
      const secrets = { token: nanoid(SECRET), key: nanoid(SECRET) };
      const made = Date.now();
      const expires = days ? made + days * DAY : null;
      const share = { ...fields, ...secrets, id: nanoid(12), made, expires };
      if (!(await act({ kind: 'keepShare', before: null, share }))) return;
      // It is looked at next: it does not wait for quiet.
      if (engine) await publish({ engine, store }, share, preferences);
      if (!told?.address) return;
      try {
        await outboxOf(store)({
          id: `share ${share.id}`,
          how: 'mail',
          to: told.address,
          at: share.made,
          subject: `Shared with you: ${told.name}`,
          text: `You can see ${told.name} here, and follow it from there:\n\n${shareAddress(share)}`,
        });
      } catch {
        complain(`The mail with its address could not be sent. It is: ${shareAddress(share)}`);
      }
    },
    change: (before: Share, fields: Partial<Pick<Share, 'level' | 'expires'>>) =>
      act({ kind: 'keepShare', before, share: { ...before, ...fields } }),
    /** Ends it at once, also where the rest has to wait. */
    end: async (share: Share): Promise<void> => {
      if (!(await act({ kind: 'endShare', id: share.id }))) return;
      try {
        await takeBack(share);
        noteSent(store, share.id, null);
      } catch {
        stand(share.id, 'waiting');
        complain('The server does not answer: the address is taken back as soon as it does.');
      }
    },
    copyAddress: async (share: Share): Promise<void> => {
      try {
        await navigator.clipboard.writeText(shareAddress(share));
        say('Copied the address.');
      } catch {
        complain(`The browser does not let the address be copied. It is: ${shareAddress(share)}`);
      }
    },
    /** The same copy as a file. */
    save: async (of: SharedThing, level: ShareLevel, name: string): Promise<void> => {
      if (!engine) return;
      download(`${name}.ics`, await engine.sharing.file(of, level, Date.now()), 'text/calendar');
    },
  };
}
