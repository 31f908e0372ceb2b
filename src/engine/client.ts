import type { Remote } from 'comlink';
import { proxy, wrap } from 'comlink';
import type { Engine, EngineStatus } from './engine';
import type { EngineApi, Present, StoreName } from './engine.worker';

/** The engine as the page calls it: every answer is a promise. */
export type RemoteEngine = Remote<Engine>;

let worker: Remote<EngineApi> | null = null;

function engineWorker(): Remote<EngineApi> {
  worker ??= wrap<EngineApi>(new Worker(new URL('./engine.worker', import.meta.url)));
  return worker;
}

/** Starts the engine on a store. */
export async function openEngine(
  store: StoreName,
  present: Present,
  onStatus: (status: EngineStatus, recordsChanged: boolean) => void,
): Promise<RemoteEngine> {
  return (await engineWorker().open(store, present, proxy(onStatus))) as unknown as RemoteEngine;
}

/** Empties a store. The page is then loaded anew. */
export async function startAfresh(store: StoreName): Promise<void> {
  await engineWorker().startAfresh(store);
}
