import type { TypedRecord } from '@/core/model/records';
import { Engine } from '../engine';
import { firstSeed } from '../firstSeed';
import type { Surroundings } from '../storage/store';
import { MemoryStore } from './memoryStore';
import { outside } from './outside';

/** As a browser delivers what windows tell each other: once what runs now is over. */
async function later(work: () => Promise<void>): Promise<void> {
  await new Promise((resolve) => setImmediate(resolve));
  await work();
}

/** Windows that share a store: what one writes, the others hear. */
export class Windows {
  readonly store = new MemoryStore();
  readonly engines: Engine[] = [];
  private readonly heard: Promise<void>[] = [];
  private queue: Promise<unknown> = Promise.resolve();

  async open(seed: () => TypedRecord[] = firstSeed): Promise<Engine> {
    const surroundings: Surroundings = {
      name: 'here',
      alone: (work) => {
        const turn = this.queue.then(work);
        this.queue = turn.catch(() => undefined);
        return turn;
      },
      announce: (keys) => {
        for (const other of this.engines)
          if (other !== engine) this.heard.push(later(() => other.hear(keys)));
      },
    };
    const engine = new Engine(this.store, surroundings, outside());
    this.engines.push(engine);
    let ready = () => {};
    const loaded = new Promise<void>((resolve) => (ready = resolve));
    await engine.open(seed, (status) => status.ready && ready());
    await loaded;
    return engine;
  }

  /** Answers once every window has heard of everything. */
  async settled(): Promise<void> {
    while (this.heard.length) await Promise.all(this.heard.splice(0));
    await this.queue;
  }
}
