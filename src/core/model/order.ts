/** Things that a person has put in an order, in it; those of the same place by name. */
export const inOrder = <T extends { order: number; name: string }>(all: readonly T[]): T[] =>
  all.toSorted((a, b) => a.order - b.order || (a.name < b.name ? -1 : 1));
