import type { EpochMs } from '@/core/time/units';
import type { Queries } from '../queries/queries';
import type { FeedLook, FeedSync } from './feedSync';

interface Parts {
  sync: FeedSync;
  queries: Queries;
  /** Whether everything is here; feeds that are looked at before would be taken for new. */
  isReady(): boolean;
  /** Told once records are different. */
  changed(): void;
}

/** Calendars that are followed. What they bring is no change of the person's, and not undone. */
export class Feeds {
  constructor(private readonly parts: Parts) {}

  /** @throws FileError when there is nothing that can be followed. */
  async lookAt(source: string | Blob, now: EpochMs): Promise<FeedLook> {
    const isFile = typeof source !== 'string';
    const what = isFile ? new Uint8Array(await source.arrayBuffer()) : source;
    return this.parts.sync.look(what, now);
  }

  /** Looks at a followed calendar's feed again, or at a newer file. */
  async refresh(calendarId: string, now: EpochMs, file?: Blob): Promise<void> {
    const bytes = file && new Uint8Array(await file.arrayBuffer());
    await this.parts.sync.refresh(calendarId, now, bytes);
    this.parts.changed();
  }

  /** Looks at every feed whose time has come. */
  async refreshDue(now: EpochMs): Promise<void> {
    const { sync, queries, isReady } = this.parts;
    if (!isReady()) return;
    // Beside each other: a slow one keeps no other waiting.
    const looks = sync.due(queries.calendars(), now).map(({ id }) => this.refresh(id, now));
    await Promise.allSettled(looks);
    await Promise.all(looks);
  }
}
