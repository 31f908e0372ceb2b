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

test('what begins with a word comes before what has a word that does, and that before what has it within', () => {
  const named = ['A plan', 'Explanation', 'Plan', 'Planned'].map((name) => ({ name }));
  expect(searchNamed(named, 'plan').map(({ name }) => name)).toEqual([
    'Plan',
    'Planned',
    'A plan',
    'Explanation',
  ]);
  // Its own name counts twice what other words for it do.
  const both = [{ name: 'Sheet', also: 'print' }, { name: 'The print' }];
  expect(searchNamed(both, 'print').map(({ name }) => name)).toEqual(['The print', 'Sheet']);
});
