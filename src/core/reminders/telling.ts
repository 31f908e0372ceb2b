import { MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { Reminding } from './reminding';
import type { DueReminder } from './schedule';

/** What is told later than this after it was due was missed, in ms. */
const LATE = 2 * MINUTE;
/** The most that wait; of more, the oldest are let go. */
export const MOST_WAITING = 200;

/** How things begin: nothing of the past is told. */
export const beginning = (now: EpochMs): Reminding => ({ toldUntil: now, waiting: [] });

/** Reminders that are to be shown at a moment: those that wait, but for what was put off until later. */
export const shownAt = ({ waiting }: Reminding, now: EpochMs) =>
  waiting.filter(({ again }) => again === undefined || again <= now);

/**
 * Takes up what has come due since things were told last. `fresh` are the ids of what is told for
 * the first time now, or again after it was put off; null where nothing is different.
 */
export function told(
  last: Reminding,
  due: readonly Pick<DueReminder, 'id' | 'at'>[],
  now: EpochMs,
): { next: Reminding; fresh: string[] } | null {
  const known = new Set(last.waiting.map(({ id }) => id));
  const added = due
    .filter(({ id }) => !known.has(id))
    .map(({ id, at }) => ({ id, at, isMissed: now - at > LATE }));
  const back = last.waiting.filter(({ again }) => again !== undefined && again <= now);
  if (!due.length && !back.length) return null;
  const isBack = new Set(back.map(({ id }) => id));
  const waiting = last.waiting.map((one) =>
    isBack.has(one.id) ? { id: one.id, at: one.at, isMissed: false } : one,
  );
  return {
    next: { toldUntil: now, waiting: [...waiting, ...added].slice(-MOST_WAITING) },
    fresh: [...isBack, ...added.map(({ id }) => id)],
  };
}

/** Reminders are done with. */
export const without = (last: Reminding, ids: readonly string[]): Reminding => ({
  ...last,
  waiting: last.waiting.filter(({ id }) => !ids.includes(id)),
});

/** A reminder is put off until a moment. */
export const putOff = (last: Reminding, id: string, again: EpochMs): Reminding => ({
  ...last,
  waiting: last.waiting.map((one) => (one.id === id ? { ...one, again } : one)),
});
