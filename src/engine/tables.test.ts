import type { OutColumn } from '@/core/files/csv/write';
import { OUT_COLUMNS } from '@/core/files/csv/write';
import { INKS } from '@/core/model/inks';
import type { TypedRecord } from '@/core/model/records';
import { EVERYTHING } from '@/core/query/eventQuery';
import { parseDate } from '@/core/time/civil';
import { calendar, event, opened, zoned } from './testing/opened';

const DAY = parseDate('2026-11-25');
const period = { fromDay: DAY, toDay: DAY + 8, zone: 'Europe/London' };
const ALL = Object.keys(OUT_COLUMNS) as OutColumn[];
const SEED: TypedRecord[] = [
  calendar('work', { name: 'Workshop' }),
  calendar('quay', { name: 'Quay' }),
  { type: 'category', record: { id: 'lamps', name: 'Lamps', ink: INKS.Ochre, order: 0 } },
  { type: 'category', record: { id: 'bells', name: 'Bells', ink: INKS.Ochre, order: 1 } },
  event('round', {
    rule: 'FREQ=WEEKLY',
    place: 'Bench 2',
    notes: 'All benches',
    link: 'https://quay.example/all',
    categoryIds: ['lamps', 'bells', 'gone'],
    changedDates: {
      '2026-12-02T09:00:00': { notes: 'Bench 3 alone', link: 'https://quay.example/3' },
    },
  }),
  event('fair', {
    calendarId: 'quay',
    availability: 'free',
    start: { kind: 'date', date: '2026-11-26' },
    end: { kind: 'date', date: '2026-11-28' },
  }),
  event('later', { start: zoned('2026-12-09T09:00:00'), end: zoned('2026-12-09T10:00:00') }),
];

test('a table says of each date what is so on that date', async () => {
  const engine = await opened(SEED);
  const file = engine.files.exportTable({ query: EVERYTHING, period, columns: ALL });
  expect(file.name).toBe('All calendars 2026-11-25 to 2026-12-02');
  expect(file.events).toBe(3);
  expect(file.text.split('\r\n')).toEqual([
    'Title,Start date,Start time,End date,End time,Whole day,Hours,Calendar,Place,Categories,Availability,Notes,Link',
    'round,2026-11-25,09:00,2026-11-25,10:00,no,1,Workshop,Bench 2,Lamps; Bells,busy,All benches,https://quay.example/all',
    'fair,2026-11-26,,2026-11-27,,yes,,Quay,,,free,,',
    'round,2026-12-02,09:00,2026-12-02,10:00,no,1,Workshop,Bench 2,Lamps; Bells,busy,Bench 3 alone,https://quay.example/3',
  ]);
});

test('a table of some calendars is called by them and holds theirs alone', async () => {
  const engine = await opened(SEED);
  const file = engine.files.exportTable({
    query: { ...EVERYTHING, calendars: ['quay'] },
    period,
    columns: ['title', 'notes'],
  });
  expect(file.name).toBe('Quay 2026-11-25 to 2026-12-02');
  expect(file.text).toBe('Title,Notes\r\nfair,');
  const none = engine.files.exportTable({
    query: { ...EVERYTHING, calendars: [] },
    period,
    columns: ['title'],
  });
  expect(none.text).toBe('Title');
});

test('of an event over the edge of the period its line says the times that its hours are of', async () => {
  const night = event('night', {
    start: zoned('2026-11-24T22:00:00'),
    end: zoned('2026-11-25T01:30:00'),
  });
  const engine = await opened([...SEED.slice(0, 2), night]);
  const lines = (fromDay: number, toDay: number) =>
    engine.files
      .exportTable({
        query: EVERYTHING,
        period: { ...period, fromDay, toDay },
        columns: ['startDate', 'startTime', 'endDate', 'endTime', 'hours'],
      })
      .text.split('\r\n')
      .slice(1);
  expect(lines(DAY - 2, DAY)).toEqual(['2026-11-24,22:00,2026-11-25,00:00,2']);
  expect(lines(DAY, DAY + 2)).toEqual(['2026-11-25,00:00,2026-11-25,01:30,1.5']);
  expect(lines(DAY - 2, DAY + 2)).toEqual(['2026-11-24,22:00,2026-11-25,01:30,3.5']);
});
