import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { createContext, useContext, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { dayOfWall } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import { STORE_RESET } from '@/engine/storeReset';
import type { RemoteEngine } from '@/engine/client';
import { openEngine } from '@/engine/client';
import type { EngineStatus } from '@/engine/engine';
import type { StoreName } from '@/engine/engine.worker';
import { describeError } from '@/core/userError';
import { newArrival } from './arrival';
import { browserZone } from './browser';
import { askAgain } from './dependences';
import { postBox } from './postBox';
import { noteUse, wasUsed } from './storeUse';
import { chosenStore } from './whichStore';

interface EngineState {
  store: StoreName;
  /** Null until the engine has opened its store. */
  engine: RemoteEngine | null;
  /** The engine as soon as it is there, so that what is done while it opens waits for it. */
  whenOpen(): Promise<RemoteEngine>;
  status: EngineStatus;
  /** Why the engine could not start at all. */
  failure: string | null;
  /** Why the worker broke, each time that it did; it is started again. */
  stops: readonly string[];
}

/** How often a worker that broke is started again. */
const MOST_STARTS = 3;

const OPENING: EngineStatus = {
  loaded: 0,
  total: 1,
  ready: false,
  setAside: 0,
  unsaved: null,
  readOnly: null,
  notes: [],
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
  const [arrival] = useState(newArrival<RemoteEngine>);
  const [engine, setEngine] = useState<RemoteEngine | null>(null);
  const [status, setStatus] = useState(OPENING);
  const [failure, setFailure] = useState<string | null>(null);
  const [stops, setStops] = useState<readonly string[]>([]);
  // The engine is asked first, and opens its store while the first screen is drawn.
  const isAsked = useDeferredValue(true, false);

  const starts = Math.min(stops.length, MOST_STARTS);
  useEffect(() => {
    const now = Date.now();
    const zone = browserZone();
    const today = dayOfWall(wallFromInstant(now, zone));
    openEngine(
      store,
      { now, today, zone, wasUsed: wasUsed(store), box: postBox() },
      (next, changed) => {
        setStatus(next);
        if (next.ready) noteUse(store);
        if (changed) void askAgain(client, changed);
      },
      (reason) => {
        arrival.left();
        setEngine(null);
        setStops((last) => [...last, reason]);
      },
    ).then(
      // A remote object is callable: handed over bare, React would take it for an updater.
      (opened) => {
        arrival.came(opened);
        setEngine(() => opened);
      },
      (error: Error) => {
        arrival.failed(describeError(error));
        setFailure(describeError(error));
      },
    );
    // Broken again and again, it is no use to start it once more.
  }, [client, store, starts, arrival]);

  const isWaiting = (status.unsaved?.changes ?? 0) > 0;
  useEffect(() => {
    if (!isWaiting) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [isWaiting]);

  useEffect(() => {
    const channel = new BroadcastChannel(STORE_RESET);
    channel.onmessage = ({ data }: MessageEvent<StoreName>) => {
      if (data === store) window.location.reload();
    };
    return () => channel.close();
  }, [store]);

  const value = useMemo(
    () => ({ store, engine, whenOpen: arrival.wait, status, failure, stops }),
    [store, engine, arrival, status, failure, stops],
  );
  return (
    <QueryClientProvider client={client}>
      <EngineContext.Provider value={value}>{isAsked ? children : null}</EngineContext.Provider>
    </QueryClientProvider>
  );
}

export function useEngine(): EngineState {
  const state = useContext(EngineContext);
  if (!state) throw new Error('useEngine needs an EngineProvider around it.');
  return state;
}
