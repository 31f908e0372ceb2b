import { clearStretches } from '@/core/agenda/clear';
import type { Stretch } from '@/core/agenda/booked';
import { byDay } from '@/core/agenda/byDay';
import type { Occurrence } from '@/core/agenda/occurrence';
import { isBooked } from '@/core/agenda/occurrence';
import { wallOf, zoneOf } from '@/core/model/common';
import type { CalendarEvent } from '@/core/model/event';
import { durationOf } from '@/core/model/event';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import type { Task } from '@/core/model/task';
import { isOpen } from '@/core/model/task';
import { workdayOf } from '@/core/model/workweek';
import type { EventQuery } from '@/core/query/eventQuery';
import type { Effort } from '@/core/tasks/effort';
import { effort, openMinutes } from '@/core/tasks/effort';
import { taskTest } from '@/core/tasks/filterTasks';
import { dayOn, isInTime } from '@/core/tasks/due';
import type { Block, PlacedTask, Unplaced } from '@/core/tasks/placing';
import { asksHowItStands } from '@/core/tasks/standing';
import { placeTasks } from '@/core/tasks/placing';
import { dayOfWall, MINUTE } from '@/core/time/civil';
import type { DayNumber, EpochMs } from '@/core/time/units';
import { instantOf, wallFromInstant } from '@/core/time/zones';
import type { BulkPreview, PreviewManner } from '../bulk/bulk';
import type { TaskChangeRequest } from '../commands/tasks';
import type { Asked } from '../queries/asked';
import { askedCalendars } from '../queries/asked';
import { removedTasks } from '../queries/removed';
import { taskPreview } from './preview';

/** From where it is looked. */
export interface TaskLooking {
  /** Epoch ms */
  now: EpochMs;
  /** The person's clock. */
  clock: string;
}

/** A task with what is known around it. */
export interface TaskRow {
  task: Task;
  /** The title of the event that it belongs to; null for none that is there. */
  eventTitle: string | null;
  /** Its blocks of time on the sheet, the earliest first, and their minutes that are still to come. */
  blocks: { id: string; start: CalendarEvent['start']; end: CalendarEvent['end'] }[];
  blockedAhead: number;
  /** Whether time for it is over, and nobody said since how it stands. */
  asks: boolean;
}

/** How time is to be found for tasks. */
export interface PlacingRequest {
  taskIds: readonly string[];
  toDay: DayNumber;
  /** Minutes for those that nobody said how long they take. */
  usual: number;
  mostADay: number;
  /** Only days that are worked at one of these; empty for any. */
  workplaces: readonly string[];
}

export interface Placing {
  blocks: Block[];
  unplaced: Unplaced[];
}

/** How far ahead it is looked whether there is time enough, in days. */
const AHEAD = 28;

/** What is to be done, and the time for it. Nothing here changes anything. */
export class Tasks {
  constructor(private readonly asked: Asked) {}

  private get settings() {
    return this.asked.records.get('settings', 'mine') ?? DEFAULT_SETTINGS;
  }

  /** Tasks of a question that are not removed, in no order. */
  private those(query: EventQuery, clock: string): Task[] {
    const { records, foundBy } = this.asked;
    const calendarIds = askedCalendars(records, query);
    const passes = taskTest(query, clock, {
      calendarOf: (id) => records.get('calendar', id),
      categoryOf: (id) => records.get('category', id),
      foundBy: (check) => foundBy(check, query.now),
    });
    return records
      .all('task')
      .filter(
        (task) =>
          task.removedAt === undefined &&
          (task.calendarId === undefined || calendarIds.has(task.calendarId)) &&
          passes(task),
      );
  }

  /** What is to be done and what was, as a question asks for it, with what is known around each. */
  list(query: EventQuery, { now, clock }: TaskLooking): TaskRow[] {
    const blocks = this.blocksByTask();
    return this.those(query, clock).map((task) =>
      this.rowOf(task, blocks.get(task.id) ?? [], { now, clock }),
    );
  }

  private rowOf(
    task: Task,
    blocks: readonly CalendarEvent[],
    { now, clock }: TaskLooking,
  ): TaskRow {
    const event = task.eventId === undefined ? undefined : this.eventOf(task.eventId);
    return {
      task,
      eventTitle: event?.title ?? null,
      blocks: blocks.map(({ id, start, end }) => ({ id, start, end })),
      blockedAhead: this.minutesAhead(blocks, now, clock),
      asks: asksHowItStands(task, blocks, now, clock),
    };
  }

  /** One task with what is known around it; null when it is not there any more. */
  row(id: string, looking: TaskLooking): TaskRow | null {
    const task = this.task(id);
    return task && this.rowOf(task, this.blocksByTask().get(id) ?? [], looking);
  }

  /** Tasks of which it is to be asked how they stand, since time for them is over. */
  asking(looking: TaskLooking): TaskRow[] {
    const rows = [...this.blocksByTask()].flatMap(([id, blocks]) => {
      const task = this.task(id);
      return task ? [this.rowOf(task, blocks, looking)] : [];
    });
    return rows.filter(({ asks }) => asks);
  }

  /** Tasks that belong to an event; of a series those of one of its dates, and those of all of it. */
  followUps(eventId: string, eventDate: string | null, looking: TaskLooking): TaskRow[] {
    const tasks = this.asked.records
      .all('task')
      .filter(
        (task) =>
          task.removedAt === undefined &&
          task.eventId === eventId &&
          (task.eventDate === undefined || task.eventDate === eventDate),
      );
    // Most events have none, and there may be many events to look for time among.
    if (!tasks.length) return [];
    const blocks = this.blocksByTask();
    return tasks.map((task) => this.rowOf(task, blocks.get(task.id) ?? [], looking));
  }

  /** Tasks that are due from a day to before another (day numbers on the clock), done ones too. */
  due(query: EventQuery, from: DayNumber, to: DayNumber, clock: string): Task[] {
    return this.those(query, clock).filter(({ due }) => {
      const day = due && dayOn(due, clock);
      return day !== null && day >= from && day < to;
    });
  }

  /** What several edits of many tasks would come to. @throws RangeError for a pattern that can't be used. */
  preview(request: TaskChangeRequest, manner: PreviewManner): BulkPreview {
    return taskPreview(this.asked.records, request, manner);
  }

  /** Removed tasks, the last removed first, without those that wait with their calendar. */
  removed(): Task[] {
    return removedTasks(this.asked.records);
  }

  /** One task, as it is; null when it is not there any more. */
  private task(id: string): Task | null {
    const task = this.asked.records.get('task', id);
    return task && task.removedAt === undefined ? task : null;
  }

  /** Whether there is time enough for what is to be done, by the day that leaves least room. */
  effort(query: EventQuery, { now, clock }: TaskLooking): Effort | null {
    const today = dayOfWall(wallFromInstant(now, clock));
    const blocks = this.blocksByTask();
    return effort(this.those(query, clock), today, today + AHEAD, {
      clock,
      clearOn: this.clearFrom(now, clock, today + AHEAD),
      // Time after it is due does not help to have it done by then.
      blocked: (id) => {
        const own = this.task(id);
        const inTime = (blocks.get(id) ?? []).filter(
          ({ end }) => !own || isInTime(own, end, clock),
        );
        return this.minutesAhead(inTime, now, clock);
      },
    });
  }

  /** Clear working time for tasks, as it could be given to them. */
  place(request: PlacingRequest, { now, clock }: TaskLooking): Placing {
    const today = dayOfWall(wallFromInstant(now, clock));
    const { workweek, slot } = this.settings;
    const blocks = this.blocksByTask();
    const clearOn = this.clearFrom(now, clock, request.toDay);
    const tasks = request.taskIds.flatMap((id): PlacedTask[] => {
      const task = this.task(id);
      if (!task || !isOpen(task)) return [];
      const blocked = this.minutesAhead(blocks.get(id) ?? [], now, clock);
      const sized = { ...task, estimate: task.estimate ?? request.usual };
      const minutes = openMinutes(sized, blocked);
      return minutes > 0 ? [{ task, minutes }] : [];
    });
    const isUsed = (day: DayNumber) =>
      !request.workplaces.length || request.workplaces.includes(workdayOf(day, workweek).workplace);
    return placeTasks(tasks, {
      fromDay: today,
      toDay: request.toDay,
      slot,
      mostADay: request.mostADay,
      clock,
      clearOn: (day) => (isUsed(day) ? clearOn(day) : []),
    });
  }

  private eventOf(id: string): CalendarEvent | undefined {
    const event = this.asked.records.get('event', id);
    return event && event.removedAt === undefined ? event : undefined;
  }

  private blocksByTask(): Map<string, CalendarEvent[]> {
    const blocks = new Map<string, CalendarEvent[]>();
    for (const event of this.asked.records.all('event')) {
      if (event.taskId === undefined || event.removedAt !== undefined) continue;
      const own = blocks.get(event.taskId);
      if (own) own.push(event);
      else blocks.set(event.taskId, [event]);
    }
    for (const own of blocks.values()) own.sort((a, b) => wallOf(a.start) - wallOf(b.start));
    return blocks;
  }

  /** Minutes of blocks that are not over yet. */
  private minutesAhead(blocks: readonly CalendarEvent[], now: EpochMs, clock: string): number {
    return blocks
      .filter(({ end }) => instantOf(wallOf(end), zoneOf(end), clock) > now)
      .reduce((sum, block) => sum + durationOf(block) / MINUTE, 0);
  }

  /** What is clear within working hours on each day up to one, from now on. */
  private clearFrom(
    now: EpochMs,
    clock: string,
    toDay: DayNumber,
  ): (day: DayNumber) => readonly Stretch[] {
    const { workweek } = this.settings;
    const wallNow = wallFromInstant(now, clock);
    const today = dayOfWall(wallNow);
    const calendars = this.asked.records
      .all('calendar')
      .filter(({ removedAt, isFacts }) => removedAt === undefined && !isFacts);
    const window = { fromDay: today, toDay: toDay + 1, zone: clock };
    const { occurrences } = this.asked.index.query(window, new Set(calendars.map(({ id }) => id)));
    const closures = new Set(calendars.flatMap(({ id, isClosures }) => (isClosures ? [id] : [])));
    const days = byDay(occurrences);
    const isClosed = (o: Occurrence) => closures.has(o.calendarId) && o.wholeDay && isBooked(o);
    return (day) => {
      const on = days.get(day) ?? [];
      if (on.some(isClosed)) return [];
      return clearStretches(day, on, workdayOf(day, workweek).hours).flatMap(({ start, end }) =>
        end > wallNow ? [{ start: Math.max(start, wallNow), end }] : [],
      );
    };
  }
}
