import type { Points } from './boxes';

/** How wide letters are, in shares of the size; what is not named is as wide as `other`. */
export interface LetterWidths {
  regular: ReadonlyMap<string, number>;
  bold: ReadonlyMap<string, number>;
  other: number;
}

/** Every letter as wide as every other: for what has no screen to measure on. */
export const EVEN_WIDTHS: LetterWidths = { regular: new Map(), bold: new Map(), other: 0.62 };

export interface Letters {
  size: Points;
  isBold?: boolean;
}

/** Width of a text on one line. */
export function widthOf(text: string, { size, isBold }: Letters, widths: LetterWidths): Points {
  const table = isBold ? widths.bold : widths.regular;
  let sum = 0;
  for (const letter of text) sum += table.get(letter) ?? widths.other;
  return sum * size;
}

/** As much of a word as fits, at least one letter; and the rest. */
function broken(word: string, room: Points, letters: Letters, widths: LetterWidths) {
  const all = [...word];
  let fits = 1;
  while (fits < all.length && widthOf(all.slice(0, fits + 1).join(''), letters, widths) <= room)
    fits++;
  return [all.slice(0, fits).join(''), all.slice(fits).join('')] as const;
}

/** A text in lines that fit a width: broken between words, and within one only where it is wider than all of it. */
export function linesOf(
  text: string,
  room: Points,
  letters: Letters,
  widths: LetterWidths,
): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split(/\r?\n/)) {
    let line = '';
    for (const word of paragraph.split(/\s+/).filter(Boolean)) {
      const longer = line ? `${line} ${word}` : word;
      if (widthOf(longer, letters, widths) <= room) {
        line = longer;
        continue;
      }
      if (line) lines.push(line);
      let rest = word;
      while (widthOf(rest, letters, widths) > room && [...rest].length > 1) {
        const [head, tail] = broken(rest, room, letters, widths);
        lines.push(head);
        rest = tail;
      }
      line = rest;
    }
    if (line) lines.push(line);
  }
  return lines;
}
