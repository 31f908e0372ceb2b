import { fold } from '../query/fold';

/** What people are found by. */
interface Findable {
  name: string;
  address: string;
  groups?: readonly string[];
}

/** Those of whom each typed word begins a word of their name, address or groups; all where nothing is typed. */
export function findPeople<T extends Findable>(all: readonly T[], typed: string): T[] {
  const wanted = fold(typed).split(/\s+/).filter(Boolean);
  return all.filter(({ name, address, groups = [] }) => {
    const words = fold([name, address, ...groups].join(' ')).split(/[\s@.-]+/);
    return wanted.every((want) => words.some((word) => word.startsWith(want)));
  });
}
