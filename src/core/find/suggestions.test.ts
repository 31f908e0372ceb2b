import type { DaysMeant } from './daysIn';
import type { FoundText } from './textIndex';
import type { Suggestion } from './suggestions';
import { suggestionsFor } from './suggestions';

const CALENDARS = [
  { id: 'w', name: 'Workshop' },
  { id: 'c', name: 'Clients' },
];
const CATEGORIES = [
  { id: 'x', name: 'Workshop hours' },
  { id: 'y', name: 'Café' },
];
const ALL = {
  found: [] as FoundText[],
  days: [] as DaysMeant[],
  calendars: CALENDARS,
  categories: CATEGORIES,
  countOf: (kind: 'calendar' | 'category', id: string) =>
    (kind === 'calendar' ? 10 : 1) + id.length,
};

const text = (field: FoundText['field'], said: string, count = 1): FoundText => ({
  field,
  text: said,
  count,
});

const said = (entry: Suggestion) =>
  entry.field === 'dates' ? `${entry.days.from}–${entry.days.to}` : entry.text;

const groups = (typed: string, given: Partial<typeof ALL> = {}) =>
  suggestionsFor(typed, { ...ALL, ...given }).map(
    ({ field, entries, total }) => `${field} (${total}): ${entries.map(said).join(', ')}`,
  );

test('what words may ask for is listed by where it stands, in one order', () => {
  const found = [
    text('link', 'https://work.example'),
    text('notes', 'Work on it'),
    text('title', 'Work'),
  ];
  const days: DaysMeant[] = [{ from: 3, to: 5 }];
  expect(groups('work', { found, days })).toEqual([
    'dates (1): 3–5',
    'title (1): Work',
    'calendar (1): Workshop',
    'category (1): Workshop hours',
    'notes (1): Work on it',
    'link (1): https://work.example',
  ]);
});

test('four of a field are listed, as they were found, and all are counted', () => {
  const found = ['a', 'b', 'c', 'd', 'e', 'f'].map((letter) => text('place', letter));
  expect(groups('quay', { found })).toEqual(['place (6): a, b, c, d']);
});

test.each([
  ['cafe', ['category (1): Café']],
  ['hours work', ['category (1): Workshop hours']],
  ['"shop hours"', ['category (1): Workshop hours']],
  ['workshop clients', []],
  ['  ', []],
])('names of calendars and categories that have all of the words: “%s”', (typed, expected) => {
  expect(groups(typed)).toEqual(expected);
});

test('a calendar is asked for by its id, with how many events it has', () => {
  const [group] = suggestionsFor('clients', ALL);
  expect(group!.entries).toEqual([{ field: 'calendar', text: 'Clients', id: 'c', count: 11 }]);
});
