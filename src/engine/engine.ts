import { bookedMinutes } from '@/core/agenda/booked';
import type { DayLoads } from '@/core/agenda/dayLoads';
import { dayLoads } from '@/core/agenda/dayLoads';
import { EventIndex } from '@/core/agenda/eventIndex';
import type { Occurrence, Window } from '@/core/agenda/occurrence';
import type { TableReading } from '@/core/files/csv/rows';
import type { ForeseenDate } from '@/core/editing/foresight';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { findEvents } from '@/core/calendars/find';
import type { Category, Settings } from '@/core/model/others';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { TypedRecord } from '@/core/model/records';
import type { Lens } from '@/core/model/view';
import type { Sight } from '@/core/view/sight';
import { ALL_IN_SIGHT, partsSet, passes } from '@/core/view/sight';
import { keyOf, writeRecord } from '@/core/model/records';
import type { SweepStep } from '@/core/tidy/sweep';
import type { ZoneEntry } from '@/core/time/zoneNames';
import { describeZone, zonesToChoose } from '@/core/time/zoneNames';
import type { AgendaPage, AgendaRequest } from './agendaPages';
import { agendaPage } from './agendaPages';
import type { CalendarWork, MergePreview, RemovedCalendar } from './calendarWork';
import { mergePreview, removedCalendars, removedEvents, workChange } from './calendarWork';
import type { ChangeRequest, HistoryEntry } from './change';
import type { Announcement } from './announcement';
import { Announcer } from './announcement';
import { yieldToEventLoop } from './yieldToEventLoop';
import type { ExportedFile, ExportRequest, TableRequest } from './exporter';
import { exportCalendarFile, exportTable } from './exporter';
import type { FileStore } from './storage/fileStore';
import type { AskFeed, FeedLook } from './feedSync';
import { FeedSync } from './feedSync';
import type {
  ImportPreview,
  ImportProgress,
  ImportResult,
  ImportTarget,
  TableLook,
} from './importer';
import { Importer } from './importer';
import type { Attachment, AttachmentRow, BackupMade, RestorePreview, SpaceOfKind } from './keeper';
import { Keeper } from './keeper';
import { foresight } from './foresight';
import type { SetAside } from './asides';
import type { ReadOnly, Unsaved } from './repository';
import { Repository } from './repository';
import type { Store, Surroundings } from './storage/store';
import type { SweepRequest, SweepSetting } from './sweeper';
import { planned, sweepChange } from './sweeper';
import type { Whereabouts } from './whereabouts';
import { locate, partsOfId, sighted } from './whereabouts';

/** How the engine stands; told to the page whenever it changes. */
export interface EngineStatus {
  /** Records read so far, of how many; equal once everything is here. */
  loaded: number;
  total: number;
  ready: boolean;
  setAside: number;
  unsaved: Unsaved | null;
  /** Why nothing may be changed; null when everything may. */
  readOnly: ReadOnly | null;
  /** What the person is to be told of once, in the order in which it was found. */
  notes: readonly string[];
  /** Labels of the changes that undo and redo would reach. */
  undo: string | null;
  redo: string | null;
}

/** A change that can be undone or done again; `isHere` tells whether this window made it. */
export interface ChangeEntry extends Pick<HistoryEntry, 'id' | 'label' | 'at'> {
  isHere: boolean;
}

/** What the engine reaches besides its store. */
export interface Outside {
  askFeed: AskFeed;
  files: FileStore;
}

/** What a window shows, and how many dates a filter holds back. */
export interface Seen {
  occurrences: Occurrence[];
  cut: string[];
  hidden: number;
}

/** `changed` is null when only how the engine stands is different. */
export type OnStatus = (status: EngineStatus, changed: Announcement | null) => void;

const LOST =
  'The browser has lost what was kept here, and this is a new beginning. If you have a backup, restore it under Calendars.';

/** Least time between two tellings while loading, in ms. */
const TELL_EVERY = 200;
/** The same for those after which the page asks for everything anew. */
const SHOW_EVERY = 1500;
const DAYS_A_WEEK = 7;

/**
 * The heart of the app behind the page: holds all records and the index of events, answers what
 * happens when, and does every change. Runs in a web worker.
 */
export class Engine {
  private readonly index = new EventIndex();
  private readonly announcer = new Announcer();
  private readonly repository: Repository;
  private readonly importer: Importer;
  private readonly feedSync: FeedSync;
  private readonly keeper: Keeper;
  private progress = { loaded: 0, total: 1, ready: false };
  private onStatus: OnStatus = () => undefined;
  private lastTold = 0;
  private lastShown = 0;

  constructor(
    private readonly store: Store,
    private readonly surroundings: Surroundings,
    private readonly outside: Outside,
  ) {
    this.repository = new Repository(store, surroundings, (key, type, record) => {
      const id = key.slice(key.indexOf('/') + 1);
      if (type !== 'event') this.announcer.note(type, id);
      else if (record) this.announcer.note(type, id, this.index.put(record as CalendarEvent));
      else this.announcer.note(type, id, this.index.remove(id));
    });
    this.importer = new Importer(this.repository, outside.files);
    this.feedSync = new FeedSync(this.repository, outside.askFeed);
    this.keeper = new Keeper(this.repository, outside.files);
  }

  /**
   * Opens the store, putting the seed into a new one; loading goes on after this answers. `wasUsed`
   * tells that there was something in it: a new one is then no beginning, but a loss to be told.
   */
  async open(seed: () => TypedRecord[], onStatus: OnStatus, wasUsed = false): Promise<void> {
    this.onStatus = onStatus;
    const isNew = await this.seedIfNew(seed);
    if (isNew && wasUsed) this.repository.notes.push(LOST);
    await this.load();
  }

  /** Reads the store; answers when the first can be shown, while the rest is on its way. */
  private async load(): Promise<void> {
    const batches = this.repository.load();
    await this.loadBatch(batches);
    await this.loadBatch(batches);
    void this.loadRest(batches);
  }

  /** Whether the store was a new one. */
  private async seedIfNew(seed: () => TypedRecord[]): Promise<boolean> {
    try {
      return await this.surroundings.alone(async () => {
        if ((await this.store.keys()).length > 0) return false;
        await this.store.setMany(seedEntries(seed()), 'relaxed');
        return true;
      });
    } catch {
      // A store that fails is told of by loading, which meets the same failure next.
      this.repository.holdInMemory(seed());
      return false;
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
      const now = Date.now();
      if (now - this.lastShown > SHOW_EVERY) this.tell(true);
      else if (now - this.lastTold > TELL_EVERY) this.tell(false);
      await yieldToEventLoop();
    }
    this.tell(true);
  }

  private tell(recordsChanged: boolean): void {
    this.lastTold = Date.now();
    if (recordsChanged) this.lastShown = this.lastTold;
    this.onStatus(this.status(), recordsChanged ? this.announcer.take() : null);
  }

  status(): EngineStatus {
    const { changes, unsaved, readOnly, setAside, notes } = this.repository;
    return {
      ...this.progress,
      setAside: setAside.length,
      unsaved,
      readOnly,
      notes: [...notes],
      undo: changes.done.at(-1)?.label ?? null,
      redo: changes.undone.at(-1)?.label ?? null,
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

  /** What happens in a window, as far as it is in sight, in order of start; how much is not. */
  occurrences(window: Window, sight: Sight = ALL_IN_SIGHT): Seen {
    const { calendarIds } = sight;
    const found = this.index.query(window, calendarIds ? new Set(calendarIds) : this.shown());
    if (partsSet(sight.filter) === 0) return { ...found, hidden: 0 };
    const occurrences = found.occurrences.filter((o) => {
      const event = this.event(o.eventId);
      return event !== null && passes(o, event, sight);
    });
    return { ...found, occurrences, hidden: found.occurrences.length - occurrences.length };
  }

  /** How booked each day of a window is by what is in sight. */
  dayLoads(window: Window, sight: Sight = ALL_IN_SIGHT): DayLoads & Pick<Seen, 'hidden'> {
    const { occurrences, hidden } = this.occurrences(window, sight);
    return { ...dayLoads(occurrences, window.fromDay, window.toDay, window.zone), hidden };
  }

  /** What happens from a day on or back, as far as it is in sight. */
  agendaPage(request: AgendaRequest, sight: Sight = ALL_IN_SIGHT): AgendaPage {
    return agendaPage(request, (window) => this.occurrences(window, sight));
  }

  lenses(): Lens[] {
    return this.repository
      .all('lens')
      .sort((a, b) => a.order - b.order || (a.name < b.name ? -1 : 1));
  }

  /** Booked minutes of each of `weeks` weeks from a day on, by what is in sight. */
  weeklyLoad(fromDay: number, weeks: number, zone: string, sight = ALL_IN_SIGHT): number[] {
    const toDay = fromDay + weeks * DAYS_A_WEEK;
    const { occurrences } = this.occurrences({ fromDay, toDay, zone }, sight);
    const byDay = bookedMinutes(occurrences, fromDay, toDay, zone);
    return Array.from({ length: weeks }, (_, week) =>
      byDay.slice(week * DAYS_A_WEEK, (week + 1) * DAYS_A_WEEK).reduce((sum, m) => sum + m, 0),
    );
  }

  event(id: string): CalendarEvent | null {
    return this.repository.get('event', id) ?? null;
  }

  /**
   * Where the date that an occurrence's id (or an event's, for its first date) names is now, and
   * whether a sight shows it; null when it is not there any more.
   */
  whereabouts(id: string, zone: string, sight: Sight = ALL_IN_SIGHT): Whereabouts | null {
    const { eventId, dateKey } = partsOfId(id);
    const event = this.event(eventId);
    if (!event || event.removedAt !== undefined) return null;
    const occurrence = locate(this.index, event, dateKey, zone);
    return occurrence && sighted(occurrence, event, sight, this.shown());
  }

  /** The next dates of an event, stored or not, with what each would meet. `now` is epoch ms. */
  foresight(event: CalendarEvent, now: number, zone: string): ForeseenDate[] {
    const closures = new Set(
      this.calendars().flatMap(({ id, isClosures }) => (isClosures ? [id] : [])),
    );
    const { workweek } = this.settings();
    return foresight(event, {
      index: this.index,
      shown: this.shown(),
      closures,
      workweek,
      now,
      zone,
    });
  }

  /** Zones of this machine as people look for them, at an instant (epoch ms). */
  zones(now: number): ZoneEntry[] {
    const zones = zonesToChoose(Intl.supportedValuesOf('timeZone'));
    return zones.map((zone) => describeZone(zone, now));
  }

  private sweepSetting(): SweepSetting {
    const ownIds = new Set(
      this.calendars().flatMap(({ id, kind }) => (kind === 'own' ? [id] : [])),
    );
    return { index: this.index, ownIds, workweek: this.settings().workweek };
  }

  /** The dates of series that fall on the chosen calendars’ events, with what becomes of each. */
  sweep(request: SweepRequest): SweepStep[] {
    return planned(request, this.sweepSetting());
  }

  /** Carries out a sweep as one change; its label, or null when nothing was to be done. */
  async keepSweep(request: SweepRequest, now: number): Promise<string | null> {
    const steps = this.sweep(request);
    const change = sweepChange(steps, (id) => this.event(id), request.zone, now);
    if (change) await this.commit(change);
    return change?.label ?? null;
  }

  /** Series on the person's own calendars, in order of title. */
  series(): { id: string; title: string; calendarId: string }[] {
    const { ownIds } = this.sweepSetting();
    return this.repository
      .all('event')
      .filter((e) => e.removedAt === undefined && isSeries(e) && ownIds.has(e.calendarId))
      .map(({ id, title, calendarId }) => ({ id, title, calendarId }))
      .sort((a, b) => (a.title < b.title ? -1 : 1));
  }

  /** Removed events, the last removed first, without those that wait with their calendar. */
  removed(): CalendarEvent[] {
    return removedEvents(this.repository);
  }

  removedCalendars(): RemovedCalendar[] {
    return removedCalendars(this.repository);
  }

  categories(): Category[] {
    return this.repository
      .all('category')
      .sort((a, b) => a.order - b.order || (a.name < b.name ? -1 : 1));
  }

  mergePreview(fromId: string, intoId: string): MergePreview {
    return mergePreview(this.repository, fromId, intoId);
  }

  /** Does one of the changes that reach many records, which are read here; its label. */
  async work(work: CalendarWork, now: number): Promise<string> {
    const change = workChange(this.repository, work, now);
    await this.commit(change);
    return change.label;
  }

  /** Number of events of each calendar, by its id. */
  eventCounts(): Record<string, number> {
    const counts: Record<string, number> = {};
    for (const { calendarId, removedAt } of this.repository.all('event')) {
      if (removedAt === undefined) counts[calendarId] = (counts[calendarId] ?? 0) + 1;
    }
    return counts;
  }

  /**
   * Whether the change is on the disk; if not, it holds on this page alone.
   * @throws RecordError when a record would not fit, ReadOnlyError.
   */
  async commit(request: ChangeRequest): Promise<boolean> {
    const isKept = await this.repository.commit(request);
    this.tell(true);
    return isKept;
  }

  /** The last changes that can be undone and done again, the next one last; `isHere`: made in this window. */
  changes(): Record<'done' | 'undone', ChangeEntry[]> {
    const { done, undone } = this.repository.changes;
    const entry = ({ id, label, at, by }: HistoryEntry): ChangeEntry => ({
      id,
      label,
      at,
      isHere: by === this.surroundings.name,
    });
    return { done: done.map(entry), undone: undone.map(entry) };
  }

  /** The label of what was undone or done again; null when there is nothing. */
  async step(direction: 'undo' | 'redo'): Promise<string | null> {
    const label = await this.repository.step(direction);
    this.tell(true);
    return label;
  }

  /** Tries again what failed: reading what could not be read, writing what could not be written. */
  async retry(): Promise<void> {
    if (!this.repository.isWhole) await this.load();
    await this.repository.retry();
    this.tell(true);
  }

  /** The browser took the store away while it was open. */
  async storeEmptied(): Promise<void> {
    await this.repository.writeAgain();
    this.tell(true);
  }

  /** Clears removed events and calendars away for good. */
  async clearRemoved(now: number): Promise<void> {
    const events = this.repository.all('event').filter(({ removedAt }) => removedAt !== undefined);
    await this.repository.purge([
      ...events.map(({ id }) => keyOf('event', id)),
      ...this.removedCalendars().map(({ calendar }) => keyOf('calendar', calendar.id)),
    ]);
    await this.keeper.clearUnused(now);
    this.tell(true);
  }

  /** @throws FileError when there is nothing that can be followed. */
  async lookAtFeed(source: string | Blob, now: number): Promise<FeedLook> {
    const isFile = typeof source !== 'string';
    return this.feedSync.look(isFile ? new Uint8Array(await source.arrayBuffer()) : source, now);
  }

  /** Looks at a followed calendar's feed again, or at a newer file. */
  async refreshFeed(calendarId: string, now: number, file?: Blob): Promise<void> {
    const bytes = file && new Uint8Array(await file.arrayBuffer());
    await this.feedSync.refresh(calendarId, now, bytes);
    this.tell(true);
  }

  /** Looks at every feed whose time has come. */
  async refreshDue(now: number): Promise<void> {
    if (!this.progress.ready) return;
    // Beside each other: a slow one keeps no other waiting.
    const looks = this.feedSync
      .due(this.calendars(), now)
      .map(({ id }) => this.refreshFeed(id, now));
    await Promise.allSettled(looks);
    await Promise.all(looks);
  }

  /** Records and attached files by kind, with the characters or bytes that they take. */
  space(): SpaceOfKind[] {
    return this.keeper.space();
  }

  setAside(): SetAside[] {
    return this.repository.setAside;
  }

  async previewImport(
    files: readonly (Blob & { name: string })[],
    now: number,
    onProgress: (p: ImportProgress) => void,
  ): Promise<ImportPreview> {
    return this.importer.preview(files, now, onProgress);
  }

  openTable(file: Blob & { name: string }): Promise<TableLook> {
    return this.importer.openTable(file);
  }

  previewTable(reading: TableReading): ImportPreview {
    return this.importer.previewTable(reading);
  }

  backup(now: number): Promise<BackupMade> {
    return this.keeper.backup(now);
  }

  previewRestore(file: Blob): Promise<RestorePreview> {
    return this.keeper.previewRestore(file);
  }

  async restore(now: number): Promise<string> {
    const label = await this.keeper.restore(now);
    this.tell(true);
    return label;
  }

  keepFile(file: Blob & { name: string }, now: number): Promise<Attachment> {
    return this.keeper.keep(file, now);
  }

  fileContent(id: string): Promise<Blob | null> {
    return this.keeper.content(id);
  }

  attachments(): AttachmentRow[] {
    return this.keeper.attachments();
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

  /** Events whose title, place or notes hold all words of a text, the newest start first; at most `most`. */
  findEvents(text: string, most: number): CalendarEvent[] {
    return findEvents(this.repository.all('event'), new Set(this.calendars().map(({ id }) => id)), {
      text,
      most,
    });
  }

  private sources() {
    const { repository: records, index } = this;
    return { records, index, calendars: this.calendars(), files: this.outside.files };
  }

  /** A table file with one line a date of a period. */
  exportTable(request: TableRequest): ExportedFile {
    return exportTable(this.sources(), request);
  }

  exportCalendars(request: ExportRequest): Promise<ExportedFile> {
    return exportCalendarFile(this.sources(), request);
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
