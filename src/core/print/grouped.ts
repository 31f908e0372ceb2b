/** Things by a number that they share, in the order in which they come. */
export function grouped<T>(all: readonly T[], keyOf: (one: T) => number): Map<number, T[]> {
  const groups = new Map<number, T[]>();
  for (const one of all) {
    const same = groups.get(keyOf(one));
    if (same) same.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}
