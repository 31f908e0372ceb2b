import { expose, proxy } from 'comlink';
import { nanoid } from 'nanoid';
import { demoFiles } from '@/../demo/files';
import { demoSeed } from '@/../demo/scenario';
import type { DayNumber, EpochMs } from '@/core/time/units';
import { askFeed } from './feeds/askFeed';
import { keepErrorCodes } from './errorsAcross';
import { firstSeed } from './firstSeed';
import { officePost } from './invitations/officePost';
import { outboxOf } from './reminders/outbox';
import { STORE_RESET } from './storeReset';
import { openFileStore } from './storage/fileStore';
import { openRecordStore } from './storage/recordStore';
import type { OnStatus } from './engine';
import { Engine } from './engine';
import type { Surroundings } from './storage/store';

export type StoreName = 'own' | 'demo';

/** What the clock and the calendar on the wall show to the page. */
export interface Present {
  /** Epoch ms */
  now: EpochMs;
  /** Day number */
  today: DayNumber;
  zone: string;
  /** Whether this browser had something in the store before. */
  wasUsed: boolean;
  /** The name of this browser's box at the office's post. */
  box: string;
}

const nameOf = (store: StoreName) => `orderly-week-${store}`;
const filesOf = (store: StoreName) => `orderly-week-${store}-files`;

function surroundingsOf(store: StoreName, channel: BroadcastChannel): Surroundings {
  return {
    name: nanoid(8),
    alone: (work) => navigator.locks.request(nameOf(store), work) as ReturnType<typeof work>,
    announce: (keys) => channel.postMessage(keys),
  };
}

const seedOf = (store: StoreName, present: Present) => () =>
  store === 'demo' ? demoSeed(present) : firstSeed();

const api = {
  /** Opens a store and answers with its engine. */
  async open(store: StoreName, present: Present, onStatus: OnStatus) {
    const channel = new BroadcastChannel(nameOf(store));
    const surroundings = surroundingsOf(store, channel);
    const files = openFileStore(filesOf(store));
    const engine = new Engine(
      openRecordStore(nameOf(store), {
        onEmptied: () => void engine.storeEmptied(),
        onFreed: () => void engine.retry(),
      }),
      surroundings,
      {
        askFeed: askFeed(present.box),
        sendMessage: outboxOf(store, present.box),
        post: officePost(store === 'demo' ? present.box : null),
        files,
      },
    );
    channel.onmessage = (message: MessageEvent<string[]>) => void engine.hear(message.data);
    // A file whose content could not be put there says so when it is opened.
    if (store === 'demo') void files.put(demoFiles()).catch(() => undefined);
    await engine.open(seedOf(store, present), onStatus, present.wasUsed);
    return proxy(engine);
  },

  /** Empties a store; what it begins with comes back when it is next opened. */
  async resetStore(store: StoreName): Promise<void> {
    await navigator.locks.request(nameOf(store), () => openRecordStore(nameOf(store)).clear());
    new BroadcastChannel(STORE_RESET).postMessage(store);
  },
};

export type EngineApi = typeof api;

keepErrorCodes();
expose(api);
