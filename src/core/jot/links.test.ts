import { parseDate, parseLocal } from '../time/civil';
import { readJot } from './jot';
import { findLinks, firstLink } from './links';
import { TUESDAY } from './testing/context';

test.each([
  ['see https://tides.example/a?b=1.', 'https://tides.example/a?b=1'],
  ['(www.quay.example/gates)', 'https://www.quay.example/gates'],
  ['https://quay.example/lamp_(oil) now', 'https://quay.example/lamp_(oil)'],
  ['javascript:alert(1) and ftp://quay.example', ''],
  ['no address', ''],
])('the first address of “%s” is “%s”', (text, link) => {
  expect(firstLink(text)).toBe(link);
});

test('the pieces of a text make up the text again', () => {
  const text = 'From https://a.example, to www.b.example!';
  const pieces = findLinks(text);
  expect(pieces.map((piece) => piece.text).join('')).toBe(text);
  expect(pieces.filter(({ link }) => link)).toHaveLength(2);
});

const context = {
  ...TUESDAY,
  now: parseLocal('2026-11-23T10:10:00'),
  day: parseDate('2026-11-25'),
  calendars: [
    { id: 'workshop', name: 'Workshop' },
    { id: 'training', name: 'Training', defaultLength: 90 },
  ],
  categories: [
    { id: 'lamps', name: 'Lamps' },
    { id: 'sea-lamps', name: 'Sea lamps' },
  ],
};

test.each([
  ['Wick order Thu 14:00 #lamps', 'Wick order', ['lamps']],
  ['#sea-lamps Fitting at Quay 3', 'Fitting', ['sea-lamps']],
  ['Fitting #Sea lamps, #LAMPS', 'Fitting', ['sea-lamps', 'lamps']],
  ['Room #12 keys', 'Room #12 keys', []],
])('%s has the categories that it names', (line, title, categoryIds) => {
  expect(readJot(line, context)).toMatchObject({ title, categoryIds });
});

test('an address in a line is its link, not its place or title', () => {
  expect(
    readJot('Tide talk Thu 14:00 https://tides.example/at?in=Workshop', context),
  ).toMatchObject({ title: 'Tide talk', place: '', link: 'https://tides.example/at?in=Workshop' });
});

test('a line lasts as long as events of its calendar do', () => {
  const { start, end } = readJot('Knots Thu 14:00 in Training', context);
  expect(end - start).toBe(90 * 60_000);
});
