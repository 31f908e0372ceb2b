import { nanoid } from 'nanoid';
import { useEffect, useMemo } from 'react';
import type { Share, SharedThing, ShareLevel } from '@/core/model/share';
import { z } from '@/core/model/zod';
import type { SharedCopy } from '@/core/people/shared';
import { isOn, tokenFor } from '@/core/people/shareToken';
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
import { localStore } from './localStore';
import { postBox } from './postBox';
import type { Preferences } from './preferences';
import { usePreferences } from './preferences';

/** Letters of a key: 192 bits. */
const SECRET = 32;
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
const standing = outsideState<ReadonlyMap<string, Standing>>(new Map());

/** Published as it is; waiting, with what stands in the way; or off, since it waits for the person. */
export type Standing = { is: 'published' } | { is: 'waiting'; why: string } | { is: 'off' };

const stand = (id: string, how: Standing) => standing.put(new Map(standing.get()).set(id, how));

export const useShareStanding = (id: string) => standing.useValue((all) => all.get(id));

type Secret = Pick<Share, 'token' | 'key'>;

/** What a request about a share says of who makes it. */
export const headersOf = ({ key }: Secret) => ({
  'X-Orderly-Week': 'shares',
  'X-Share-Key': key,
  'Content-Type': 'application/json',
});

/** What came of publishing: the version that lies there now, or why it does not. */
type Sending = { version: string } | { why: string };

const published = z.object({ version: z.string() });
const NO_ANSWER = 'The server does not answer. It is published as soon as it does.';

async function send(share: Share, copy: SharedCopy): Promise<Sending> {
  try {
    const response = await fetch(`/shares/${share.token}`, {
      method: 'PUT',
      headers: { ...headersOf(share), 'X-Share-Publisher': postBox() },
      body: JSON.stringify(copy),
    });
    if (response.ok) return published.parse(await response.json());
    const said = response.status === 507 ? await response.text() : '';
    return {
      why:
        said || `The server did not take it (${response.status}). It is tried again every minute.`,
    };
  } catch {
    return { why: NO_ANSWER };
  }
}

/** Versions that this window knows to lie at addresses, by the shares' ids. */
const versions = new Map<string, string>();

/** Whether what lies at an address is what was published last; it is asked of the server. */
async function isThere(share: Share): Promise<boolean> {
  try {
    const response = await fetch(`/shares/${share.token}`, { headers: headersOf(share) });
    if (response.status === 404) return false;
    if (!response.ok) throw new Error(String(response.status));
    return published.parse(await response.json()).version === versions.get(share.id);
  } catch {
    stand(share.id, { is: 'waiting', why: NO_ANSWER });
    return false;
  }
}

const takeBack = (share: Secret) =>
  fetch(`/shares/${share.token}`, { method: 'DELETE', headers: headersOf(share) });

const sentShares = z.record(z.string(), z.object({ token: z.string(), key: z.string() }));

/** What this browser published, by the shares' ids: one that is there no longer is taken back. */
const sent = (store: string) => localStore(() => `orderly-week-published-${store}`, sentShares, {});

function noteSent(store: string, id: string, share: Secret | null): void {
  const { [id]: _before, ...others } = sent(store).get();
  sent(store).put(share ? { ...others, [id]: { token: share.token, key: share.key } } : others);
}

/** Who publishes: the engine of a store. */
interface Publisher {
  engine: RemoteEngine;
  store: string;
}

/** Puts a share's copy at its address as things are, or takes it back where it is over, paused, or what it was of is gone. */
async function publish({ engine, store }: Publisher, share: Share, preferences: Preferences) {
  const isOver = share.expires !== null && share.expires <= Date.now();
  const isOff = isOver || !isOn(share);
  const copy = isOff ? null : await engine.sharing.copyOf(share, mannerOf(preferences));
  if (copy) {
    const sent = await send(share, copy);
    // What stands in the way is told beside the share, and it is tried again at the next minute.
    if ('why' in sent) return stand(share.id, { is: 'waiting', why: sent.why });
    versions.set(share.id, sent.version);
    noteSent(store, share.id, share);
    return stand(share.id, { is: 'published' });
  }
  try {
    if (share.id in sent(store).get()) await takeBack(share);
    noteSent(store, share.id, null);
    stand(share.id, { is: 'off' });
  } catch {
    stand(share.id, {
      is: 'waiting',
      why: 'The server does not answer. It is taken back as soon as it does.',
    });
  }
}

async function publishAll(
  publisher: Publisher,
  shares: readonly Share[],
  preferences: Preferences,
) {
  for (const share of shares) await publish(publisher, share, preferences);
  for (const [id, share] of Object.entries(sent(publisher.store).get())) {
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
  const isWaiting = standing.useValue((all) =>
    [...all.values()].some(({ is }) => is === 'waiting'),
  );
  const retry = isWaiting ? now : 0;
  useAddressesChecked(shares, { engine, store, preferences, now });
  useEffect(() => {
    if (!engine || !shares || turn === undefined) return;
    if (!shares.length && !Object.keys(sent(store).get()).length) return;
    const timer = setTimeout(() => void publishAll({ engine, store }, shares, preferences), QUIET);
    return () => clearTimeout(timer);
  }, [engine, store, shares, preferences, turn, retry]);
}

/** Looks once a minute whether addresses hold what was published last; what is dead or behind is published again, and told where that fails. */
function useAddressesChecked(
  shares: readonly Share[] | undefined,
  {
    engine,
    store,
    preferences,
    now,
  }: { engine: RemoteEngine | null; store: string; preferences: Preferences; now: number },
): void {
  const { complain } = useMessages();
  useEffect(() => {
    const check = async () => {
      for (const share of shares ?? []) {
        const known = standing.get().get(share.id)?.is;
        if (known !== 'published' || !engine || (await isThere(share))) continue;
        await publish({ engine, store }, share, preferences);
        const after = standing.get().get(share.id);
        if (after?.is !== 'waiting') continue;
        const name = (await engine.sharing.nameOf(share.of)) ?? 'something';
        complain(`The address at which you share ${name} is not up to date. ${after.why}`);
      }
    };
    void check();
    // The rest is as it is at each minute.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [now]);
}

const newSecrets = () => {
  const key = nanoid(SECRET);
  return { key, token: tokenFor(key) };
};

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
      const secrets = newSecrets();
      const made = Date.now();
      const expires = days ? made + days * DAY : null;
      const share = { ...fields, ...secrets, id: nanoid(12), made, expires };
      if (!(await act({ kind: 'keepShare', before: null, share }))) return;
      // It is looked at next: it does not wait for quiet.
      if (engine) await publish({ engine, store }, share, preferences);
      if (!told?.address) return;
      try {
        await outboxOf(
          store,
          postBox(),
        )({
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
    /** Goes on with one that was paused, at a new address: the old one may be somebody else's by now. */
    resume: async (before: Share): Promise<void> => {
      const share: Share = { ...before, ...newSecrets() };
      delete share.isPaused;
      if (!(await act({ kind: 'keepShare', before, share }))) return;
      if (engine) await publish({ engine, store }, share, preferences);
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
        stand(share.id, { is: 'waiting', why: NO_ANSWER });
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
