/** Things by a key that they share, in the order in which they come. */
export function grouped<T, K extends string | number>(
  all: readonly T[],
  keyOf: (one: T) => K,
): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const one of all) {
    const same = groups.get(keyOf(one));
    if (same) same.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}
