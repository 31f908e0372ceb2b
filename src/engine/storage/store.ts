/** Whether an answer waits until what was written is on the disk, and not only on its way there. */
export type Durability = 'strict' | 'relaxed';

/** Where records are kept: a shelf of texts by key. All of it may fail (quota, storage denied). */
export interface Store {
  keys(): Promise<string[]>;
  /** The texts of those keys that there are. */
  getMany(keys: readonly string[]): Promise<Map<string, string>>;
  /** Writes all entries or none; null takes a key away. */
  setMany(entries: ReadonlyMap<string, string | null>, durability: Durability): Promise<void>;
  /** Takes everything away. */
  clear(): Promise<void>;
}

/** What stands around a store when several windows use it. */
export interface Surroundings {
  /** What tells this window from others; a page that was loaded anew is another one. */
  name: string;
  /** Runs work while no other window does (Web Locks). */
  alone<T>(work: () => Promise<T>): Promise<T>;
  /** Tells other windows which keys were written. */
  announce(keys: readonly string[]): void;
}
