import type { Stretch } from '../agenda/booked';
import { importanceOf } from '../model/importance';
import type { Task } from '../model/task';
import { DAY, dayOfWall, MINUTE } from '../time/civil';
import type { DayNumber, WallMs } from '../time/units';
import { wallOnClock } from '../editing/times';
import { dayOn } from './due';

/** How time is found for tasks. */
export interface PlacingWishes {
  /** The first and the last day (day numbers) on which there may be blocks. */
  fromDay: DayNumber;
  toDay: DayNumber;
  /** Blocks begin at full slots of so many minutes. */
  slot: number;
  /** The most minutes of a day that are given to tasks. */
  mostADay: number;
  clock: string;
  /** Clear working stretches of a day, wall ms on the clock; none on days that are not to be used. */
  clearOn(day: DayNumber): readonly Stretch[];
}

/** A block of time for a task, wall ms on the clock. */
export interface Block extends Stretch {
  taskId: string;
  /** Whether it ends after the task is due. */
  isLate: boolean;
}

/** Minutes of a task for which there was no room. */
export interface Unplaced {
  taskId: string;
  minutes: number;
}

/** The shortest part that a task is cut into, where it does not fit whole. */
const LEAST_PART = 15;

/** The wall time by which a task is due; a date lasts to its end. */
function endOfDue(task: Task, clock: string): WallMs {
  if (!task.due) return Infinity;
  return task.due.kind === 'date'
    ? (dayOn(task.due, clock) + 1) * DAY
    : wallOnClock(task.due, clock);
}

const RANKS = { high: 0, usual: 1, low: 2 } as const;

/** What is placed first: what is due first; of the same day what matters more, then what takes longer. */
function inTurn(tasks: readonly PlacedTask[], clock: string): PlacedTask[] {
  return [...tasks].sort((a, b) => {
    const dayOf = ({ task }: PlacedTask) => (task.due ? dayOn(task.due, clock) : Infinity);
    const rank = ({ task }: PlacedTask) => RANKS[importanceOf(task.importance)];
    const [x, y] = [dayOf(a), dayOf(b)];
    return (x === y ? 0 : x - y) || rank(a) - rank(b) || b.minutes - a.minutes;
  });
}

/** A task with the minutes that are to be found for it. */
export interface PlacedTask {
  task: Task;
  minutes: number;
}

/** What is clear, as blocks are put into it. */
class Room {
  private readonly days = new Map<DayNumber, Stretch[]>();
  private readonly given = new Map<DayNumber, number>();

  constructor(private readonly wishes: PlacingWishes) {}

  private on(day: DayNumber): Stretch[] {
    let clear = this.days.get(day);
    if (!clear) this.days.set(day, (clear = [...this.wishes.clearOn(day)]));
    return clear;
  }

  /** Minutes that a day may still be given. */
  private left(day: DayNumber): number {
    return this.wishes.mostADay - (this.given.get(day) ?? 0);
  }

  /** The first stretch at full slots from `from` to `to`, of `least` minutes or more and at most `most`. */
  find(from: WallMs, to: WallMs, least: number, most: number): Stretch | null {
    const { fromDay, toDay, slot } = this.wishes;
    const step = slot * MINUTE;
    const last = Math.min(toDay, to === Infinity ? toDay : dayOfWall(to - 1));
    for (let day = Math.max(fromDay, dayOfWall(from)); day <= last; day++) {
      const possible = Math.min(most, this.left(day));
      if (possible < least) continue;
      for (const clear of this.on(day)) {
        const start = Math.ceil(Math.max(clear.start, from) / step) * step;
        const minutes = Math.floor((Math.min(clear.end, to) - start) / MINUTE);
        if (minutes >= least) return { start, end: start + Math.min(possible, minutes) * MINUTE };
      }
    }
    return null;
  }

  /** Takes a stretch that was found. */
  take({ start, end }: Stretch): void {
    const day = dayOfWall(start);
    this.given.set(day, (this.given.get(day) ?? 0) + (end - start) / MINUTE);
    this.days.set(
      day,
      this.on(day).flatMap((clear) =>
        clear.end <= start || clear.start >= end
          ? [clear]
          : [
              { start: clear.start, end: start },
              { start: end, end: clear.end },
            ].filter((part) => part.end > part.start),
      ),
    );
  }
}

/** Blocks of one task between two times: whole where that fits, else in parts. */
function blocksWithin(room: Room, minutes: number, from: WallMs, to: WallMs): Stretch[] {
  const found: Stretch[] = [];
  let left = minutes;
  while (left > 0) {
    const part =
      room.find(from, to, left, left) ??
      (left >= 2 * LEAST_PART ? room.find(from, to, LEAST_PART, left - LEAST_PART) : null);
    if (!part) break;
    room.take(part);
    found.push(part);
    left -= (part.end - part.start) / MINUTE;
  }
  return found;
}

/**
 * Clear working time for tasks, before they are due where there is such: blocks never overlap what is
 * there or each other, none begins before its task can be begun, and one that is too late says so.
 * What finds no room is told.
 */
export function placeTasks(
  tasks: readonly PlacedTask[],
  wishes: PlacingWishes,
): { blocks: Block[]; unplaced: Unplaced[] } {
  const room = new Room(wishes);
  const blocks: Block[] = [];
  const unplaced: Unplaced[] = [];
  const { clock } = wishes;
  for (const { task, minutes } of inTurn(tasks, clock)) {
    const from = task.start ? wallOnClock(task.start, clock) : -Infinity;
    const due = endOfDue(task, clock);
    let left = minutes;
    // First in time; what finds no room there, late.
    for (const to of [due, Infinity]) {
      if (left <= 0) break;
      for (const block of blocksWithin(room, left, from, to)) {
        blocks.push({ ...block, taskId: task.id, isLate: block.end > due });
        left -= (block.end - block.start) / MINUTE;
      }
    }
    if (left > 0) unplaced.push({ taskId: task.id, minutes: left });
  }
  return { blocks: blocks.sort((a, b) => a.start - b.start), unplaced };
}
