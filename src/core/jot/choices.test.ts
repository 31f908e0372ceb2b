import { halfOf, isOrderOpen, readingKey } from './choices';
import { formatLocal } from '../time/civil';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

test.each([
  ['budget 3/12', true],
  ['call 5/6 at 15:00', true],
  ['budget 15/12', false],
  ['budget 4/4', false],
  ['drinks at 6', false],
  ['call next friday', false],
  ['sun cream', false],
])('“%s” has its date in two orders: %s', (line, isOpen) => {
  const read = readJot(line, TUESDAY);
  expect(isOrderOpen(read, read.other)).toBe(isOpen);
});

test.each([
  ['drinks at 6', { minute: 360, half: 'pm' }],
  ['call fri at 8', { minute: 480, half: 'am' }],
  ['call at 10', null],
  ['budget 3/12', null],
  ['sun cream', null],
])('the hour of “%s” is of this half of the day: %j', (line, half) => {
  const read = readJot(line, TUESDAY);
  expect(halfOf(read, read.other)).toEqual(half);
});

test.each([
  ['call fri at 8', 'pm', '20:00', '08:00'],
  ['call fri at 8', 'am', '08:00', '20:00'],
  // What is done early or late is, and what is over today is not meant.
  ['dinner fri at 8', 'am', '20:00', '08:00'],
  ['breakfast fri at 8', 'pm', '08:00', '20:00'],
  ['call at 8', 'am', '20:00', '08:00'],
  ['call fri at 8am', 'pm', '08:00', undefined],
  ['call fri 8-9', 'pm', '08:00', undefined],
  ['call fri at 7', 'pm', '07:00', '19:00'],
] as const)('“%s”, with 8 chosen as %s, is at %s, or %s', (line, half, first, second) => {
  const read = readJot(line, { ...TUESDAY, chosenHalves: { 480: half } });
  const hour = (start: number | undefined) =>
    start === undefined ? undefined : formatLocal(start).slice(11, 16);
  expect([hour(read.start), hour(read.other?.start)]).toEqual([first, second]);
});

test('readings of a line are told apart by what differs', () => {
  for (const line of ['budget 3/12', 'flight 13:00 halifax fri', 'sun cream', 'call at 8']) {
    const read = readJot(line, TUESDAY);
    expect(readingKey(read)).not.toBe(readingKey(read.other!));
    expect(readingKey(read)).toBe(readingKey(readJot(line, TUESDAY)));
  }
});
