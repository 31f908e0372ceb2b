import { bookedMinutes } from '@/core/agenda/booked';
import { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import { writeCalendarFile } from '@/core/files/ics/writeFile';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import type { Settings } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { TypedRecord } from '@/core/model/records';
import { keyOf, writeRecord } from '@/core/model/records';
import type { ChangeRequest } from './change';
import { breathe } from './breathe';
import type { ImportPreview, ImportProgress, ImportResult, ImportTarget } from './importer';
import { Importer } from './importer';
import type { SetAside, Unsaved } from './repository';
import { Repository } from './repository';
import type { Store, Surroundings } from './store';

/** How the engine stands; told to the page whenever it changes. */
export interface EngineStatus {
  /** Records read so far, of how many; equal once everything is here. */
  loaded: number;
  total: number;
  ready: boolean;
  setAside: number;
  unsaved: Unsaved | null;
  /** Labels of the changes that undo and redo would reach. */
  undo: string | null;
  redo: string | null;
}

export type OnStatus = (status: EngineStatus, recordsChanged: boolean) => void;

/** Least time between two tellings while loading, in ms. */
const TELL_EVERY = 200;
const DAYS_A_WEEK = 7;

/**
 * The heart of the app behind the page: holds all records and the index of events, answers what
 * happens when, and does every change. Runs in a web worker.
 */
export class Engine {
  private readonly index = new EventIndex();
  private readonly repository: Repository;
  private readonly importer: Importer;
  private progress = { loaded: 0, total: 1, ready: false };
  private onStatus: OnStatus = () => undefined;
  private lastTold = 0;

  constructor(
    private readonly store: Store,
    private readonly surroundings: Surroundings,
  ) {
    this.repository = new Repository(store, surroundings, (key, type, record) => {
      if (type !== 'event') return;
      if (record) this.index.put(record as CalendarEvent);
      else this.index.remove(key.slice(key.indexOf('/') + 1));
    });
    this.importer = new Importer(this.repository);
  }

  /** Opens the store, putting the seed into a new one; loading goes on after this answers. */
  async open(seed: () => TypedRecord[], onStatus: OnStatus): Promise<void> {
    this.onStatus = onStatus;
    await this.seedIfNew(seed);
    const batches = this.repository.load();
    await this.loadBatch(batches);
    await this.loadBatch(batches);
    void this.loadRest(batches);
  }

  private async seedIfNew(seed: () => TypedRecord[]): Promise<void> {
    try {
      await this.surroundings.alone(async () => {
        if ((await this.store.keys()).length === 0) await this.store.setMany(seedEntries(seed()));
      });
    } catch {
      // A store that fails is told of by loading, which meets the same failure next.
      this.repository.holdInMemory(seed());
    }
  }

  private async loadBatch(
    batches: AsyncGenerator<{ loaded: number; total: number }>,
  ): Promise<boolean> {
    const { done, value } = await batches.next();
    const { total } = this.progress;
    this.progress = done ? { loaded: total, total, ready: true } : { ...value, ready: false };
    return !done;
  }

  private async loadRest(
    batches: AsyncGenerator<{ loaded: number; total: number }>,
  ): Promise<void> {
    while (await this.loadBatch(batches)) {
      if (Date.now() - this.lastTold > TELL_EVERY) this.tell(true);
      await breathe();
    }
    this.tell(true);
  }

  private tell(recordsChanged: boolean): void {
    this.lastTold = Date.now();
    this.onStatus(this.status(), recordsChanged);
  }

  status(): EngineStatus {
    const { history, unsaved, setAside } = this.repository;
    return {
      ...this.progress,
      setAside: setAside.length,
      unsaved,
      undo: history.done.at(-1)?.label ?? null,
      redo: history.undone.at(-1)?.label ?? null,
    };
  }

  /** Takes in what another window wrote. */
  async hear(keys: readonly string[]): Promise<void> {
    await this.repository.refreshQuietly(keys);
    this.tell(true);
  }

  /** Own and followed calendars in their order, without removed ones. */
  calendars(): Calendar[] {
    return this.repository
      .all('calendar')
      .filter((calendar) => calendar.removedAt === undefined)
      .sort((a, b) => a.order - b.order || (a.name < b.name ? -1 : 1));
  }

  settings(): Settings {
    return this.repository.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  }

  private shown(): Set<string> {
    return new Set(this.calendars().flatMap((calendar) => (calendar.shown ? [calendar.id] : [])));
  }

  /** What happens in a window on the shown calendars, in order of start. */
  occurrences(window: Window): { occurrences: Occurrence[]; cut: string[] } {
    return this.index.query(window, this.shown());
  }

  /** Booked minutes of each of `weeks` weeks from a day on, on the shown calendars. */
  weeklyLoad(fromDay: number, weeks: number, zone: string): number[] {
    const toDay = fromDay + weeks * DAYS_A_WEEK;
    const { occurrences } = this.index.query({ fromDay, toDay, zone }, this.shown());
    const byDay = bookedMinutes(occurrences, fromDay, toDay);
    return Array.from({ length: weeks }, (_, week) =>
      byDay.slice(week * DAYS_A_WEEK, (week + 1) * DAYS_A_WEEK).reduce((sum, m) => sum + m, 0),
    );
  }

  event(id: string): CalendarEvent | null {
    return this.repository.get('event', id) ?? null;
  }

  /** Removed events, the last removed first. */
  removed(): CalendarEvent[] {
    return this.repository
      .all('event')
      .filter((event) => event.removedAt !== undefined)
      .sort((a, b) => b.removedAt! - a.removedAt!);
  }

  /** Number of events of each calendar, by its id. */
  eventCounts(): Record<string, number> {
    const counts: Record<string, number> = {};
    for (const { calendarId, removedAt } of this.repository.all('event')) {
      if (removedAt === undefined) counts[calendarId] = (counts[calendarId] ?? 0) + 1;
    }
    return counts;
  }

  /** @throws RecordError when a record would not fit. */
  async commit(request: ChangeRequest): Promise<void> {
    await this.repository.commit(request);
    this.tell(true);
  }

  /** The label of what was undone or done again; null when there is nothing. */
  async step(direction: 'undo' | 'redo'): Promise<string | null> {
    const label = await this.repository.step(direction);
    this.tell(true);
    return label;
  }

  async retry(): Promise<void> {
    await this.repository.retry();
    this.tell(false);
  }

  /** Clears removed events away for good. */
  async clearRemoved(): Promise<void> {
    await this.repository.purge(this.removed().map((event) => keyOf('event', event.id)));
    this.tell(true);
  }

  setAside(): SetAside[] {
    return this.repository.setAside;
  }

  async previewImport(
    file: Blob & { name: string },
    now: number,
    onProgress: (p: ImportProgress) => void,
  ): Promise<ImportPreview> {
    return this.importer.preview(file, now, onProgress);
  }

  async applyImport(target: ImportTarget, now: number): Promise<ImportResult> {
    const result = await this.importer.apply(target, now);
    this.tell(true);
    return result;
  }

  /** Stops a preview that is under way, and forgets what it read. */
  stopImport(): void {
    this.importer.stop();
  }

  /** The iCalendar text of one calendar, or of all. */
  exportCalendars(calendarId: string | null): { name: string; text: string; events: number } {
    const calendars = this.calendars().filter(({ id }) => calendarId === null || id === calendarId);
    const ids = new Set(calendars.map(({ id }) => id));
    const events = this.repository
      .all('event')
      .filter((event) => event.removedAt === undefined && ids.has(event.calendarId));
    const tasks = this.repository
      .all('task')
      .filter(
        (task) =>
          task.removedAt === undefined &&
          (task.calendarId === undefined || ids.has(task.calendarId)),
      );
    const name = calendars.length === 1 ? calendars[0]!.name : 'All calendars';
    const passthrough = calendars.flatMap((calendar) => calendar.passthrough ?? []);
    return {
      name,
      events: events.length,
      text: writeCalendarFile({ name, events, tasks, passthrough }),
    };
  }
}

function seedEntries(seed: readonly TypedRecord[]): Map<string, string> {
  return new Map(
    seed.map(({ type, record }) => [
      keyOf(type, 'id' in record ? record.id : 'mine'),
      writeRecord(type, record),
    ]),
  );
}
