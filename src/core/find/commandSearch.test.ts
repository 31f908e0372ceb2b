import { searchNamed } from './commandSearch';

const ALL = [
  { name: 'Grid', also: 'month form' },
  { name: 'Go to a date' },
  { name: 'Add an event', also: 'new' },
  { name: 'Tidy', also: 'clean up checks' },
  { name: 'Café rounds' },
];
const found = (typed: string) => searchNamed(ALL, typed).map(({ name }) => name);

test('all words count, in any order, without accents, at the beginning of words first', () => {
  expect(found('')).toHaveLength(ALL.length);
  expect(found('date go')).toEqual(['Go to a date']);
  expect(found('cafe')).toEqual(['Café rounds']);
  expect(found('NEW')).toEqual(['Add an event']);
  expect(found('up')).toEqual(['Tidy']);
  expect(found('grid date')).toEqual([]);
  // A name that begins so comes before one that has it within.
  expect(found('g')[0]).toBe('Grid');
});
