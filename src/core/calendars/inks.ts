import { farthestInk, hardFor } from '../colour/vision';
import type { Calendar } from '../model/calendar';
import { INKS } from '../model/inks';

type Inked = Pick<Calendar, 'id' | 'name' | 'ink' | 'mark'>;

/** A calendar whose ink is hard to tell from those before it, for whom, and the ink that would help. */
export interface AlikeInks<T extends Inked = Inked> {
  calendar: T;
  like: T[];
  /** For everyone, or for people with a kind of colour blindness. */
  who: 'everyone' | 'some';
  /** Whether one of them has its mark as well, so that nothing tells them apart. */
  sameMark: boolean;
  better: string;
}

/** A named ink by its colour, or the colour itself. */
export function inkName(ink: string): string {
  const named = Object.entries(INKS).find(([, hex]) => hex.toUpperCase() === ink.toUpperCase());
  return named?.[0] ?? ink.toUpperCase();
}

/** The ink of the house that none of these has and that stands farthest from them. */
export function freeInk(taken: readonly string[]): string {
  const used = new Set(taken.map((ink) => ink.toUpperCase()));
  const inks: string[] = Object.values(INKS);
  const free = inks.filter((ink) => !used.has(ink.toUpperCase()));
  return farthestInk(taken, free.length ? free : inks);
}

/** The one that is hard to tell from most others, of several the last; null where each can be told. */
function oddOne<T extends Inked>(calendars: readonly T[]): { odd: T; like: T[] } | null {
  const found = calendars.map((odd) => ({
    odd,
    like: calendars.filter((other) => other.id !== odd.id && hardFor(other.ink, odd.ink)),
  }));
  const worst = found.reduce<(typeof found)[number] | null>(
    (best, one) => (one.like.length >= (best?.like.length ?? 1) ? one : best),
    null,
  );
  return worst?.like.length ? worst : null;
}

/**
 * The calendars to give another ink so that each can be told from the rest: as few as do it, each with
 * an ink that no other has or is given; first those that are hard to tell for everyone.
 */
export function alikeInks<T extends Inked>(calendars: readonly T[]): AlikeInks<T>[] {
  let left = [...calendars];
  const found: AlikeInks<T>[] = [];
  while (found.length < calendars.length) {
    const next = oddOne(left);
    if (!next) break;
    const { odd, like } = next;
    const own = calendars.find(({ id }) => id === odd.id)!;
    const better = freeInk(left.filter(({ id }) => id !== odd.id).map(({ ink }) => ink));
    const isForAll = like.some((other) => hardFor(other.ink, odd.ink) === 'everyone');
    const sameMark = like.some(({ mark }) => mark === odd.mark);
    left = left.map((one) => (one.id === odd.id ? { ...one, ink: better } : one));
    // Of more calendars than there are inks some stay alike.
    if (found.some(({ calendar }) => calendar.id === odd.id)) break;
    found.push({ calendar: own, like, who: isForAll ? 'everyone' : 'some', sameMark, better });
  }
  return found.sort((a, b) => Number(a.who === 'some') - Number(b.who === 'some'));
}
