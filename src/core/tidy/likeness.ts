import { fold } from '../query/fold';

/** A text as people mean it: without case, accents, and what stands between words. */
export const plain = (text: string): string =>
  fold(text)
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/**
 * Whether two texts differ by at most `most` letters that are wrong, missing, too many or swapped
 * with their neighbour (restricted Damerau–Levenshtein distance).
 */
export function isNear(a: string, b: string, most: number): boolean {
  if (a === b) return true;
  if (Math.abs(a.length - b.length) > most) return false;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1;
      let best = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + cost);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, before[j - 2]! + 1);
      row.push(best);
      least = Math.min(least, best);
    }
    if (least > most) return false;
    before = last;
    last = row;
  }
  return last[b.length]! <= most;
}

/** Letters that may differ in titles that mean the same. */
const SLIPS = 2;
const LEAST_FOR_SLIPS = 6;

/** Whether two titles mean the same: alike but for a slip, or one says the other and a little more. */
export function isSameTitle(a: string, b: string): boolean {
  const [one, other] = [plain(a), plain(b)];
  if (one === other) return true;
  if (Math.min(one.length, other.length) < LEAST_FOR_SLIPS) return false;
  // Other figures mean other things: "Lamp 14" is not "Lamp 15".
  if (figures(one) !== figures(other)) return false;
  return isNear(one, other, SLIPS);
}

const figures = (text: string) => (text.match(/\d+/g) ?? []).join(' ');
