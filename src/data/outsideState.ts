import { useSyncExternalStore } from 'react';

/** A value that outlives the screens that draw it, and that several of them follow. */
export interface OutsideState<T> {
  get(): T;
  put(next: T): void;
  /** Calls back whenever it is another one; answers with what ends that. */
  listen(listener: () => void): () => void;
  /** The value, or what is picked from it, drawn anew when that is another one. */
  useValue(): T;
  useValue<Part>(pick: (value: T) => Part): Part;
}

/** Makes such a value, for this window, until it is loaded anew. */
export function outsideState<T>(first: T): OutsideState<T> {
  let value = first;
  const listeners = new Set<() => void>();
  const listen = (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  };
  function useValue<Part>(pick?: (value: T) => Part): T | Part {
    return useSyncExternalStore(listen, () => (pick ? pick(value) : value));
  }
  return {
    get: () => value,
    put(next) {
      value = next;
      for (const listener of listeners) listener();
    },
    listen,
    useValue: useValue as OutsideState<T>['useValue'],
  };
}
