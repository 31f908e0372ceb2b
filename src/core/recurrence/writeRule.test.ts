import fc from 'fast-check';
import { DAY, parseDate, parseLocal } from '../time/civil';
import { parseRule } from './rule';
import { untilAt, writeRule } from './writeRule';

test.each([
  'FREQ=DAILY',
  'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE;WKST=SU',
  'FREQ=MONTHLY;BYDAY=-1FR;COUNT=12',
  'FREQ=MONTHLY;BYMONTHDAY=8,-1;UNTIL=20270430T083000Z',
  'FREQ=YEARLY;BYMONTH=2,6;BYWEEKNO=8;UNTIL=20300101',
  'FREQ=YEARLY;BYYEARDAY=1,-1;BYSETPOS=1;UNTIL=20300101T000000',
  'FREQ=MINUTELY;INTERVAL=20;BYHOUR=9,10;BYMINUTE=0,20,40;BYSECOND=0',
  'RSCALE=GREGORIAN;FREQ=MONTHLY;BYMONTHDAY=31;SKIP=BACKWARD',
])('%s is written as it was read', (text) => {
  expect(writeRule(parseRule(text))).toBe(text);
});

test('any rule means the same after it was written and read again', () => {
  const rule = fc
    .record({
      freq: fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'),
      interval: fc.integer({ min: 1, max: 40 }),
      days: fc.uniqueArray(fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'), {
        maxLength: 7,
      }),
      month: fc.option(fc.integer({ min: 1, max: 12 })),
      count: fc.option(fc.integer({ min: 1, max: 500 })),
      start: fc.constantFrom('MO', 'SU', 'SA'),
    })
    .map(({ freq, interval, days, month, count, start }) =>
      [
        `FREQ=${freq}`,
        `INTERVAL=${interval}`,
        ...(days.length ? [`BYDAY=${days.join(',')}`] : []),
        ...(month ? [`BYMONTH=${month}`] : []),
        ...(count ? [`COUNT=${count}`] : []),
        `WKST=${start}`,
      ].join(';'),
    );
  fc.assert(
    fc.property(rule, (text) => {
      const parsed = parseRule(text);
      expect(parseRule(writeRule(parsed))).toEqual(parsed);
    }),
  );
});

test('a series ends in the form that its start asks for', () => {
  const wall = parseLocal('2027-04-30T09:30:00');
  const instant = wall - 3_600_000;
  const until = (wholeDay: boolean, zone: string | null) =>
    untilAt(wall, { wholeDay, zone }, instant);
  expect(until(true, null)).toEqual({ kind: 'date', day: parseDate('2027-04-30') });
  expect(until(false, null)).toEqual({ kind: 'wall', wall });
  expect(until(false, 'Europe/Paris')).toEqual({ kind: 'instant', epochMs: instant });
  expect(Math.floor(wall / DAY)).toBe(parseDate('2027-04-30'));
});
