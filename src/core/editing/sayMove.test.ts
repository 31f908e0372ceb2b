import { sayMove } from './sayMove';

const WORDING = { locale: 'en-GB', hourCycle: '24' } as const;
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
  expect(sayMove(before, after, WORDING)).toBe(said);
});
