import { MINUTE } from '../time/civil';
import type { EpochMs } from '../time/units';
import type { Reminding, Waiting } from './reminding';
import type { DueReminder } from './schedule';
import { occurrenceIdOf } from './schedule';

/** What is told later than this after it was due was missed, in ms. */
export const LATE = 2 * MINUTE;
/** The most that wait, far beyond what a person is away for; of more, the oldest that were not put off are let go. */
export const MOST_WAITING = 5000;
/** How many ids of what was told are kept: a clock that is set back repeats none of these. */
const MOST_LATELY = 5000;

type Due = Pick<DueReminder, 'id' | 'at'>;

/** How things begin: nothing of the past is told. */
export const beginning = (now: EpochMs): Reminding => ({
  toldUntil: now,
  waiting: [],
  lately: [],
  toSend: [],
});

/** Whether a reminder that waits is to be told by a moment. */
const isUp = ({ again, isHeld }: Waiting, now: EpochMs) =>
  !isHeld && (again === undefined || again <= now);

/** Reminders that are to be shown at a moment: those that wait, but for what was put off or is held back. */
export const shownAt = ({ waiting }: Reminding, now: EpochMs) =>
  waiting.filter((one) => isUp(one, now));

/** From when on reminders have not been told yet. A clock that was set back begins anew where it is. */
export const untoldSince = (last: Reminding, checked: EpochMs, now: EpochMs): EpochMs =>
  last.toldUntil > now + LATE ? now : Math.max(last.toldUntil, checked > now ? 0 : checked);

/** What is due, without what has been told already: a clock that was set back comes by it again. */
export function untold<T extends Due>(last: Reminding, due: readonly T[]): T[] {
  const known = new Set([...last.waiting.map(({ id }) => id), ...last.lately]);
  return due.filter(({ id }) => !known.has(id));
}

const withLately = (lately: readonly string[], ids: readonly string[]) =>
  [...lately, ...ids].slice(-MOST_LATELY);

/** Those that come back after they were put off, then the rest. */
function backFirst(waiting: readonly Waiting[], back: readonly string[]): Waiting[] {
  const ids = new Set(back);
  return [...waiting.filter(({ id }) => ids.has(id)), ...waiting.filter(({ id }) => !ids.has(id))];
}

/** Of reminders of one date that are told by now the latest stands for all; what is put off until later stays. */
function onePerOccurrence(waiting: readonly Waiting[], now: EpochMs): Waiting[] {
  const latest = new Map<string, Waiting>();
  for (const one of waiting) {
    const name = occurrenceIdOf(one.id);
    const other = latest.get(name);
    if (isDue(one, now) && (!other || one.at >= other.at)) latest.set(name, one);
  }
  return waiting.filter((one) => !isDue(one, now) || latest.get(occurrenceIdOf(one.id)) === one);
}

const isDue = ({ again }: Waiting, now: EpochMs) => again === undefined || again <= now;

/** As many as are kept: what was put off is, and of the rest the latest. */
function bounded(waiting: readonly Waiting[]): Waiting[] {
  if (waiting.length <= MOST_WAITING) return [...waiting];
  const putOff = waiting.filter(({ again }) => again !== undefined);
  const rest = waiting.filter(({ again }) => again === undefined);
  const kept = new Set([...putOff, ...rest.slice(-Math.max(1, MOST_WAITING - putOff.length))]);
  return waiting.filter((one) => kept.has(one));
}

/**
 * Takes up what has come due since things were told last (see `untold`). `fresh` are the ids of what
 * is told for the first time now, or again after it was put off or held back; `isHeld` says what is
 * not told for now.
 */
export function told(
  last: Reminding,
  due: readonly Due[],
  now: EpochMs,
  isHeld: (id: string) => boolean = () => false,
): { next: Reminding; fresh: string[] } {
  const fresh: string[] = [];
  const stood = last.waiting.map((one): Waiting => {
    const isBack = one.again !== undefined && one.again <= now;
    if (!isBack && !one.isHeld) return one;
    if (isHeld(one.id)) return one.isHeld ? one : { ...one, isHeld: true };
    if (one.again !== undefined && one.again > now) return one;
    fresh.push(one.id);
    return { id: one.id, at: one.at, isMissed: false, isHeld: false };
  });
  const added = untold(last, due).map(({ id, at }): Waiting => {
    const held = isHeld(id);
    if (!held) fresh.push(id);
    return { id, at, isMissed: now - at > LATE && !held, isHeld: held };
  });
  const next = {
    ...last,
    toldUntil: now,
    waiting: bounded(onePerOccurrence([...backFirst(stood, fresh), ...added], now)),
    lately: withLately(
      last.lately,
      added.map(({ id }) => id),
    ),
  };
  return { next, fresh };
}

/** Whether anything that waits may be told now for another reason than that it came due. */
export const isStirring = ({ waiting }: Reminding, now: EpochMs) =>
  waiting.some(({ again, isHeld }) => isHeld || (again !== undefined && again <= now));

/** Reminders are done with. */
export const without = (last: Reminding, ids: readonly string[]): Reminding => ({
  ...last,
  waiting: withoutIds(last.waiting, ids),
});

function withoutIds(waiting: readonly Waiting[], ids: readonly string[]): Waiting[] {
  const gone = new Set(ids);
  return waiting.filter(({ id }) => !gone.has(id));
}

/** A reminder is put off until a moment. */
export const putOff = (last: Reminding, id: string, again: EpochMs): Reminding => ({
  ...last,
  waiting: last.waiting.map((one) => (one.id === id ? { ...one, again } : one)),
});

/** Everything that is held back is told. */
export const released = (last: Reminding): Reminding => ({
  ...last,
  waiting: last.waiting.map((one) => ({ ...one, isHeld: false })),
});

/** Messages join what is to be sent, each once. */
export function queued(
  last: Reminding,
  messages: readonly Reminding['toSend'][number][],
): Reminding {
  return {
    ...last,
    toSend: [...last.toSend, ...messages],
    lately: withLately(
      last.lately,
      messages.map(({ id }) => id),
    ),
  };
}

/** The outbox has taken messages. */
export const taken = (last: Reminding, ids: readonly string[]): Reminding => ({
  ...last,
  toSend: last.toSend.filter(({ id }) => !ids.includes(id)),
});
