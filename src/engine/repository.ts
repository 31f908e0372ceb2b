import type { RecordType } from '@/core/model/kinds';
import { RECORD_TYPES } from '@/core/model/kinds';
import type { RecordOf } from '@/core/model/records';
import { checkRecord, keyOf, splitKey } from '@/core/model/records';
import { wrap } from '@/core/model/migrate';
import { errorOf } from '@/core/userError';
import { adopting, missingCalendars, sayAdopted } from './adopting';
import { Asides } from './asides';
import type { SetAside } from './asides';
import type { AnyRecord, ChangeRequest, Edit, HistoryEntry, KeptChange, Step } from './change';
import { applyEdit, editKey, HistoryError, stepHistory, withoutChanges } from './change';
import type { OnRecord } from './knownRecords';
import { KnownRecords } from './knownRecords';
import type { Entries } from './past';
import { changeKey, Past } from './past';
import { fitting, reasonOf, recordEntries, sayResults, stepResult } from './results';
import { StorageError } from './storage/storageError';
import type { Durability, Store, Surroundings } from './storage/store';

/** What has not been written yet, and why. */
export interface Unsaved {
  changes: number;
  reason: string;
}

/** Why nothing may be changed: records that are not here yet, or a newer version that writes here. */
export interface ReadOnly {
  kind: 'incomplete' | 'newer';
  reason: string;
}

/** A change was refused, since the store may only be read. */
class ReadOnlyError extends errorOf('readOnly') {}

/** Told of how far a change has been worked out, in records. */
export type Watch = (progress: { done: number; total: number }) => Promise<void>;

/** Records read from the store before others get a turn. */
const BATCH = 800;
const NEWER: ReadOnly = {
  kind: 'newer',
  reason: 'A newer version of Orderly Week has written here.',
};

type Fields = Record<string, unknown>;

/**
 * All records, in memory and in the store. Every action is one change: its records, the change
 * itself and the history are written together or not at all, and for good before it is answered.
 * When writing fails, the change holds in memory and is written before the next one.
 */
export class Repository {
  private readonly pending: KeptChange[] = [];
  /** Changes that were undone before they were ever written, the next to be done again last. */
  private unkept: KeptChange[] = [];
  private readonly known: KnownRecords;
  private readonly past: Past;
  /** Whether everything in the store has been read. */
  isWhole = false;
  private isSettled = false;
  unsaved: Unsaved | null = null;
  readOnly: ReadOnly | null = null;
  /** What the person is to be told of once, in the order in which it was found. */
  readonly notes: string[] = [];

  constructor(
    private readonly store: Store,
    private readonly surroundings: Surroundings,
    onRecord: OnRecord,
  ) {
    this.known = new KnownRecords(onRecord);
    this.past = new Past(store);
  }

  get<T extends RecordType>(type: T, id: string): RecordOf<T> | undefined {
    return this.known.get(type, id);
  }

  all<T extends RecordType>(type: T): RecordOf<T>[] {
    return this.known.all(type);
  }

  get setAside(): SetAside[] {
    return this.known.asides.list;
  }

  /** What can be undone and done again, the next one last: what waits to be written among it. */
  get changes(): Record<'done' | 'undone', HistoryEntry[]> {
    const { done, undone } = this.past.history;
    const waiting = (changes: readonly KeptChange[]) =>
      changes.map(({ label, at }, i): HistoryEntry => {
        return { id: -1 - i, label, at, by: this.surroundings.name };
      });
    return {
      done: [...done, ...waiting(this.pending)],
      undone: this.unkept.length ? waiting(this.unkept) : undone,
    };
  }

  /** Reads everything, in batches; what doesn't fit is set aside. Never fails: see `unsaved` and `readOnly`. */
  async *load(): AsyncGenerator<{ loaded: number; total: number }> {
    let loaded = 0;
    let total = 0;
    try {
      const all = await this.store.keys();
      await this.readPast();
      this.known.asides.takeUp(await this.store.getMany(all.filter(Asides.isAway)));
      const keys = all.filter((key) => splitKey(key));
      const rank = (key: string) => RECORD_TYPES.indexOf(splitKey(key)!.type);
      keys.sort((a, b) => rank(a) - rank(b));
      total = keys.length;
      for (; loaded < total; loaded += BATCH) {
        yield { loaded, total };
        await this.refresh(keys.slice(loaded, loaded + BATCH), false);
      }
      this.isWhole = true;
      if (this.readOnly?.kind === 'incomplete') this.readOnly = null;
      if (this.unsaved?.changes === 0) this.unsaved = null;
    } catch (error) {
      const reason = reasonOf(error);
      if (total === 0) this.unsaved = { changes: this.pending.length, reason };
      else
        this.readOnly = {
          kind: 'incomplete',
          reason: `${reason} ${loaded} of ${total} records are here.`,
        };
      return;
    }
    if (!this.readOnly) await this.surroundings.alone(() => this.settleQuietly());
  }

  /** Puts in order what was left by halves, once everything has been read. */
  private async settleQuietly(): Promise<void> {
    try {
      await this.readPast();
      const lost = await this.past.settle(await this.store.keys(), 'relaxed');
      for (const label of lost)
        this.notes.push(`“${label}” can’t be undone any more: what it changed is not here.`);
      await this.adoptEvents();
      this.isSettled = true;
    } catch (error) {
      this.failed(error);
    }
  }

  /** Events whose calendar is missing get one of its id, so that they are seen. */
  private async adoptEvents(): Promise<void> {
    const unknown = missingCalendars(this.all('event'), this.all('calendar'));
    if (!unknown.length) return;
    // Another window may have made it since calendars were read.
    await this.refresh(
      unknown.map((id) => keyOf('calendar', id)),
      false,
    );
    const ids = new Set(missingCalendars(this.all('event'), this.all('calendar')));
    if (!ids.size) return;
    const made = adopting([...ids], this.all('calendar'));
    await this.putNow(made.map((after) => ({ key: keyOf('calendar', after.id), after })));
    this.notes.push(sayAdopted(this.all('event').filter((e) => ids.has(e.calendarId)).length));
  }

  /** Begins with records that could not be written. */
  holdInMemory(records: readonly { type: RecordType; record: AnyRecord }[]): void {
    for (const { type, record } of records)
      this.known.keep(keyOf(type, 'id' in record ? record.id : 'mine'), record);
  }

  /** The browser took the store away while it was open: what is here is written again. */
  async writeAgain(): Promise<void> {
    await this.surroundings.alone(async () => {
      this.past.history = { ...this.past.history, done: [], undone: [] };
      const entries: Entries = this.past.with(this.past.history);
      for (const [key, record] of this.known.entries()) entries.set(key, wrap(record as Fields));
      for (const { key, raw } of this.known.asides.list) entries.set(key, raw);
      await this.put(entries, 'strict');
      this.notes.push(
        'The browser cleared this page’s storage. Everything that this window knew was written again, but for attached files and what could be undone.',
      );
    });
  }

  private async readPast(): Promise<void> {
    await this.past.read();
    if (this.past.isNewer) this.readOnly = NEWER;
  }

  /** Reads some keys again, for example because another window wrote them. */
  async refresh(keys: readonly string[], isAgain = true): Promise<void> {
    if (isAgain) await this.readPast();
    const texts = await this.store.getMany(keys);
    for (const key of keys) {
      if (!this.isPending(key)) this.known.take(key, texts.get(key));
    }
  }

  private isPending(key: string): boolean {
    return this.pending.some(({ steps }) => steps.some((step) => step.key === key));
  }

  /** @throws ReadOnlyError */
  private assertWritable(): void {
    if (this.readOnly) throw new ReadOnlyError(this.readOnly.reason);
  }

  /** Writes texts together, sparing what is set aside. */
  private async put(entries: Entries, durability: Durability): Promise<void> {
    const spared = this.known.asides.sparing(entries);
    await this.store.setMany(spared, durability);
    this.known.asides.written(spared);
  }

  /** Writes records outside of the history, and tells of them. */
  private async putNow(
    results: readonly { key: string; after: AnyRecord | null }[],
    durability: Durability = 'relaxed',
  ): Promise<void> {
    await this.put(recordEntries(results as Pick<Step, 'key' | 'after'>[]), durability);
    for (const { key, after } of results) this.known.keep(key, after);
    this.surroundings.announce(results.map(({ key }) => key));
  }

  /**
   * Does a change. Answers once it is written for good (true), or known to have failed (false; see
   * `unsaved`).
   * Told of how far it is, `watch` may throw to stop it.
   * @throws RecordError when a record would not fit, ReadOnlyError; then nothing is changed.
   */
  async commit(
    { label, at, edits }: ChangeRequest,
    watch: Watch = () => Promise.resolve(),
  ): Promise<boolean> {
    return this.surroundings.alone(async () => {
      this.assertWritable();
      const steps: Step[] = [];
      for (let done = 0; done < edits.length; done += BATCH) {
        if (done) await watch({ done, total: edits.length });
        const batch = edits.slice(done, done + BATCH);
        await this.refreshQuietly(batch.filter((edit) => edit.before).map(editKey));
        this.assertWritable();
        steps.push(...batch.map((edit) => this.stepOf(edit)));
      }
      this.unkept = [];
      await this.hold({ label, at, steps });
      return this.unsaved === null;
    });
  }

  /** What an edit does to its record as it stands. */
  private stepOf(edit: Edit): Step {
    const key = editKey(edit);
    const latest = this.known.latest(key);
    const after = applyEdit(edit.before as Fields | null, edit.after as Fields | null, latest);
    return { key, before: latest, after: fitting(edit.type, after, edit.after) };
  }

  /** Does a change in memory, and writes it if that is possible. */
  private async hold(change: KeptChange): Promise<void> {
    this.known.keepAll(change.steps);
    this.pending.push(change);
    await this.writePending();
  }

  /** Reads some keys again; a store that can't be read is told of by `unsaved`. */
  async refreshQuietly(keys: readonly string[]): Promise<void> {
    try {
      await this.refresh(keys);
    } catch (error) {
      this.failed(error);
    }
  }

  private failed(error: unknown): void {
    if (error instanceof StorageError && error.isNewer)
      this.readOnly = { kind: 'newer', reason: error.message };
    else this.unsaved = { changes: this.pending.length, reason: reasonOf(error) };
  }

  /** Writes what waits to be written. */
  async retry(): Promise<void> {
    await this.surroundings.alone(async () => {
      await this.refreshQuietly([]);
      if (!this.readOnly) await this.writePending();
      if (this.isWhole && !this.isSettled && !this.unsaved) await this.settleQuietly();
    });
  }

  private async writePending(): Promise<void> {
    try {
      while (this.pending.length) {
        await this.writeChange(this.pending[0]!);
        this.pending.shift();
      }
      this.unsaved = null;
    } catch (error) {
      this.failed(error);
    }
  }

  private async writeChange(change: KeptChange): Promise<void> {
    const { history, entries } = this.past.pushed(change, this.surroundings.name);
    for (const [key, text] of recordEntries(change.steps)) entries.set(key, text);
    await this.put(entries, 'strict');
    this.past.history = history;
    this.surroundings.announce(change.steps.map((step) => step.key));
  }

  /**
   * Takes the last change back, or does the last undone one again; its label, or null when there is none.
   * @throws HistoryError when its records can't be found: those of the change, which then leaves the
   * history, or those that it is about, which were cleared for good. ReadOnlyError.
   */
  async step(direction: 'undo' | 'redo'): Promise<string | null> {
    return this.surroundings.alone(async () => {
      this.assertWritable();
      const waiting = direction === 'undo' ? this.pending.pop() : this.unkept.pop();
      if (waiting) return this.stepUnkept(waiting, direction);
      await this.readPast();
      this.assertWritable();
      const next = stepHistory(this.past.history, direction);
      if (!next) return null;
      const change = await this.past.changeOf(next.id);
      if (change === null || typeof change === 'string') return this.letGo(next, change, direction);
      const { steps } = change;
      await this.refresh(
        steps.map((step) => step.key),
        false,
      );
      const results = steps.map((step) => stepResult(step, this.known.latest(step.key), direction));
      const entries = this.past.with(next.history, recordEntries(results));
      await this.put(entries, 'strict');
      this.past.history = next.history;
      for (const { key, after } of results) this.known.keep(key, after as AnyRecord | null);
      this.surroundings.announce(results.map(({ key }) => key));
      return sayResults(next.label, results);
    });
  }

  /** A step of what was never written, in memory alone. */
  private async stepUnkept(change: KeptChange, direction: 'undo' | 'redo'): Promise<string> {
    if (direction === 'redo') await this.hold(change);
    else {
      for (const { key, before } of change.steps) this.known.keep(key, before as AnyRecord | null);
      this.unkept.push(change);
      this.unsaved = this.unsaved && { ...this.unsaved, changes: this.pending.length };
    }
    return change.label;
  }

  /** A change that can't be read leaves the history, so that others can be reached; its text is put by. */
  private async letGo(
    { id, label }: HistoryEntry,
    text: string | null,
    direction: 'undo' | 'redo',
  ): Promise<never> {
    const key = changeKey(id);
    const history = withoutChanges(this.past.history, new Set([id]));
    const entries = this.past.with(history, new Map([[key, null]]));
    if (text !== null) entries.set(Asides.placeFor(key), text);
    await this.put(entries, 'strict');
    this.past.history = history;
    throw new HistoryError(
      `What “${label}” changed can’t be read, so nothing was ${direction === 'undo' ? 'undone' : 'done again'}. It is out of the list now; the others are not touched by that.`,
    );
  }

  /**
   * Writes records outside of the history, as for what no person did; null takes one away.
   * @throws RecordError when a record would not fit, ReadOnlyError, or the store's own error.
   */
  async write(
    records: readonly { type: RecordType; id: string; record: AnyRecord | null }[],
  ): Promise<void> {
    if (!records.length) return;
    const checked = records.map(({ type, id, record }) => ({
      key: keyOf(type, id),
      after: record && (checkRecord(type, record) as AnyRecord),
    }));
    await this.surroundings.alone(async () => {
      await this.readPast();
      this.assertWritable();
      await this.putNow(checked);
    });
  }

  /**
   * Works a record out anew from how it stands in the store, while no other window writes; nothing
   * is written for null.
   * @throws RecordError when the record would not fit, ReadOnlyError, or the store's own error.
   */
  async renew<T extends RecordType>(
    type: T,
    id: string,
    work: (latest: RecordOf<T> | null) => RecordOf<T> | null,
  ): Promise<void> {
    await this.surroundings.alone(async () => {
      const key = keyOf(type, id);
      await this.refresh([key]);
      this.assertWritable();
      const record = work(this.get(type, id) ?? null);
      if (record) await this.putNow([{ key, after: checkRecord(type, record) as AnyRecord }]);
    });
  }

  /** Puts by texts of another store that could not be read there, once each. */
  async putBy(texts: readonly SetAside[]): Promise<void> {
    const known = new Set(this.known.asides.list.map(({ raw }) => raw));
    const entries: Entries = new Map(
      texts.filter(({ raw }) => !known.has(raw)).map(({ key, raw }) => [Asides.placeFor(key), raw]),
    );
    if (entries.size) await this.surroundings.alone(() => this.put(entries, 'strict'));
  }

  /** Texts that may name what no record does: those that could not be read, and changes to be undone. */
  async otherTexts(): Promise<string[]> {
    const { done, undone } = this.past.history;
    const keys = [...done, ...undone].map(({ id }) => changeKey(id));
    const changes = await this.store.getMany(keys);
    return [...changes.values(), ...this.known.asides.list.map(({ raw }) => raw)];
  }

  /**
   * Takes records away for good, outside of the history.
   * @throws ReadOnlyError, or Error while a change waits that would bring them back.
   */
  async purge(keys: readonly string[]): Promise<void> {
    await this.surroundings.alone(async () => {
      await this.readPast();
      this.assertWritable();
      if (this.pending.length) await this.writePending();
      if (this.unsaved) throw new Error(this.unsaved.reason);
      await this.putNow(
        keys.map((key) => ({ key, after: null })),
        'strict',
      );
    });
  }
}
