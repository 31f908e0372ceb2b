import fc from 'fast-check';
import {
  civilDate,
  DAY,
  dayNumber,
  dayOfWall,
  daysInMonth,
  firstWeekStart,
  formatDate,
  formatLocal,
  HOUR,
  isLeapYear,
  MINUTE,
  minuteOfDay,
  parseDate,
  parseLocal,
  startOfWeek,
  weekdayOf,
  weekNumber,
} from './civil';

/** Days from year 1 to 9999, where Date counts the same calendar. */
const anyDay = fc.integer({ min: dayNumber(1, 1, 1), max: dayNumber(9999, 12, 31) });

test('day numbers count the days that Date counts', () => {
  fc.assert(
    fc.property(anyDay, (day) => {
      const date = new Date(day * DAY);
      expect(civilDate(day)).toEqual({
        year: date.getUTCFullYear(),
        month: date.getUTCMonth() + 1,
        day: date.getUTCDate(),
      });
      expect(weekdayOf(day)).toBe((date.getUTCDay() + 6) % 7);
    }),
  );
});

test('a date goes to its number and back', () => {
  fc.assert(
    fc.property(anyDay, (day) => {
      const { year, month, day: date } = civilDate(day);
      expect(dayNumber(year, month, date)).toBe(day);
      expect(parseDate(formatDate(day))).toBe(day);
    }),
  );
});

test('months past the year’s end are carried into the next years', () => {
  expect(dayNumber(2026, 13, 1)).toBe(dayNumber(2027, 1, 1));
  expect(dayNumber(2026, 0, 31)).toBe(dayNumber(2025, 12, 31));
  expect(dayNumber(2026, 26, 3)).toBe(dayNumber(2028, 2, 3));
});

test.each([
  [2024, true],
  [2026, false],
  [2000, true],
  [1900, false],
])('%i is a leap year: %s', (year, isLeap) => {
  expect(isLeapYear(year)).toBe(isLeap);
  expect(daysInMonth(year, 2)).toBe(isLeap ? 29 : 28);
});

test('a wall time is told apart into day and minute, and written and read again', () => {
  const wall = parseLocal('2026-11-24T10:25:30');
  expect(formatDate(dayOfWall(wall))).toBe('2026-11-24');
  expect(minuteOfDay(wall)).toBe(10 * 60 + 25.5);
  fc.assert(
    fc.property(anyDay, fc.integer({ min: 0, max: 86_399 }), (day, second) => {
      const any = day * DAY + second * 1000;
      expect(parseLocal(formatLocal(any))).toBe(any);
    }),
  );
});

test('times before 1970 keep their own day', () => {
  const wall = parseLocal('1969-12-31T23:30:00');
  expect(wall).toBe(-30 * MINUTE);
  expect(formatLocal(wall)).toBe('1969-12-31T23:30:00');
  expect(minuteOfDay(wall)).toBe(23 * 60 + 30);
});

test('a leap second counts as the one before', () => {
  expect(parseLocal('2016-12-31T23:59:60')).toBe(parseLocal('2016-12-31T23:59:59'));
});

test.each(['2026-02-30', '2026-13-01', '2026-00-10', '26-01-01', '2026-1-1', 'tomorrow', ''])(
  '“%s” is no date',
  (text) => {
    expect(() => parseDate(text)).toThrow(RangeError);
  },
);

test.each([
  '2026-11-24T24:00:00',
  '2026-11-24T10:60:00',
  '2026-11-24T10:00:61',
  '2026-02-30T10:00',
])('“%s” is no time', (text) => {
  expect(() => parseLocal(text)).toThrow(RangeError);
});

test('a date alone is its midnight', () => {
  expect(parseLocal('2026-11-24')).toBe(parseLocal('2026-11-24T00:00'));
});

test('weeks begin on the chosen weekday and hold the day', () => {
  fc.assert(
    fc.property(anyDay, fc.constantFrom(0, 5, 6), (day, first) => {
      const start = startOfWeek(day, first as 0 | 5 | 6);
      expect(weekdayOf(start)).toBe(first);
      expect(day - start).toBeGreaterThanOrEqual(0);
      expect(day - start).toBeLessThan(7);
    }),
  );
});

test.each([
  ['2026-11-24', 2026, 48],
  ['2026-01-01', 2026, 1],
  ['2027-01-01', 2026, 53],
  ['2021-01-03', 2020, 53],
  ['2024-12-30', 2025, 1],
])('%s lies in week %i-W%i (ISO 8601)', (text, year, week) => {
  expect(weekNumber(parseDate(text))).toEqual({ year, week });
});

test('week numbers go up by one from week to week', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1970, max: 2100 }), (year) => {
      const start = firstWeekStart(year);
      expect(weekNumber(start)).toEqual({ year, week: 1 });
      expect(weekNumber(start - 1).year).toBe(year - 1);
      expect([52, 53]).toContain(weekNumber(start - 1).week);
      expect(weekNumber(start + 7).week).toBe(2);
    }),
  );
});

test('the units are those of milliseconds', () => {
  expect([MINUTE, HOUR, DAY]).toEqual([60_000, 3_600_000, 86_400_000]);
});
