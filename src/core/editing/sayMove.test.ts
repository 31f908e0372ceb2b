import { sayMove, sayStart } from './sayMove';

const SAYING = {
  wording: { locale: 'en-GB', hourCycle: '24' },
  clock: 'Europe/London',
} as const;
const at = (local: string) =>
  ({ kind: 'zoned', local: `2026-11-${local}:00`, zone: 'Europe/London' }) as const;
const timed = (start: string, end: string) => ({ start: at(start), end: at(end) });
const days = (start: string, end: string) => ({
  start: { kind: 'date', date: `2026-11-${start}` } as const,
  end: { kind: 'date', date: `2026-11-${end}` } as const,
});

test.each([
  [timed('26T13:30', '26T14:00'), timed('26T14:00', '26T14:30'), ': Thu 26 Nov, 13:30 → 14:00'],
  [
    timed('25T11:30', '25T12:00'),
    timed('26T11:30', '26T12:00'),
    ': Wed 25 Nov, 11:30 → Thu 26 Nov, 11:30',
  ],
  [timed('25T11:30', '25T12:00'), timed('25T11:30', '25T13:00'), ': ends 12:00 → 13:00'],
  [
    timed('25T11:30', '25T12:00'),
    timed('25T11:30', '26T01:00'),
    ': ends Wed 25 Nov, 12:00 → Thu 26 Nov, 01:00',
  ],
  [days('25', '26'), days('25', '28'), ': ends Wed 25 Nov → Fri 27 Nov'],
  [timed('25T11:30', '25T12:00'), days('25', '26'), ': Wed 25 Nov, 11:30 → Wed 25 Nov'],
  [days('25', '26'), days('25', '26'), ''],
])('%j to %j is said', (before, after, said) => {
  expect(sayMove(before, after, SAYING)).toBe(said);
});

test('times are said on the clock that the sheet shows', () => {
  const tokyo = { ...SAYING, clock: 'Asia/Tokyo' };
  expect(sayStart(timed('25T18:30', '25T19:00'), tokyo)).toBe('Thu 26 Nov, 03:30');
  expect(sayMove(timed('25T11:30', '25T12:00'), timed('25T11:30', '25T12:30'), tokyo)).toBe(
    ': ends 21:00 → 21:30',
  );
  const there = { kind: 'zoned', local: '2026-11-25T20:30:00', zone: 'Asia/Tokyo' } as const;
  const isSame = { ...timed('25T11:30', '25T12:00'), start: there };
  expect(sayMove(timed('25T11:30', '25T12:00'), isSame, SAYING)).toBe('');
});

test('floating times and whole days are the same everywhere', () => {
  const floating = { kind: 'floating', local: '2026-11-25T09:00:00' } as const;
  const tokyo = { ...SAYING, clock: 'Asia/Tokyo' };
  expect(sayStart({ start: floating, end: floating }, tokyo)).toBe('Wed 25 Nov, 09:00');
  expect(sayStart(days('25', '26'), tokyo)).toBe('Wed 25 Nov');
});
