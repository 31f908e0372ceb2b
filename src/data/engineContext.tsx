import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import { dayOfWall } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { AFRESH } from '@/engine/afresh';
import type { RemoteEngine } from '@/engine/client';
import { openEngine } from '@/engine/client';
import type { EngineStatus } from '@/engine/engine';
import type { StoreName } from '@/engine/engine.worker';
import { browserZone } from './browser';
import { chosenStore } from './whichStore';

interface EngineState {
  store: StoreName;
  /** Null until the engine has opened its store. */
  engine: RemoteEngine | null;
  status: EngineStatus;
  /** Why the engine could not start at all. */
  failure: string | null;
}

const OPENING: EngineStatus = {
  loaded: 0,
  total: 1,
  ready: false,
  setAside: 0,
  unsaved: null,
  undo: null,
  redo: null,
};

const EngineContext = createContext<EngineState | null>(null);

/** Records come from the worker alone, which says when they changed: nothing grows stale by itself. */
function newQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: { staleTime: Infinity, gcTime: 60_000, retry: false, networkMode: 'always' },
    },
  });
}

export function EngineProvider({ children }: { children: ReactNode }) {
  const [client] = useState(newQueryClient);
  const [store] = useState(chosenStore);
  const [engine, setEngine] = useState<RemoteEngine | null>(null);
  const [status, setStatus] = useState(OPENING);
  const [failure, setFailure] = useState<string | null>(null);

  useEffect(() => {
    const now = Date.now();
    const zone = browserZone();
    const today = dayOfWall(wallFromInstant(now, zone));
    openEngine(store, { now, today, zone }, (next, recordsChanged) => {
      setStatus(next);
      if (recordsChanged) void client.invalidateQueries();
    }).then(
      // A remote object is callable: handed over bare, React would take it for an updater.
      (opened) => setEngine(() => opened),
      (error: Error) => setFailure(error.message),
    );
  }, [client, store]);

  useEffect(() => {
    const channel = new BroadcastChannel(AFRESH);
    channel.onmessage = ({ data }: MessageEvent<StoreName>) => {
      if (data === store) window.location.reload();
    };
    return () => channel.close();
  }, [store]);

  const value = useMemo(
    () => ({ store, engine, status, failure }),
    [store, engine, status, failure],
  );
  return (
    <QueryClientProvider client={client}>
      <EngineContext.Provider value={value}>{children}</EngineContext.Provider>
    </QueryClientProvider>
  );
}

export function useEngine(): EngineState {
  const state = useContext(EngineContext);
  if (!state) throw new Error('useEngine needs an EngineProvider around it.');
  return state;
}
