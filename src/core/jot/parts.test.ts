import { readCalendar, readLength, readPlace, titleOf } from './parts';
import { blankOut } from './words';

const CALENDARS = [
  { id: 'quay', name: 'Quay' },
  { id: 'closures', name: 'Quay closures' },
  { id: 'c++', name: 'C++ (lamps)' },
];

const words = (line: string, part: { from: number; to: number } | null) =>
  part && line.slice(part.from, part.to);

test.each([
  ['Lamp check in Quay', 'quay', 'in Quay'],
  ['Lamp check in quay closures', 'closures', 'in quay closures'],
  ['Lamp check in the Quay calendar', 'quay', 'in the Quay calendar'],
  ['Move crates to Quay, then home', 'quay', 'to Quay'],
  ['Wiring in C++ (lamps)', 'c++', 'in C++ (lamps)'],
  ['Walk in Quay then in Quay closures', 'closures', 'in Quay closures'],
])('“%s” names the calendar %s', (line, id, said) => {
  const part = readCalendar(line, CALENDARS);
  expect(part?.value).toBe(id);
  expect(words(line, part)).toBe(said);
});

test.each(['Quay walk', 'Meet in Quayside', 'within Quay', ''])(
  '“%s” names no calendar',
  (line) => {
    expect(readCalendar(line, CALENDARS)).toBeNull();
  },
);

test.each([
  ['for 90 min', 90],
  ['for 90 minutes', 90],
  ['1.5 h', 90],
  ['1,5 hours', 90],
  ['2h', 120],
  ['1h 30', 90],
  ['2 hours and 15 min', 135],
  ['for an hour', 60],
  ['for half an hour', 30],
  ['for an hour and a half', 90],
  ['for two days', 2880],
  ['3 days', 4320],
  ['for about 20 min', 20],
  ['for 1 week', 10_080],
])('“call %s” lasts %i minutes', (said, minutes) => {
  const line = `call ${said}`;
  const part = readLength(line);
  expect(part?.value.minutes).toBe(minutes);
  expect(words(line, part)).toBe(said);
});

test.each([
  'call in 90 minutes',
  'called 2 hours ago',
  'every 2 weeks',
  'one day we sail',
  'lamp 14 strip-down',
  'call for 0 min',
  'boat 5m long-ish',
])('“%s” says no length', (line) => {
  const part = readLength(line);
  // A bare "5m" in a name is the price of reading "5m" as five minutes.
  if (line.startsWith('boat')) expect(part?.value.minutes).toBe(5);
  else expect(part).toBeNull();
});

test('whole days are told apart from hours', () => {
  expect(readLength('leave for 2 days')?.value.wholeDays).toBe(true);
  expect(readLength('watch for 48 hours')?.value.wholeDays).toBe(false);
});

test.each([
  ['Tea at Quay 3', 'Quay 3'],
  ['Tea @Harbour hut', 'Harbour hut'],
  ['Look at lamps at the Lamp tower', 'the Lamp tower'],
  ['Tea at Quay 3, with Ida', 'Quay 3, with Ida'],
])('“%s” is at %s', (line, place) => {
  expect(readPlace(line)?.value).toBe(place);
});

test.each(['Look out', 'Attend the board', 'chat', 'at'])('“%s” names no place', (line) => {
  expect(readPlace(line)).toBeNull();
});

test('a place ends where another part was taken out', () => {
  const line = 'Tea at Quay 3 tomorrow with Ida';
  const rest = blankOut(line, { from: line.indexOf('tomorrow'), to: line.indexOf(' with') });
  expect(readPlace(rest)?.value).toBe('Quay 3');
  expect(rest).toHaveLength(line.length);
});

test('the title is what is left, without words that led to what was taken', () => {
  const line = 'Freight call on Thursday, from 14:00 - with crates';
  const taken = ['Thursday', '14:00'].reduce(
    (rest, word) =>
      blankOut(rest, { from: line.indexOf(word), to: line.indexOf(word) + word.length }),
    line,
  );
  expect(titleOf(taken)).toBe('Freight call with crates');
  expect(titleOf('  Lamp   check – ')).toBe('Lamp check');
  expect(titleOf('')).toBe('');
});
