import type { CalendarEvent } from '@/core/model/event';
import { EVERYTHING } from '@/core/query/eventQuery';
import { formatLocal, parseDate } from '@/core/time/civil';
import type { SweepRequest } from './commands/sweep';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const LONDON = 'Europe/London';

const round = event('round', { rule: 'FREQ=WEEKLY;COUNT=6' });
const SEED = [
  calendar('work'),
  calendar('quay', { isClosures: true, shown: false, kind: 'followed' }),
  round,
  event('visit', { start: zoned('2026-12-02T09:30:00'), end: zoned('2026-12-02T11:00:00') }),
  event('shut', {
    calendarId: 'quay',
    start: { kind: 'date', date: '2026-12-09' },
    end: { kind: 'date', date: '2026-12-10' },
  }),
];

const open = () => opened(SEED);

const request: SweepRequest = {
  query: EVERYTHING,
  blockerIds: ['quay'],
  fromDay: parseDate('2026-11-24'),
  toDay: parseDate('2027-05-24'),
  zone: LONDON,
  action: 'next',
  chosen: {},
};

test('the next five dates come with what each meets, closures on hidden calendars too', async () => {
  const engine = await open();
  const dates = engine.queries.foresight(round.record as CalendarEvent, NOW, LONDON);
  expect(dates.map(({ start }) => formatLocal(start).slice(5, 10))).toEqual([
    '11-25',
    '12-02',
    '12-09',
    '12-16',
    '12-23',
  ]);
  expect(dates[1]).toMatchObject({ clashes: ['visit'], closure: null });
  expect(dates[2]).toMatchObject({ clashes: [], closure: 'shut' });
  const later = engine.queries.foresight(
    round.record as CalendarEvent,
    NOW + 20 * 86_400_000,
    'Asia/Tokyo',
  );
  expect(later.map(({ start }) => formatLocal(start).slice(5, 16))).toEqual([
    '12-16T18:00',
    '12-23T18:00',
    '12-30T18:00',
  ]);
  expect(later[0]!.hours).toBe('Outside working hours');
});

test('a sweep is looked at without doing it, and is one change', async () => {
  const engine = await open();
  const [step, ...others] = engine.queries.sweep(request);
  expect(others).toEqual([]);
  expect(step).toMatchObject({ blockedBy: 'shut', date: { dateKey: '2026-12-09T09:00:00' } });
  expect(formatLocal(step!.target!.start)).toBe('2026-12-10T09:00:00');
  expect(engine.queries.event('round')!.revision).toBe(0);

  expect(await done(engine, { kind: 'sweepSeries', request })).toBe('Moved 1 date');
  expect(engine.queries.sweep(request)).toEqual([]);
  expect(await done(engine, { kind: 'sweepSeries', request })).toBeNull();
  expect(await engine.commands.step('undo')).toBe('Moved 1 date');
  expect(engine.queries.sweep(request)).toHaveLength(1);
  const skipping = { ...request, chosen: { [step!.date.id]: 'skip' as const } };
  expect(await done(engine, { kind: 'sweepSeries', request: skipping })).toBe('Skipped 1 date');
  expect(engine.queries.event('round')!.skippedDates).toEqual(['2026-12-09T09:00:00']);
});

test('series on calendars of one’s own are listed; another series is left alone', async () => {
  const engine = await open();
  expect(engine.queries.series()).toEqual([{ id: 'round', title: 'round', calendarId: 'work' }]);
  expect(
    engine.queries.sweep({ ...request, query: { ...EVERYTHING, eventIds: ['visit'] } }),
  ).toEqual([]);
});
