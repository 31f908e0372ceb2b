import { EventIndex } from '@/core/agenda/eventIndex';
import type { Extent } from '@/core/agenda/extent';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/event';
import type { Task } from '@/core/model/task';
import type { TypedRecord } from '@/core/model/records';
import { keyOf, writeRecord } from '@/core/model/records';
import { remindingEvent } from '@/core/tasks/asEvent';
import { remindsOtherwise } from '@/core/reminders/following';
import { Schedule } from '@/core/reminders/schedule';
import type { Announcement } from './announcement';
import { Announcer } from './announcement';
import { Bulk } from './bulk/bulk';
import { Commands } from './commands/commands';
import { Feeds } from './feeds/feeds';
import type { AskFeed } from './feeds/feedSync';
import { FeedSync } from './feeds/feedSync';
import { AttachmentStore } from './files/attachmentStore';
import { Files } from './files/files';
import { Invitations } from './invitations/invitations';
import type { Post } from './invitations/post';
import { Finding } from './finding/finding';
import type { FoundBy } from './queries/asked';
import { Queries } from './queries/queries';
import { Messages } from './messages/messages';
import { Pages } from './pages/pages';
import { People } from './people/people';
import { Sharing } from './people/sharing';
import { Printer } from './printing/printer';
import type { ReadOnly, Unsaved } from './repository';
import type { SendMessage } from './reminders/outbox';
import { Reminders } from './reminders/reminders';
import { Repository } from './repository';
import type { FileStore } from './storage/fileStore';
import type { Store, Surroundings } from './storage/store';
import { Tasks } from './tasks/tasks';
import { Tidying } from './tidy/tidying';
import { yieldToEventLoop } from './yieldToEventLoop';

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

/** What the engine reaches besides its store. */
export interface Outside {
  askFeed: AskFeed;
  sendMessage: SendMessage;
  post: Post;
  files: FileStore;
}

/** `changed` is null when only how the engine stands is different. */
export type OnStatus = (status: EngineStatus, changed: Announcement | null) => void;

const LOST =
  'The browser has lost what was kept here, and this is a new beginning. If you have a backup, restore it under Calendars.';

/** Least time between two tellings while loading, in ms. */
const TELL_EVERY = 200;
/** The same for those after which the page asks for everything anew. */
const SHOW_EVERY = 1500;

/** What the page may call. */
export type EngineProtocol = Pick<
  Engine,
  | 'queries'
  | 'commands'
  | 'files'
  | 'feeds'
  | 'reminders'
  | 'finding'
  | 'bulk'
  | 'tidying'
  | 'tasks'
  | 'pages'
  | 'messages'
  | 'people'
  | 'printer'
  | 'sharing'
  | 'invitations'
  | 'retry'
>;

/**
 * The heart of the app behind the page: holds all records and the index of events, and gives them to
 * what is asked (`queries`), found (`finding`), done (`commands`), looked at before it is done to many
 * (`bulk`), put in order (`tidying`), to do (`tasks`), read around one event
 * (`pages`) or out of a message (`messages`), known of others (`people`) and shown to them
 * (`sharing`), put on paper (`printer`), asked of each other (`invitations`), brought in or out (`files`)
 * and followed (`feeds`).
 * Runs in a web worker.
 */
export class Engine {
  private readonly index = new EventIndex();
  /** Calendars as the schedule took them up last. */
  private readonly remindedBy = new Map<string, Calendar>();
  private readonly schedule = new Schedule((id) => this.remindedBy.get(id));
  private readonly announcer = new Announcer();
  private readonly repository: Repository;
  readonly queries: Queries;
  readonly commands: Commands;
  readonly files: Files;
  readonly feeds: Feeds;
  readonly reminders: Reminders;
  readonly finding: Finding;
  readonly bulk: Bulk;
  readonly tidying: Tidying;
  readonly tasks: Tasks;
  readonly pages: Pages;
  readonly messages: Messages;
  readonly people: People;
  readonly sharing: Sharing;
  readonly invitations: Invitations;
  readonly printer: Printer;
  private progress = { loaded: 0, total: 1, ready: false };
  private onStatus: OnStatus = () => undefined;
  private lastTold = 0;
  private lastShown = 0;

  constructor(
    private readonly store: Store,
    private readonly surroundings: Surroundings,
    outside: Outside,
  ) {
    const repository = new Repository(store, surroundings, (key, type, record) => {
      const id = key.slice(key.indexOf('/') + 1);
      if (type === 'calendar') this.followCalendar(id, record as Calendar | null);
      if (type === 'task') this.remindOf(id, record as Task | null);
      if (type !== 'event') this.announcer.note(type, id);
      else this.announcer.note(type, id, this.place(id, record as CalendarEvent | null));
    });
    const { index } = this;
    const { name } = surroundings;
    const changed = () => this.tell(true);
    const attachments = new AttachmentStore(repository, outside.files);
    const tidying = new Tidying({ records: repository, index });
    const foundBy: FoundBy = (check, now) => tidying.foundBy(check, now);
    const queries = new Queries(repository, index, attachments, foundBy);
    const commands = new Commands({ repository, index, foundBy, attachments, name, changed });
    this.files = new Files({
      repository,
      index,
      foundBy,
      queries,
      commands,
      attachments,
      store: outside.files,
    });
    this.feeds = new Feeds({
      sync: new FeedSync(repository, outside.askFeed),
      queries,
      isReady: () => this.progress.ready,
      changed,
    });
    this.reminders = new Reminders({
      repository,
      index,
      schedule: this.schedule,
      sendMessage: outside.sendMessage,
      isReady: () => this.progress.ready,
      changed,
    });
    this.finding = new Finding({ repository, index, foundBy });
    this.bulk = new Bulk({ repository, index });
    this.tidying = tidying;
    this.tasks = new Tasks({ records: repository, index, foundBy });
    this.pages = new Pages({ records: repository, index }, this.tasks);
    this.messages = new Messages(queries);
    const { tasks, pages } = this;
    this.printer = new Printer({ records: repository, index, foundBy, tasks, pages });
    this.sharing = new Sharing({ records: repository, index, foundBy });
    this.invitations = new Invitations({
      ...{ records: repository, index, foundBy, commands, changed },
      post: outside.post,
      sendMessage: outside.sendMessage,
      isReady: () => this.progress.ready,
    });
    this.people = new People({ records: repository, index, ask: outside.askFeed });
    this.repository = repository;
    this.queries = queries;
    this.commands = commands;
  }

  /** Puts an event where its dates and reminders are looked for, or takes it away; the days it touches. */
  private place(id: string, event: CalendarEvent | null): Extent[] {
    this.finding.note(id, event);
    if (!event) {
      this.schedule.remove(id);
      return this.index.remove(id);
    }
    const touched = this.index.put(event);
    this.schedule.put(event);
    return touched;
  }

  /** Puts a task where its reminders are looked for, or takes it away. */
  private remindOf(id: string, task: Task | null): void {
    const event = task && remindingEvent(task);
    if (event) this.schedule.put(event);
    else this.schedule.remove(id);
  }

  /** Events that have the reminders of their calendar are due otherwise once it has others. */
  private followCalendar(id: string, calendar: Calendar | null): void {
    const before = this.remindedBy.get(id);
    if (!calendar) return;
    this.remindedBy.set(id, calendar);
    if (before && !remindsOtherwise(before, calendar)) return;
    for (const event of this.repository.all('event'))
      if (event.calendarId === id) this.schedule.put(event);
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
    if (recordsChanged) this.tidying.touch();
    if (recordsChanged && this.progress.ready) void this.finding.catchUp();
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
}

function seedEntries(seed: readonly TypedRecord[]): Map<string, string> {
  return new Map(
    seed.map(({ type, record }) => [
      keyOf(type, 'id' in record ? record.id : 'mine'),
      writeRecord(type, record),
    ]),
  );
}
