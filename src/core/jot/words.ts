/** Stands for words of a line that are taken; it is no letter, digit or space. */
export const TAKEN = '\u0001';

/** A pattern's beginning at a word, which may follow taken ones. */
export const wordStart = `(?<=^|[\\s,;${TAKEN}])`;

/** The line with a part's words taken out, its length unchanged. */
export function blankOut(line: string, part: { from: number; to: number } | null): string {
  return part
    ? line.slice(0, part.from) + TAKEN.repeat(part.to - part.from) + line.slice(part.to)
    : line;
}
