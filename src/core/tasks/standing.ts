import type { EventTime } from '../model/common';
import { wallOf, zoneOf } from '../model/common';
import type { Task } from '../model/task';
import { isOpen } from '../model/task';
import { DAY } from '../time/civil';
import type { EpochMs } from '../time/units';
import { instantOf } from '../time/zones';

/** So long after a block of time it is asked how its task stands, in ms: later nobody knows any more. */
const ASKED_FOR = 7 * DAY;

/** When a block of time is over, epoch ms. */
const overAt = ({ end }: { end: EventTime }, clock: string) =>
  instantOf(wallOf(end), zoneOf(end), clock);

/**
 * Whether it is to be asked how a task stands: a block of time for it is over since that was last
 * said, and none is running.
 */
export function asksHowItStands(
  task: Pick<Task, 'status' | 'stoodAt'>,
  blocks: readonly { start: EventTime; end: EventTime }[],
  now: EpochMs,
  clock: string,
): boolean {
  if (!isOpen(task)) return false;
  const since = Math.max(task.stoodAt ?? -Infinity, now - ASKED_FOR);
  const isRunning = blocks.some(
    (block) =>
      overAt(block, clock) > now &&
      instantOf(wallOf(block.start), zoneOf(block.start), clock) <= now,
  );
  return (
    !isRunning &&
    blocks.some((block) => overAt(block, clock) <= now && overAt(block, clock) > since)
  );
}
