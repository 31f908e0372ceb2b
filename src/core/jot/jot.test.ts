import { formatLocal, parseDate, parseLocal } from '../time/civil';
import { readJot } from './jot';
import { TUESDAY } from './testing/context';

/** Monday 23 November 2026, 10:10; Wednesday is the day shown. */
const context = {
  ...TUESDAY,
  now: parseLocal('2026-11-23T10:10:00'),
  day: parseDate('2026-11-25'),
  calendars: [
    { id: 'workshop', name: 'Workshop' },
    { id: 'clients', name: 'Clients' },
    { id: 'quay', name: 'Quay closures' },
  ],
  categories: [
    { id: 'lamps', name: 'Lamps' },
    { id: 'sea-lamps', name: 'Sea lamps' },
  ],
};

function said(line: string): string {
  const { title, wholeDay, start, end, place, calendarId } = readJot(line, context);
  const times = wholeDay
    ? `${formatLocal(start).slice(0, 10)} to ${formatLocal(end).slice(0, 10)}`
    : `${formatLocal(start).slice(0, 16)} to ${formatLocal(end).slice(0, 16)}`;
  return [title, times, place, calendarId].join(' | ');
}

test.each([
  [
    'Freight call Thu 14:00 for 90 min at Quay 3 in Clients',
    'Freight call | 2026-11-26T14:00 to 2026-11-26T15:30 | Quay 3 | clients',
  ],
  [
    'tomorrow 9-10:30 lamp check',
    'lamp check | 2026-11-24T09:00 to 2026-11-24T10:30 |  | workshop',
  ],
  [
    'Lamp check tomorrow 9-10:30',
    'Lamp check | 2026-11-24T09:00 to 2026-11-24T10:30 |  | workshop',
  ],
  [
    'Talk on Wednesday 2 Dec, 3:30-5pm',
    'Talk | 2026-12-02T15:30 to 2026-12-02T17:00 |  | workshop',
  ],
  ['Order brass polish', 'Order brass polish | 2026-11-25 to 2026-11-26 |  | workshop'],
  ['Lamp 14 strip-down', 'Lamp 14 strip-down | 2026-11-25 to 2026-11-26 |  | workshop'],
  ['call Ida at 3', 'call Ida | 2026-11-25T15:00 to 2026-11-25T15:30 |  | workshop'],
  ['call Ida at 3 for an hour', 'call Ida | 2026-11-25T15:00 to 2026-11-25T16:00 |  | workshop'],
  ['Kiln 03:00', 'Kiln | 2026-11-25T03:00 to 2026-11-25T03:30 |  | workshop'],
  [
    'Bench round 08:30 to 09:15 on Friday',
    'Bench round | 2026-11-27T08:30 to 2026-11-27T09:15 |  | workshop',
  ],
  [
    'Supplier terms on 2 December at 11:15',
    'Supplier terms | 2026-12-02T11:15 to 2026-12-02T11:45 |  | workshop',
  ],
  ['Tomas away 26 to 27 November', 'Tomas away | 2026-11-26 to 2026-11-28 |  | workshop'],
  ['Refit tomorrow for 3 days', 'Refit | 2026-11-24 to 2026-11-27 |  | workshop'],
  [
    'Ring the pilot in 2 hours',
    'Ring the pilot | 2026-11-23T12:10 to 2026-11-23T12:40 |  | workshop',
  ],
  [
    'Lunch 12:30 1.5 h @ Harbour hut',
    'Lunch | 2026-11-25T12:30 to 2026-11-25T14:00 | Harbour hut | workshop',
  ],
  [
    '2pm-3:30pm stock count in Quay closures',
    'stock count | 2026-11-25T14:00 to 2026-11-25T15:30 |  | quay',
  ],
  ['Night watch Friday 22-6', 'Night watch | 2026-11-27T22:00 to 2026-11-28T06:00 |  | workshop'],
  ['Stock count in two weeks', 'Stock count | 2026-12-07 to 2026-12-08 |  | workshop'],
  ['', ' | 2026-11-25 to 2026-11-26 |  | workshop'],
])('%s', (line, expected) => {
  expect(said(line)).toBe(expected);
});

test('the parts say which words were understood', () => {
  const line = 'Freight call Thu 14:00 for 90 min at Quay 3 in Clients';
  const { parts } = readJot(line, context);
  expect(parts.map(({ kind, from, to }) => `${kind}: ${line.slice(from, to)}`)).toEqual([
    'when: Thu 14:00',
    'length: for 90 min',
    'place: at Quay 3',
    'calendar: in Clients',
  ]);
});
