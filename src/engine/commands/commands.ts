import { nanoid } from 'nanoid';
import type { EventIndex } from '@/core/agenda/eventIndex';
import type { Saying } from '@/core/editing/sayMove';
import type { CalendarEvent } from '@/core/model/event';
import type { RecordType } from '@/core/model/kinds';
import { keyOf } from '@/core/model/records';
import type { EpochMs } from '@/core/time/units';
import { errorOf } from '@/core/userError';
import type { ChangeRequest, Edit, HistoryEntry } from '../change';
import type { AttachmentStore } from '../files/attachmentStore';
import type { FoundBy } from '../queries/asked';
import { removedCalendars } from '../queries/removed';
import type { Repository } from '../repository';
import { yieldToEventLoop } from '../yieldToEventLoop';
import type { Command } from './command';
import { planOf } from './command';
import type { Plan } from './plan';

/** When a command is given (epoch ms), and how what it does is said. */
export interface Manner {
  now: EpochMs;
  saying: Saying;
}

/** What was done. */
export interface Done {
  label: string;
  /** The event (or date, by its occurrence's id) that it is about, when there is one. */
  about?: string;
  /** Whether it is on the disk; if not, it holds on this page alone. */
  isKept: boolean;
  /** Events with guests that it changed, by their ids: of these, guests may have to be told. */
  met: readonly string[];
}

/** What a command would do. */
export interface Preview {
  label: string;
  /** How many records of each kind are made, changed or taken away. */
  counts: Partial<Record<RecordType, number>>;
  /** The first of them, before and after. */
  edits: readonly Edit[];
}

/** How far a long change is, in records. */
export interface CommandProgress {
  done: number;
  total: number;
}
export type OnProgress = (progress: CommandProgress) => void;

/** A change that can be undone or done again; `isHere` tells whether this window made it. */
export interface ChangeEntry extends Pick<HistoryEntry, 'id' | 'label' | 'at'> {
  isHere: boolean;
}

/** The person stopped it before anything was changed. */
class StoppedError extends errorOf('stopped') {}

/** Records that a preview lists. */
const LISTED = 200;

interface Parts {
  repository: Repository;
  index: EventIndex;
  foundBy: FoundBy;
  attachments: AttachmentStore;
  /** This window's name. */
  name: string;
  /** Told once records are different. */
  changed(): void;
}

/** The one way in which anything that a person does is changed, one thing after the other. */
export class Commands {
  private last: Promise<unknown> = Promise.resolve();
  private isStopped = false;

  constructor(private readonly parts: Parts) {}

  private plan(command: Command, { now, saying }: Manner): Plan | null {
    const { repository: records, index, foundBy } = this.parts;
    const situation = { records, index, foundBy, now, saying, newId: () => nanoid(12) };
    return planOf(situation, command);
  }

  /**
   * Runs what a person does in the order in which they did it: an undo pressed while a move is
   * still being kept means that move.
   */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.last.then(work);
    this.last = turn.catch(() => undefined);
    return turn;
  }

  /**
   * Does a command; null when there was nothing to do. A long one tells how far it is.
   * @throws RangeError when it can't be done, RecordError when a record would not fit, StoppedError,
   * ReadOnlyError; then nothing is changed.
   */
  do(command: Command, manner: Manner, onProgress?: OnProgress): Promise<Done | null> {
    return this.inTurn(async () => {
      const plan = this.plan(command, manner);
      if (!plan) return null;
      const { label, edits, about = aboutOf(edits) } = plan;
      const isKept = await this.commit({ label, at: manner.now, edits }, onProgress);
      return { label, isKept, ...(about !== undefined && { about }), met: metBy(edits) };
    });
  }

  /** What a command would do, without doing it. @throws RangeError when it can't be done. */
  preview(command: Command, manner: Manner): Preview | null {
    const plan = this.plan(command, manner);
    if (!plan) return null;
    const counts: Preview['counts'] = {};
    for (const { type } of plan.edits) counts[type] = (counts[type] ?? 0) + 1;
    return { label: plan.label, counts, edits: plan.edits.slice(0, LISTED) };
  }

  /** Stops what is being worked out; what is being written already is finished. */
  stop(): void {
    this.isStopped = true;
  }

  /** Keeps a change that was worked out elsewhere, as from a file; whether it is on the disk. */
  keep(change: ChangeRequest): Promise<boolean> {
    return this.inTurn(() => this.commit(change));
  }

  /** Whether the change is on the disk. */
  private async commit(request: ChangeRequest, onProgress?: OnProgress): Promise<boolean> {
    this.isStopped = false;
    const isKept = await this.parts.repository.commit(request, async (progress) => {
      onProgress?.(progress);
      await yieldToEventLoop();
      if (this.isStopped) throw new StoppedError('It was stopped. Nothing was changed.');
    });
    this.parts.changed();
    return isKept;
  }

  /** The label of what was undone or done again; null when there is nothing. @throws HistoryError, ReadOnlyError. */
  step(direction: 'undo' | 'redo'): Promise<string | null> {
    return this.inTurn(async () => {
      try {
        return await this.parts.repository.step(direction);
      } finally {
        this.parts.changed();
      }
    });
  }

  /** The last changes that can be undone and done again, the next one last. */
  changes(): Record<'done' | 'undone', ChangeEntry[]> {
    const { done, undone } = this.parts.repository.changes;
    const entry = ({ id, label, at, by }: HistoryEntry): ChangeEntry => ({
      id,
      label,
      at,
      isHere: by === this.parts.name,
    });
    return { done: done.map(entry), undone: undone.map(entry) };
  }

  /** Clears removed events, tasks and calendars away for good. `now` is epoch ms. */
  clearRemoved(now: EpochMs): Promise<void> {
    const { repository, attachments, changed } = this.parts;
    return this.inTurn(async () => {
      const events = repository.all('event').filter(({ removedAt }) => removedAt !== undefined);
      await repository.purge([
        ...events.map(({ id }) => keyOf('event', id)),
        ...repository
          .all('task')
          .flatMap(({ id, removedAt }) => (removedAt === undefined ? [] : [keyOf('task', id)])),
        ...removedCalendars(repository).map(({ calendar }) => keyOf('calendar', calendar.id)),
      ]);
      await attachments.clearUnused(now);
      changed();
    });
  }
}

/** Events that others take part in that are asked about at once. */
const MOST_MET = 20;

/** Those of some edits that are of events with guests, before or after. */
function metBy(edits: readonly Edit[]): string[] {
  const met = edits.flatMap(({ type, before, after }) => {
    if (type !== 'event') return [];
    const versions = [before, after] as (CalendarEvent | null)[];
    return versions.some((event) => event?.attendees.length)
      ? [(versions[1] ?? versions[0])!.id]
      : [];
  });
  return met.slice(0, MOST_MET);
}

function aboutOf(edits: readonly Edit[]): string | undefined {
  const events = edits.flatMap(({ type, before, after }) => {
    const event = type === 'event' ? (after as CalendarEvent | null) : null;
    return event && event.removedAt === undefined ? [{ id: event.id, isMade: !before }] : [];
  });
  const made = events.filter(({ isMade }) => isMade);
  const [one, another] = made.length ? made : events;
  return another ? undefined : one?.id;
}
