import type { Occurrence } from '@/core/agenda/occurrence';
import { EventIndex } from '@/core/agenda/eventIndex';
import { partsOfId } from '@/core/agenda/occurrence';
import { dateAsEvent } from '@/core/editing/series/dates';
import type { CalendarEvent } from '@/core/model/event';
import { isSeries } from '@/core/model/event';
import { dayOfWall } from '@/core/time/civil';
import type { Asked } from '../queries/asked';
import { locate } from '../queries/whereabouts';
import type { TaskLooking, TaskRow, Tasks } from '../tasks/tasks';

/** One time that an event takes place. */
export interface Time {
  occurrence: Occurrence;
  /** The event as it is at that time, with its points and notes. */
  date: CalendarEvent;
  /** What is to be done after it. */
  followUps: TaskRow[];
}

/** An event with what belongs to one of its times. */
export interface EventPage extends Time {
  event: CalendarEvent;
  /** The times before and after it of a series; null where there is none. */
  last: Time | null;
  next: Time | null;
}

/** How far to either side of a date its neighbours are looked for, in days, in steps: mostly they are near. */
const AROUND = [8, 40, 400, 4000];

/** What is known around one time of an event. Nothing here changes anything. */
export class Pages {
  constructor(
    private readonly asked: Pick<Asked, 'records' | 'index'>,
    private readonly tasks: Pick<Tasks, 'followUps'>,
  ) {}

  /** The page of an event or of a date of it, by its occurrence's id; null when it is not there any more. */
  page(id: string, looking: TaskLooking): EventPage | null {
    const { eventId, dateKey } = partsOfId(id);
    const { records, index } = this.asked;
    const event = records.get('event', eventId);
    if (!event || event.removedAt !== undefined) return null;
    const occurrence = locate(index, event, dateKey, looking.clock);
    if (!occurrence) return null;
    const [last, next] = isSeries(event) ? this.neighbours(event, occurrence, looking) : [];
    return {
      event,
      ...this.time(event, occurrence, looking),
      last: last ? this.time(event, last, looking) : null,
      next: next ? this.time(event, next, looking) : null,
    };
  }

  private time(event: CalendarEvent, occurrence: Occurrence, looking: TaskLooking): Time {
    const { dateKey } = occurrence;
    return {
      occurrence,
      date: dateAsEvent(event, dateKey),
      followUps: this.tasks.followUps(event.id, dateKey, looking),
    };
  }

  private neighbours(
    event: CalendarEvent,
    { dateKey, start }: Occurrence,
    { clock: zone }: TaskLooking,
  ): [last: Occurrence | undefined, next: Occurrence | undefined] {
    const day = dayOfWall(start);
    // By itself: what else lies on its calendar may be a great deal.
    const own = new EventIndex();
    own.put(event);
    let found: [Occurrence | undefined, Occurrence | undefined] = [undefined, undefined];
    for (const days of AROUND) {
      const window = { fromDay: day - days, toDay: day + days + 1, zone };
      const dates = own.query(window, null).occurrences;
      const at = dates.findIndex((one) => one.dateKey === dateKey);
      found = [dates[at - 1], dates[at + 1]];
      if (found[0] && found[1]) break;
    }
    return found;
  }
}
