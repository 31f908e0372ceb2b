import type { Extent } from '@/core/agenda/extent';
import type { RecordType } from '@/core/model/kinds';

/** What became different since the last announcement, so that only what shows it is asked for again. */
export interface Announcement {
  kinds: readonly RecordType[];
  /** Events by their id; null when there were too many to name. */
  eventIds: readonly string[] | null;
  /** Days that changed events touch or touched. */
  extents: readonly Extent[];
}

/** Past so many events it is cheaper to ask for all than to look through their names. */
const MOST_NAMED = 200;

/** Gathers what changes until it is announced. */
export class Announcer {
  private readonly kinds = new Set<RecordType>();
  private readonly eventIds = new Set<string>();
  private extents: Extent[] = [];

  /** A record of a kind changed; of an event, the days that it touches and those that it touched. */
  note(type: RecordType, id: string, extents: readonly Extent[] = []): void {
    this.kinds.add(type);
    if (type !== 'event' || this.eventIds.size > MOST_NAMED) return;
    this.eventIds.add(id);
    this.extents.push(...extents);
  }

  /** What was noted since this was last asked. */
  take(): Announcement {
    const tooMany = this.eventIds.size > MOST_NAMED;
    const announcement = {
      kinds: [...this.kinds],
      eventIds: tooMany ? null : [...this.eventIds],
      extents: tooMany ? [{ from: -Infinity, to: Infinity }] : this.extents,
    };
    this.kinds.clear();
    this.eventIds.clear();
    this.extents = [];
    return announcement;
  }
}
