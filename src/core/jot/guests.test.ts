import { DEFAULT_SETTINGS } from '../model/others';
import { parseDate, parseLocal } from '../time/civil';
import { readJot } from './jot';

const CONTEXT = {
  now: parseLocal('2026-11-24T10:25:00'),
  day: parseDate('2026-11-24'),
  calendars: [{ id: 'work', name: 'Work' }],
  categories: [],
  defaultCalendarId: 'work',
  defaultLength: DEFAULT_SETTINGS.defaultLength,
  workdays: [0, 1, 2, 3, 4] as const,
  workHours: { from: 540, to: 1020 },
  isMonthFirst: false,
  namedDays: [],
  people: [
    { id: 'ida', name: 'Ida Solberg' },
    { id: 'tomas', name: 'Tomas Reyl' },
    { id: 'mei', name: 'Mei Lund' },
    { id: 'mei2', name: 'Mei Tan' },
  ],
};
const read = (line: string) => {
  const { title, guestIds, place, start } = readJot(line, CONTEXT);
  return { title, guestIds, place, hour: new Date(start).getUTCHours() };
};

test.each([
  ['Lens talk with Ida tomorrow 11:00', 'Lens talk with Ida', ['ida']],
  [
    'Lens talk with Ida and Tomas 11:00 at Bench 2',
    'Lens talk with Ida and Tomas',
    ['ida', 'tomas'],
  ],
  [
    '11:00 crates with Tomas Reyl, Ida & Mei Tan',
    'crates with Tomas Reyl, Ida & Mei Tan',
    ['tomas', 'ida', 'mei2'],
  ],
  ['Lens talk WITH IDA, and tomas fri 11am', 'Lens talk WITH IDA, and tomas', ['ida', 'tomas']],
  ['Tea with Ida, Ida and Ida 11:00', 'Tea with Ida, Ida and Ida', ['ida']],
])('%s', (line, title, guestIds) => {
  expect(read(line)).toMatchObject({ title, guestIds, hour: 11 });
});

test('a name that two have, a word that only begins like one, and strangers are no guests', () => {
  expect(read('Tea with Mei 11:00').guestIds).toEqual([]);
  expect(read('Tea with Idaho potatoes 11:00').guestIds).toEqual([]);
  expect(read('Tea with Wren 11:00').guestIds).toEqual([]);
  expect(read('Ida 11:00').guestIds).toEqual([]);
});

test('the place that is said after the guests is the place', () => {
  expect(read('Talk with Ida at Quay 3 11:00')).toMatchObject({
    guestIds: ['ida'],
    place: 'Quay 3',
    title: 'Talk with Ida',
  });
});

test('where nobody is known, nothing is different', () => {
  const { people: _people, ...nobody } = CONTEXT;
  expect(readJot('Tea with Ida 11:00', nobody)).toMatchObject({
    title: 'Tea with Ida',
    guestIds: [],
  });
});
