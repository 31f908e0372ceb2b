import type { Occurrence } from '@/core/agenda/occurrence';
import type { Reminding } from '@/core/reminders/reminding';
import type { Schedule } from '@/core/reminders/schedule';
import { occurrenceIdOf, remindersDue } from '@/core/reminders/schedule';
import { beginning, putOff, shownAt, told, without } from '@/core/reminders/telling';
import type { EpochMs } from '@/core/time/units';
import type { EventIndex } from '@/core/agenda/eventIndex';
import { EVERYTHING } from '@/core/query/eventQuery';
import { askedCalendars } from '../queries/asked';
import { locate, partsOfId } from '../queries/whereabouts';
import type { Repository } from '../repository';

/** A reminder as it is shown: with its event as that stands now. */
export interface ShownReminder {
  id: string;
  /** When it came due. */
  at: EpochMs;
  isMissed: boolean;
  occurrence: Occurrence;
  link: string;
}

/** What is to be reminded of at a moment. */
export interface Reminded {
  shown: ShownReminder[];
  /** Ids of those that this window is to tell of, as no other does. */
  fresh: string[];
}

interface Parts {
  repository: Repository;
  index: EventIndex;
  schedule: Schedule;
  /** Whether everything is here. */
  isReady(): boolean;
  /** Told once records are different. */
  changed(): void;
}

const NOTHING: Reminded = { shown: [], fresh: [] };

/** Reminders as they come due: told once, by whichever window is there first. */
export class Reminders {
  /** How things stand where the store does not take it. */
  private unkept: Reminding | null = null;

  constructor(private readonly parts: Parts) {}

  private get standing(): Reminding | null {
    return this.unkept ?? this.parts.repository.get('reminding', 'mine') ?? null;
  }

  /** What is to be reminded of at `now`, by the clock of `zone`. */
  async check(now: EpochMs, zone: string): Promise<Reminded> {
    if (!this.parts.isReady()) return NOTHING;
    let fresh: string[] = [];
    await this.renew((last) => {
      const step = last && told(last, this.due(last, now, zone), now);
      fresh = step?.fresh ?? [];
      return last ? (step?.next ?? null) : beginning(now);
    });
    const shown = this.shown(now, zone);
    return { shown, fresh: fresh.filter((id) => shown.some((one) => one.id === id)) };
  }

  /** Reminders are done with, in every window. */
  async done(ids: readonly string[]): Promise<void> {
    await this.renew((last) => last && without(last, ids));
    this.parts.changed();
  }

  /** A reminder comes again at a moment. */
  async again(id: string, at: EpochMs): Promise<void> {
    await this.renew((last) => last && putOff(last, id, at));
    this.parts.changed();
  }

  private due(last: Reminding, now: EpochMs, zone: string) {
    const calendarIds = askedCalendars(this.parts.repository, EVERYTHING);
    return this.parts.schedule.between(last.toldUntil, now, { zone, calendarIds });
  }

  /** What was removed, or moved so that it is due later, is not shown any more. */
  private shown(now: EpochMs, zone: string): ShownReminder[] {
    const { standing } = this;
    if (!standing) return [];
    const { repository, index } = this.parts;
    return shownAt(standing, now).flatMap(({ id, at, isMissed }): ShownReminder[] => {
      const { eventId, dateKey } = partsOfId(occurrenceIdOf(id));
      const event = repository.get('event', eventId);
      if (!event || event.removedAt !== undefined) return [];
      const occurrence = locate(index, event, dateKey, zone);
      const own =
        occurrence && remindersDue(event, occurrence, zone).find((reminder) => reminder.id === id);
      if (!own || own.at > now) return [];
      return [{ id, at, isMissed, occurrence, link: event.link }];
    });
  }

  private async renew(work: (last: Reminding | null) => Reminding | null): Promise<void> {
    try {
      await this.parts.repository.renew(
        'reminding',
        'mine',
        (last) => work(this.unkept ?? last) ?? this.unkept,
      );
      this.unkept = null;
    } catch {
      // A store that takes nothing is told of by `unsaved`, or by its being read-only: reminders go on.
      this.unkept = work(this.standing) ?? this.unkept;
    }
  }
}
