import type { RecordOf, RecordType } from '@/core/model/records';
import {
  checkRecord,
  keyOf,
  readRecord,
  RecordError,
  splitKey,
  writeChecked,
} from '@/core/model/records';
import type { AnyRecord, ChangeRequest, History, KeptChange, Step } from './change';
import {
  applyEdit,
  applyReverse,
  editKey,
  EMPTY_HISTORY,
  HistoryError,
  historySchema,
  keptChange,
  pushChange,
  stepHistory,
} from './change';
import type { Store, Surroundings } from './store';

/** A stored record that can't be used. It stays in the store as it is. */
export interface SetAside {
  key: string;
  raw: string;
  reason: string;
}

/** What has not been written yet, and why. */
export interface Unsaved {
  changes: number;
  reason: string;
}

/** Told of each record that changes; null when it is gone. */
export type OnRecord = (key: string, type: RecordType, record: AnyRecord | null) => void;

const HISTORY = 'meta/history';
const changeKey = (id: number) => `change/${id}`;
/** Records read from the store before others get a turn. */
const BATCH = 400;
/** First what the rest is shown with. */
const LOAD_ORDER: RecordType[] = [
  'settings',
  'calendar',
  'category',
  'lens',
  'colleague',
  'task',
  'event',
];

type Fields = Record<string, unknown>;
type PendingChange = Pick<KeptChange, 'label' | 'at' | 'steps'>;

/**
 * All records, in memory and in the store. Every action is one change: its records, the change
 * itself and the history are written together or not at all. When writing fails, the change holds
 * in memory and is written before the next one.
 */
export class Repository {
  private readonly records = new Map<string, AnyRecord>();
  private readonly pending: PendingChange[] = [];
  readonly setAside: SetAside[] = [];
  history: History = EMPTY_HISTORY;
  unsaved: Unsaved | null = null;

  constructor(
    private readonly store: Store,
    private readonly surroundings: Surroundings,
    private readonly onRecord: OnRecord,
  ) {}

  get<T extends RecordType>(type: T, id: string): RecordOf<T> | undefined {
    return this.records.get(`${type}/${id}`) as RecordOf<T> | undefined;
  }

  all<T extends RecordType>(type: T): RecordOf<T>[] {
    const found: RecordOf<T>[] = [];
    for (const [key, record] of this.records) {
      if (key.startsWith(`${type}/`)) found.push(record as RecordOf<T>);
    }
    return found;
  }

  /** Reads everything, in batches; what doesn't fit is set aside. Never fails: see `unsaved`. */
  async *load(): AsyncGenerator<{ loaded: number; total: number }> {
    try {
      const keys = (await this.store.keys()).filter((key) => splitKey(key));
      const rank = (key: string) => LOAD_ORDER.indexOf(splitKey(key)!.type);
      keys.sort((a, b) => rank(a) - rank(b));
      await this.readHistory();
      for (let i = 0; i < keys.length; i += BATCH) {
        yield { loaded: i, total: keys.length };
        await this.refresh(keys.slice(i, i + BATCH), false);
      }
    } catch (error) {
      this.unsaved = { changes: 0, reason: reasonOf(error) };
    }
  }

  /** Begins with records that could not be written. */
  holdInMemory(records: readonly { type: RecordType; record: AnyRecord }[]): void {
    for (const { type, record } of records)
      this.keep(keyOf(type, 'id' in record ? record.id : 'mine'), record);
  }

  /** Reads some keys again, for example because another window wrote them. */
  async refresh(keys: readonly string[], isAgain = true): Promise<void> {
    if (isAgain) await this.readHistory();
    const texts = await this.store.getMany(keys);
    for (const key of keys) {
      const name = splitKey(key);
      if (name && !this.isPending(key)) this.take(key, name.type, texts.get(key));
    }
  }

  private isPending(key: string): boolean {
    return this.pending.some(({ steps }) => steps.some((step) => step.key === key));
  }

  private take(key: string, type: RecordType, text: string | undefined): void {
    if (text === undefined) {
      this.forgetAside(key);
      this.keep(key, null);
      return;
    }
    try {
      this.keep(key, readRecord(type, text));
      this.forgetAside(key);
    } catch (error) {
      if (!(error instanceof RecordError)) throw error;
      if (!this.setAside.some((aside) => aside.key === key))
        this.setAside.push({ key, raw: text, reason: error.message });
    }
  }

  /** A record that is sound again, or gone, is not set aside any more. */
  private forgetAside(key: string): void {
    const at = this.setAside.findIndex((aside) => aside.key === key);
    if (at >= 0) this.setAside.splice(at, 1);
  }

  private keep(key: string, record: AnyRecord | null): void {
    if (record) this.records.set(key, record);
    else this.records.delete(key);
    this.onRecord(key, splitKey(key)!.type, record);
  }

  private async readHistory(): Promise<void> {
    const text = (await this.store.getMany([HISTORY])).get(HISTORY);
    const read = historySchema.safeParse(text === undefined ? null : parseJson(text));
    this.history = read.success ? read.data : EMPTY_HISTORY;
  }

  /**
   * Does a change. Answers once it is written, or known to have failed (see `unsaved`).
   * @throws RecordError when a record would not fit; then nothing is changed.
   */
  async commit({ label, at, edits }: ChangeRequest): Promise<void> {
    await this.surroundings.alone(async () => {
      const existing = edits.filter((edit) => edit.before).map(editKey);
      await this.refreshQuietly(existing);
      const steps = edits.map((edit): Step => {
        const key = editKey(edit);
        const latest = (this.records.get(key) as Fields | undefined) ?? null;
        const after = applyEdit(edit.before as Fields | null, edit.after as Fields | null, latest);
        return { key, before: latest, after: fitting(edit.type, after, edit.after) };
      });
      for (const { key, after } of steps) this.keep(key, after as AnyRecord | null);
      this.pending.push({ label, at, steps });
      await this.writePending();
    });
  }

  /** Reads some keys again; a store that can't be read is told of by `unsaved`. */
  async refreshQuietly(keys: readonly string[]): Promise<void> {
    try {
      await this.refresh(keys);
    } catch (error) {
      this.unsaved = { changes: this.pending.length, reason: reasonOf(error) };
    }
  }

  /** Writes what waits to be written. */
  async retry(): Promise<void> {
    await this.surroundings.alone(() => this.writePending());
  }

  private async writePending(): Promise<void> {
    try {
      while (this.pending.length) {
        await this.writeChange(this.pending[0]!);
        this.pending.shift();
      }
      this.unsaved = null;
    } catch (error) {
      this.unsaved = { changes: this.pending.length, reason: reasonOf(error) };
    }
  }

  private async writeChange(change: PendingChange): Promise<void> {
    const { history, id, forgotten } = pushChange(this.history, {
      label: change.label,
      at: change.at,
      by: this.surroundings.name,
    });
    const entries = recordEntries(change.steps);
    entries.set(changeKey(id), JSON.stringify(change));
    entries.set(HISTORY, JSON.stringify(history));
    for (const old of forgotten) entries.set(changeKey(old), null);
    await this.store.setMany(entries);
    this.history = history;
    this.surroundings.announce(change.steps.map((step) => step.key));
  }

  /**
   * Takes the last change back, or does the last undone one again; its label, or null when there is none.
   * @throws HistoryError when its records can't be found: those of the change, which stays in the
   * history, or those that it is about, which were cleared for good.
   */
  async step(direction: 'undo' | 'redo'): Promise<string | null> {
    return this.surroundings.alone(async () => {
      if (direction === 'undo' && this.pending.length) return this.dropPending();
      await this.readHistory();
      const next = stepHistory(this.history, direction);
      if (!next) return null;
      const text = (await this.store.getMany([changeKey(next.id)])).get(changeKey(next.id));
      const change = keptChange.safeParse(text === undefined ? null : parseJson(text));
      if (!change.success)
        throw new HistoryError(
          `What “${next.label}” changed can’t be read, so nothing was ${direction === 'undo' ? 'undone' : 'done again'}.`,
        );
      const { steps } = change.data;
      await this.refresh(
        steps.map((step) => step.key),
        false,
      );
      const results = steps.map((step) => this.stepResult(step, direction));
      const lost = results.filter(({ isLost }) => isLost).length;
      const entries = recordEntries(results);
      entries.set(HISTORY, JSON.stringify(next.history));
      await this.store.setMany(entries);
      this.history = next.history;
      for (const { key, after } of results) this.keep(key, after as AnyRecord | null);
      this.surroundings.announce(results.map(({ key }) => key));
      if (lost === 0) return next.label;
      if (lost < steps.length)
        return `${next.label}, except for what was cleared for good (${lost})`;
      throw new HistoryError(`“${next.label}” can’t be taken back: it was cleared for good.`);
    });
  }

  private stepResult(
    step: Step,
    direction: 'undo' | 'redo',
  ): Pick<Step, 'key' | 'after'> & { isLost: boolean } {
    const latest = (this.records.get(step.key) as Fields | undefined) ?? null;
    const after =
      direction === 'undo'
        ? applyReverse(step, latest)
        : applyReverse({ ...step, before: step.after, after: step.before }, latest);
    const wanted = direction === 'undo' ? step.before : step.after;
    return {
      key: step.key,
      after: fitting(splitKey(step.key)!.type, after, wanted),
      // The record is neither here nor does the step make it: it was cleared for good.
      isLost: latest === null && after === null && wanted !== null,
    };
  }

  /** Undo of a change that was never written. */
  private dropPending(): string {
    const change = this.pending.pop()!;
    for (const { key, before } of change.steps) this.keep(key, before as AnyRecord | null);
    this.unsaved = this.unsaved && { ...this.unsaved, changes: this.pending.length };
    return change.label;
  }

  /**
   * Writes records outside of the history, as for what no person did; null takes one away.
   * @throws RecordError when a record would not fit, or the store's own error.
   */
  async write(
    records: readonly { type: RecordType; id: string; record: AnyRecord | null }[],
  ): Promise<void> {
    if (!records.length) return;
    const checked = records.map(({ type, id, record }) => ({
      key: keyOf(type, id),
      after: record && (checkRecord(type, record) as Fields),
    }));
    await this.surroundings.alone(async () => {
      await this.store.setMany(recordEntries(checked));
      for (const { key, after } of checked) this.keep(key, after as AnyRecord | null);
      this.surroundings.announce(checked.map(({ key }) => key));
    });
  }

  /** Takes records away for good, outside of the history. */
  async purge(keys: readonly string[]): Promise<void> {
    await this.surroundings.alone(async () => {
      await this.store.setMany(new Map(keys.map((key) => [key, null])));
      for (const key of keys) this.keep(key, null);
      this.surroundings.announce(keys);
    });
  }
}

/** A merged record; when parts of two edits don't fit each other, the later edit as it was meant. */
function fitting(type: RecordType, merged: Fields | null, meant: unknown): Fields | null {
  if (!merged) return null;
  try {
    return checkRecord(type, merged) as Fields;
  } catch (error) {
    if (!(error instanceof RecordError)) throw error;
    return checkRecord(type, meant) as Fields;
  }
}

/** What is written of steps; every record in them has been checked by `fitting`. */
function recordEntries(steps: readonly Pick<Step, 'key' | 'after'>[]): Map<string, string | null> {
  return new Map(steps.map(({ key, after }) => [key, after && writeChecked(after)]));
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null; // The schema that looks at it next says what is wrong.
  }
}

/** Why the store failed, in words for the person. */
function reasonOf(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const message = error instanceof Error ? error.message : String(error);
  if (/quota/i.test(name + message)) return 'The browser’s storage for this page is full.';
  if (/security|denied|insecure/i.test(name + message))
    return 'The browser does not let this page store anything.';
  return `The browser’s storage failed: ${message}`;
}
