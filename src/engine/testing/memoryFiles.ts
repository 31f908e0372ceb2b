import type { FileStore } from '../storage/fileStore';

/** A file store for tests and benchmarks. */
export class MemoryFiles implements FileStore {
  readonly texts = new Map<string, string>();

  async get(id: string): Promise<string | null> {
    return this.texts.get(id) ?? null;
  }

  async put(files: Readonly<Record<string, string>>): Promise<void> {
    for (const [id, text] of Object.entries(files)) this.texts.set(id, text);
  }

  async ids(): Promise<string[]> {
    return [...this.texts.keys()];
  }

  async remove(ids: readonly string[]): Promise<void> {
    for (const id of ids) this.texts.delete(id);
  }
}
