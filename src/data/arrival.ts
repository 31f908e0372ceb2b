import { UserError } from '@/core/userError';

/** Something that is not there yet, and that may go and come again. */
export interface Arrival<T> {
  /** It, as soon as it is there. @throws Error once it is known that it will not come. */
  wait(): Promise<T>;
  /** Tells those who wait that it is there, or why it will not come. */
  came(it: T): void;
  failed(reason: string): void;
  /** It is not there any more. */
  left(): void;
}

/** Makes one, which is not there at first. */
export function newArrival<T>(): Arrival<T> {
  let settle: { came(it: T): void; failed(reason: Error): void };
  let waiting: Promise<T>;
  function left() {
    waiting = new Promise((came, failed) => (settle = { came, failed }));
    // Who does not wait need not hear of it.
    waiting.catch(() => undefined);
  }
  left();
  return {
    wait: () => waiting,
    came: (it) => settle.came(it),
    failed: (reason) => settle.failed(new UserError('storage', reason)),
    left,
  };
}
