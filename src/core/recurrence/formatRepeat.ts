import { civilDate, dayOfWall } from '../time/civil';
import type { WallMs } from '../time/units';
import type { Wording } from '../time/words';
import type { Repeat, RepeatContext } from './repeat';
import { writeRepeat } from './repeat';
import { sayRule } from './sayRule';

interface Setting extends Omit<RepeatContext, 'start'> {
  /** Wall ms of the first date. */
  start: WallMs;
  wording: Wording;
}

/** How something repeats that begins at `start`, in a sentence; empty for once. */
export function formatRepeat(
  repeat: Repeat,
  { start, zone, wording, ...context }: Setting,
): string {
  const rule = writeRepeat(repeat, { ...context, zone });
  const thisYear = civilDate(dayOfWall(start)).year;
  return rule === undefined ? '' : sayRule(rule, { start, zone, wording, thisYear, left: null });
}
