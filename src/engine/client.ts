import type { Remote } from 'comlink';
import { proxy, wrap } from 'comlink';
import type { EngineProtocol, OnStatus } from './engine';
import type { EngineApi, Present, StoreName } from './engine.worker';
import { keepErrorCodes } from './errorsAcross';
import { watchWorker } from './interruption';

keepErrorCodes();

/** The engine as the page calls it: every answer is a promise. */
export type RemoteEngine = {
  readonly [Part in keyof EngineProtocol]: Remote<EngineProtocol[Part]>;
};

interface Running {
  worker: Worker;
  api: Remote<EngineApi>;
  /** Tells those who wait for an answer that the worker broke. */
  tellBroken(): void;
}

declare global {
  /** The worker as the page began it, while its scripts were still on their way (`scripts/pack.mjs`). */
  var begunWorker: Worker | null | undefined;
}

let running: Running | null = null;

function start(): Running {
  const begun = globalThis.begunWorker;
  globalThis.begunWorker = null;
  const worker = begun ?? new Worker(new URL('./engine.worker', import.meta.url));
  return { worker, api: wrap<EngineApi>(worker), tellBroken: watchWorker() };
}

/**
 * Starts the engine on a store. `onStopped` is told when the worker broke: what it held is in the
 * store, and the engine can be opened again.
 */
export async function openEngine(
  store: StoreName,
  present: Present,
  onStatus: OnStatus,
  onStopped: (reason: string) => void,
): Promise<RemoteEngine> {
  const { worker, api, tellBroken } = (running ??= start());
  worker.onerror = (event) => {
    event.preventDefault();
    worker.terminate();
    running = null;
    tellBroken();
    onStopped(event.message);
  };
  return (await api.open(store, present, proxy(onStatus))) as unknown as RemoteEngine;
}

/** Empties a store. The page is then loaded anew. */
export async function resetStore(store: StoreName): Promise<void> {
  await (running ??= start()).api.resetStore(store);
}
