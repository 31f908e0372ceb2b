import { fold } from '../query/fold';
import { wordsOf } from '../query/words';

/** Something that can be done or opened, by the words that people have for it. */
export interface Named {
  name: string;
  /** Other words for it. */
  also?: string;
}

/** How well a word is in a text: at its beginning, at that of a word, within one, or (0) not. */
function rank(word: string, text: string): number {
  const at = text.indexOf(word);
  if (at < 0) return 0;
  if (at === 0) return 4;
  return text.includes(` ${word}`) ? 3 : 1;
}

/** How well something goes with all of the words; 0 where one of them is nowhere. */
function score(words: readonly string[], { name, also = '' }: Named): number {
  const [own, other] = [fold(name), fold(also)];
  let sum = 0;
  for (const word of words) {
    const best = Math.max(rank(word, own) * 2, rank(word, other));
    if (!best) return 0;
    sum += best;
  }
  return sum;
}

/** Those that have all typed words, the best first and else in their order; all of them where nothing is typed. */
export function searchNamed<T extends Named>(all: readonly T[], typed: string): T[] {
  const words = wordsOf(fold(typed));
  if (!words.length) return [...all];
  return all
    .map((one) => ({ one, points: score(words, one) }))
    .filter(({ points }) => points > 0)
    .sort((a, b) => b.points - a.points || a.one.name.length - b.one.name.length)
    .map(({ one }) => one);
}
