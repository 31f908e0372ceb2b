import { parseDate, parseLocal } from './civil';
import {
  count,
  isMonthFirst,
  sayDays,
  sayHours,
  sayLength,
  sayMinute,
  saySpan,
  saySpanFrom,
  shortWeekday,
} from './words';

const wording = { locale: 'en-GB', hourCycle: '24' } as const;
const days = (from: string, to: string) => sayDays(parseDate(from), parseDate(to), wording, 2026);

test('a range of days says each part once', () => {
  expect(days('2026-11-23', '2026-11-30')).toBe('23 – 29 November');
  expect(days('2026-11-30', '2026-12-07')).toBe('30 Nov – 6 Dec');
  expect(days('2026-12-28', '2027-01-04')).toBe('28 Dec 2026 – 3 Jan 2027');
});

test('weekdays are short, and the month is first where people write it so', () => {
  expect(([0, 2, 6] as const).map(shortWeekday)).toEqual(['Mon', 'Wed', 'Sun']);
  expect(['en-GB', 'en-US', 'en-CA'].map((locale) => isMonthFirst({ locale }))).toEqual([
    false,
    true,
    true,
  ]);
});

test('the order of date parts follows the locale', () => {
  const american = sayDays(
    parseDate('2026-11-23'),
    parseDate('2026-11-30'),
    { locale: 'en-US' },
    2026,
  );
  expect(american).toBe('November 23 – 29');
});

test.each([
  ['2026-11-23T09:00', '2026-11-23T10:30', false, 'Mon 23 Nov, 09:00 – 10:30'],
  ['2026-11-23T22:00', '2026-11-24T00:00', false, 'Mon 23 Nov, 22:00 – 00:00'],
  ['2026-11-23T22:00', '2026-11-24T06:00', false, 'Mon 23 Nov, 22:00 – Tue 24 Nov, 06:00'],
  ['2026-11-26', '2026-11-27', true, 'Thu 26 Nov'],
  ['2026-11-26', '2026-11-28', true, 'Thu 26 Nov – Fri 27 Nov'],
])('the span from %s to %s', (start, end, wholeDay, said) => {
  const span = saySpan({ start: parseLocal(start), end: parseLocal(end), wholeDay }, wording);
  expect(span.replaceAll(/,? (?=\d+ Nov)/g, ' ')).toBe(said);
});

test('times, lengths and counts', () => {
  expect([0, 545, 720, 870, 1440].map((m) => sayMinute(m, '12'))).toEqual([
    '12:00 am',
    '9:05 am',
    '12:00 pm',
    '2:30 pm',
    '12:00 am',
  ]);
  expect([30, 60, 90, 1440, 2880].map(sayLength)).toEqual([
    '30 min',
    '1 h',
    '1 h 30 min',
    '1 day',
    '2 days',
  ]);
  expect(sayHours(1890)).toBe('31.5 h');
  expect([count(1, 'date'), count(20_000, 'event')]).toEqual(['1 date', '20,000 events']);
});

test('what is over, or of another year, is said with its year', () => {
  const now = parseLocal('2026-11-24T10:25');
  const said = (start: string, end: string, wholeDay = false) =>
    saySpanFrom(now, { start: parseLocal(start), end: parseLocal(end), wholeDay }, wording);
  expect(said('2026-11-25T09:00', '2026-11-25T10:00')).not.toMatch(/2026/);
  expect(said('2026-11-24T10:00', '2026-11-24T11:00')).not.toMatch(/past/);
  expect(said('2026-11-24T09:00', '2026-11-24T10:25')).toMatch(/24 Nov 2026, .* in the past$/);
  expect(said('2027-01-05T09:00', '2027-01-05T10:00')).toMatch(/5 Jan 2027, 09:00 – 10:00$/);
  expect(said('2026-11-24', '2026-11-25', true)).not.toMatch(/past/);
  expect(said('2026-11-23', '2026-11-24', true)).toMatch(/23 Nov 2026 · in the past$/);
});
