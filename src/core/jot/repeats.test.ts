import { writeRepeat } from '../recurrence/repeat';
import { formatLocal } from '../time/civil';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

const { workdays } = TUESDAY;

function said(line: string): string {
  const jot = readJot(line, TUESDAY);
  const kind = { zone: 'Europe/London', wholeDay: jot.wholeDay, workdays };
  const start = formatLocal(jot.start).slice(0, jot.wholeDay ? 10 : 16);
  return `${jot.title} | ${start} ${(jot.end - jot.start) / 60_000} | ${writeRepeat(jot.repeat, kind) ?? 'once'}`;
}

test.each([
  [
    'Crate round every other Wednesday 11:15',
    'Crate round | 2026-11-25T11:15 30 | FREQ=WEEKLY;INTERVAL=2;BYDAY=WE',
  ],
  [
    'Bench round weekdays 8:30 for 15 min until March',
    'Bench round | 2026-11-25T08:30 15 | FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;UNTIL=20270228T235959Z',
  ],
  [
    'Rent monthly on the 8th, 6 times',
    'Rent | 2026-12-08 1440 | FREQ=MONTHLY;BYMONTHDAY=8;COUNT=6',
  ],
  [
    'last Friday of each month 16:00 close-out',
    'close-out | 2026-11-27T16:00 30 | FREQ=MONTHLY;BYDAY=-1FR',
  ],
  ['Stand-up every day at 9:00', 'Stand-up | 2026-11-25T09:00 30 | FREQ=DAILY'],
  ['Water plants every 3 days', 'Water plants | 2026-11-24 1440 | FREQ=DAILY;INTERVAL=3'],
  [
    'Call Osaka every Mon and Thu 9:45 in Clients',
    'Call Osaka | 2026-11-26T09:45 30 | FREQ=WEEKLY;BYDAY=MO,TH',
  ],
  [
    'Sync mon-fri 8:00 until 18/12',
    'Sync | 2026-11-25T08:00 30 | FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;UNTIL=20261218T235959Z',
  ],
  ['Course mon-wed', 'Course | 2026-11-30 4320 | once'],
  [
    'Payroll fortnightly on Friday 9:00',
    'Payroll | 2026-11-27T09:00 30 | FREQ=WEEKLY;INTERVAL=2;BYDAY=FR',
  ],
  ['Tea on Fridays 12:30', 'Tea | 2026-11-27T12:30 30 | FREQ=WEEKLY;BYDAY=FR'],
  ['Stock Thursday 15:00 weekly', 'Stock | 2026-11-26T15:00 30 | FREQ=WEEKLY;BYDAY=TH'],
  [
    'Board the 2nd Thursday of every month 10:00',
    'Board | 2026-12-10T10:00 30 | FREQ=MONTHLY;BYDAY=2TH',
  ],
  ['Ledger last day of each month', 'Ledger | 2026-11-30 1440 | FREQ=MONTHLY;BYMONTHDAY=-1'],
  ['Audit 5 March yearly', 'Audit | 2027-03-05 1440 | FREQ=YEARLY;BYMONTH=3;BYMONTHDAY=5'],
  [
    'Review every 2 weeks on Monday 14:00 for 1 h until 30 April',
    'Review | 2026-11-30T14:00 60 | FREQ=WEEKLY;INTERVAL=2;BYDAY=MO;UNTIL=20270430T225959Z',
  ],
  [
    'Harbour visit 3 Dec 9:00 every 4 weeks, 5 times',
    'Harbour visit | 2026-12-03T09:00 30 | FREQ=WEEKLY;INTERVAL=4;BYDAY=TH;COUNT=5',
  ],
])('%s', (line, expected) => {
  expect(said(line)).toBe(expected);
});

test.each([
  ['Check every lamp tomorrow', 'Check every lamp | 2026-11-25 1440 | once'],
  ['Wait until Friday 14:00', 'Wait until | 2026-11-27T14:00 30 | once'],
  ['Ship 6 times the usual', 'Ship 6 times the usual | 2026-11-24 1440 | once'],
])('what only looks like a repeat is none: %s', (line, expected) => {
  expect(said(line)).toBe(expected);
});

test('the words that said it are marked, each stretch by itself', () => {
  const line = 'Rent monthly on the 8th, 6 times';
  const parts = readJot(line, TUESDAY).parts.map(({ kind, from, to }) => [
    kind,
    line.slice(from, to),
  ]);
  expect(parts).toEqual([
    ['repeat', 'monthly on the 8th'],
    ['repeat', '6 times'],
  ]);
});
