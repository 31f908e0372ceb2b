/** From one to another, and one after the other: what stands between days and times that go together. */
export const JOINS = /\s*(?:-|to\b|until\b|till\b|through\b|thru\b)\s*/y;
export const LISTS = /\s*(?:,(?:\s*(?:and\b|&))?|and\b|&)\s*/y;

/**
 * What of some pieces of a text begins right behind a sign, found in a step: the sign (a sticky
 * expression) is looked for at a place, and the pieces are kept by where they begin.
 */
export function startingAt<T extends { from: number }>(
  pieces: readonly T[],
): (text: string, at: number, sign: RegExp) => readonly T[] {
  const starting = new Map<number, T[]>();
  for (const piece of pieces) {
    const known = starting.get(piece.from);
    if (known) known.push(piece);
    else starting.set(piece.from, [piece]);
  }
  return (text, at, sign) => {
    sign.lastIndex = at;
    return sign.test(text) ? (starting.get(sign.lastIndex) ?? []) : [];
  };
}
