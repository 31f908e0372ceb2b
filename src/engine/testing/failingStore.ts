import type { FileStore } from '../storage/fileStore';
import { MemoryFiles } from './memoryFiles';
import { MemoryStore } from './memoryStore';

/** Counts what is asked of a storage, and lets one of it fail. */
export class Fault {
  asked = 0;
  /** Which operation fails, from 1; null when none does. */
  failsAt: number | null = null;

  /** @throws Error when it is this one's turn. */
  pass(): void {
    this.asked++;
    if (this.asked === this.failsAt) throw new Error('the disk did not answer');
  }
}

/** A store whose n-th operation fails, without having done anything. */
export class FailingStore extends MemoryStore {
  constructor(private readonly fault: Fault) {
    super();
  }

  override async keys(): Promise<string[]> {
    this.fault.pass();
    return super.keys();
  }

  override async getMany(keys: readonly string[]): Promise<Map<string, string>> {
    this.fault.pass();
    return super.getMany(keys);
  }

  override async setMany(entries: ReadonlyMap<string, string | null>): Promise<void> {
    this.fault.pass();
    await super.setMany(entries);
  }
}

/** The same for the contents of files. */
export class FailingFiles implements FileStore {
  readonly kept = new MemoryFiles();

  constructor(private readonly fault: Fault) {}

  async get(id: string): Promise<string | null> {
    this.fault.pass();
    return this.kept.get(id);
  }

  async put(files: Readonly<Record<string, string>>): Promise<void> {
    this.fault.pass();
    await this.kept.put(files);
  }

  async ids(): Promise<string[]> {
    this.fault.pass();
    return this.kept.ids();
  }

  async remove(ids: readonly string[]): Promise<void> {
    this.fault.pass();
    await this.kept.remove(ids);
  }
}
