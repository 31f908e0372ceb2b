import fc from 'fast-check';
import { civilDate, DAY, formatDate, MINUTE, parseDate } from '../../time/civil';
import type { DayNumber, MinuteOfDay } from '../../time/units';
import { instantFromWall } from '../../time/zones';
import type { Moment } from './moments';
import { readStretch, readTime } from './moments';

const ZONE = 'Europe/London';
const say = (moment: Moment | null | undefined) =>
  moment &&
  [
    moment.day === null ? '' : formatDate(moment.day),
    moment.minute === null
      ? ''
      : `${Math.floor(moment.minute / 60)}:${String(moment.minute % 60).padStart(2, '0')}`,
  ]
    .join(' ')
    .trim();

test.each([
  ['24/11/2026', '2026-11-24', null],
  ['Tue 24/11/2026', '2026-11-24', null],
  ['Tuesday, 24 November 2026', '2026-11-24', null],
  ['24-11-26', '2026-11-24', null],
  ['2026-11-24', '2026-11-24', null],
  ['2026-11-24 (Tuesday)', '2026-11-24', null],
  ['24/11/2026 09:15', '2026-11-24 9:15', null],
  ['24/11/2026, 9.15 am', '2026-11-24 9:15', null],
  ['2026-11-24T09:15', '2026-11-24 9:15', null],
  ['2026-11-24T09:15:30Z', '2026-11-24 9:15', null],
  ['2026-07-24T09:15Z', '2026-07-24 10:15', null],
  ['2026-11-24T23:30:00.000-05:00', '2026-11-25 4:30', null],
  ['24 Nov 2026 noon', '2026-11-24 12:00', null],
  ['9:00-10:30', '9:00', '10:30'],
  ['9:00 AM – 10:30:00 AM', '9:00', '10:30'],
  ['0900-1430', '9:00', '14:30'],
  ['24/11/2026 - 26/11/2026', '2026-11-24', '2026-11-26'],
  ['24/11/2026 9:00-10:30', '2026-11-24 9:00', '10:30'],
  ['24/11/2026 9:00 to 26/11/2026 16:00', '2026-11-24 9:00', '2026-11-26 16:00'],
  ['2026-11-24T09:00Z - 2026-11-24T10:00Z', '2026-11-24 9:00', '2026-11-24 10:00'],
])('“%s” is %s, to %s', (cell, from, to) => {
  const read = readStretch(cell, 'day', ZONE);
  expect([say(read?.from), say(read?.to)]).toEqual([from, to]);
});

test.each(['', 'soon', '31/02/2026', '25:99', '10-12', '2026-13', 'Room 9:75'])(
  '“%s” says neither day nor time',
  (cell) => expect(readStretch(cell, 'day', ZONE)).toBeNull(),
);

test.each([
  ['9:15', 555],
  ['9:15:59', 555],
  ['9.15 p.m.', 1275],
  ['2pm', 840],
  ['14h30', 870],
  ['0915', 555],
  ['midnight', 0],
  ['9', null],
  ['24:00', null],
])('“%s” is the minute %s', (text, minute) => expect(readTime(text)).toBe(minute));

const two = (number: number) => String(number).padStart(2, '0');
const DATES: readonly ((day: DayNumber) => string)[] = [
  formatDate,
  (day) => formatDate(day).split('-').reverse().join('/'),
  (day) => formatDate(day).split('-').reverse().join('.'),
  (day) =>
    `${civilDate(day).day} ${'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')[civilDate(day).month - 1]} ${civilDate(day).year}`,
];
const TIMES: readonly ((minute: MinuteOfDay) => string)[] = [
  (minute) => `${two(Math.floor(minute / 60))}:${two(minute % 60)}`,
  (minute) => `${two(Math.floor(minute / 60))}:${two(minute % 60)}:00`,
  (minute) =>
    `${((Math.floor(minute / 60) + 11) % 12) + 1}:${two(minute % 60)} ${minute < 720 ? 'AM' : 'PM'}`,
];

test('days and times in any spelling, alone, together and joined, are what they were', () => {
  const day = fc.integer({ min: parseDate('2000-01-01'), max: parseDate('2060-12-31') });
  const minute = fc.integer({ min: 0, max: 1439 });
  const moment = fc.oneof(
    fc.record({ day, minute: fc.constant(null) }),
    fc.record({ day, minute }),
  );
  fc.assert(
    fc.property(
      moment,
      fc.option(moment),
      fc.constantFrom(...DATES),
      fc.constantFrom(...TIMES),
      fc.constantFrom(' - ', ' – ', ' to '),
      (from, to, date, time, joint) => {
        const write = (one: Moment) =>
          [date(one.day!), one.minute === null ? [] : time(one.minute)].flat().join(' ');
        const cell = to ? write(from) + joint + write(to) : write(from);
        expect({ cell, read: readStretch(cell, 'day', ZONE) }).toEqual({
          cell,
          read: { from, to },
        });
      },
    ),
    { numRuns: 300 },
  );
});

test('an instant is read on the clock that is asked for', () => {
  const zones = fc.constantFrom('Europe/London', 'America/Halifax', 'Asia/Kathmandu', 'UTC');
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60 * 366 * 1440 }), zones, (minutes, zone) => {
      const instant = minutes * MINUTE;
      const { from } = readStretch(new Date(instant).toISOString(), 'day', zone)!;
      const wall = from.day! * DAY + from.minute! * MINUTE;
      // In a repeated hour the wall names the first pass.
      const back = instantFromWall(wall, zone);
      expect([0, 60 * MINUTE]).toContain(instant - back);
    }),
  );
});
