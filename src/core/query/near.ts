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
