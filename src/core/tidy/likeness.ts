import { fold } from '../query/fold';
import { isNear } from '../query/near';

/** A text as people mean it: without case, accents, and what stands between words. */
export const plain = (text: string): string =>
  fold(text)
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Letters that may differ in titles that mean the same. */
const SLIPS = 2;
const LEAST_FOR_SLIPS = 6;

/** Whether two titles mean the same, as `plain` has them: alike but for a slip. */
export function areSame(one: string, other: string): boolean {
  if (one === other) return true;
  if (Math.min(one.length, other.length) < LEAST_FOR_SLIPS) return false;
  // Other figures mean other things: "Lamp 14" is not "Lamp 15".
  return isNear(one, other, SLIPS) && figures(one) === figures(other);
}

/** Whether two titles mean the same. */
export const isSameTitle = (a: string, b: string): boolean => areSame(plain(a), plain(b));

const figures = (text: string) => (text.match(/\d+/g) ?? []).join(' ');
