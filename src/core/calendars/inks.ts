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

/** The calendars that are hard to tell by ink from one before them; first those that are so for everyone. */
export function alikeInks<T extends Inked>(calendars: readonly T[]): AlikeInks<T>[] {
  const found = calendars.flatMap((calendar, i): AlikeInks<T>[] => {
    const like = calendars.slice(0, i).filter((other) => hardFor(other.ink, calendar.ink));
    if (!like.length) return [];
    const isForAll = like.some((other) => hardFor(other.ink, calendar.ink) === 'everyone');
    const others = calendars.filter(({ id }) => id !== calendar.id).map(({ ink }) => ink);
    const sameMark = like.some(({ mark }) => mark === calendar.mark);
    return [
      { calendar, like, who: isForAll ? 'everyone' : 'some', sameMark, better: freeInk(others) },
    ];
  });
  return found.sort((a, b) => Number(a.who === 'some') - Number(b.who === 'some'));
}
