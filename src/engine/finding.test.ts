import { EMPTY_FILTER } from '@/core/model/filter';
import type { TypedRecord } from '@/core/model/records';
import { EVERYTHING, havingWords } from '@/core/query/eventQuery';
import type { Found } from './finding/finding';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const LONDON = 'Europe/London';
const ASKING = { zone: LONDON, now: NOW, most: 10 };
const TODAY = { today: 20_781, firstWeekday: 0 as const, isMonthFirst: false };

const on = (day: string) => ({ start: zoned(`${day}T09:00:00`), end: zoned(`${day}T10:00:00`) });

const SEED: TypedRecord[] = [
  calendar('work', { name: 'Workshop' }),
  calendar('clients', { name: 'Lens clients' }),
  { type: 'category', record: { id: 'cat', name: 'Lenses', ink: '#1F5A4C', order: 0 } },
  event('old', { title: 'Lens order', ...on('2026-10-01') }),
  event('older', { title: 'Lens order', ...on('2026-09-01') }),
  event('next', {
    title: 'Osaka call',
    notes: 'About the lens',
    categoryIds: ['cat'],
    ...on('2026-11-27'),
  }),
  event('weekly', { title: 'Lens check', rule: 'FREQ=WEEKLY', ...on('2026-11-12') }),
  event('ended', { title: 'Lens watch', rule: 'FREQ=DAILY;COUNT=3', ...on('2026-11-02') }),
  event('yearly', { title: 'Lens day', rule: 'FREQ=YEARLY;INTERVAL=4', ...on('2024-03-01') }),
  event('away', { title: 'Lens', removedAt: 1 }),
];

const titles = ({ coming, over }: Found) =>
  [coming, over].map((lines) => lines.map(({ eventId }) => eventId));

test('what comes is before what is over, a series stands once, by the date that counts', async () => {
  const { finding } = await opened(SEED);
  const found = finding.find(havingWords('lens'), ASKING);
  expect(titles(found)).toEqual([
    ['weekly', 'next', 'yearly'],
    ['ended', 'old', 'older'],
  ]);
  const [weekly, next, yearly] = found.coming;
  expect(weekly).toMatchObject({
    next: { dateKey: '2026-11-26T09:00:00' },
    last: { dateKey: '2026-11-19T09:00:00' },
    dates: { isEndless: true },
    title: [
      { text: 'Lens', isMatch: true },
      { text: ' check', isMatch: false },
    ],
  });
  expect(next!.where).toEqual({
    field: 'notes',
    pieces: [
      { text: 'About the ', isMatch: false },
      { text: 'lens', isMatch: true },
    ],
  });
  expect(yearly).toMatchObject({
    next: { dateKey: '2028-03-01T09:00:00' },
    last: { dateKey: '2024-03-01T09:00:00' },
  });
  expect(found.over[0]).toMatchObject({
    next: null,
    last: { dateKey: '2026-11-04T09:00:00' },
    dates: { count: 3 },
  });
});

test('of many the first are listed, and all are counted', async () => {
  const { finding } = await opened(SEED);
  const found = finding.find(havingWords('lens'), { ...ASKING, most: 1 });
  expect(titles(found)).toEqual([['weekly'], ['ended']]);
  expect([found.comingTotal, found.overTotal]).toEqual([3, 3]);
});

test('days that are asked for are those of the person’s clock, and a series counts where it has a date', async () => {
  const { finding } = await opened([
    ...SEED,
    event('late', {
      title: 'Late',
      start: zoned('2026-11-20T23:30:00'),
      end: zoned('2026-11-20T23:45:00'),
    }),
  ]);
  const onDays = (from: string, to: string, zone: string) =>
    titles(
      finding.find(
        { ...EVERYTHING, filter: { ...EMPTY_FILTER, dates: { from, to } } },
        { ...ASKING, zone },
      ),
    ).flat();
  expect(onDays('2026-11-20', '2026-11-20', LONDON)).toEqual(['late']);
  expect(onDays('2026-11-21', '2026-11-21', 'Europe/Berlin')).toEqual(['late']);
  expect(onDays('2026-11-19', '2026-11-19', LONDON)).toEqual(['weekly']);
});

test('a slip of spelling is told with what may have been meant', async () => {
  const { finding } = await opened(SEED);
  expect(finding.find(havingWords('osakka'), ASKING).corrected).toBe('osaka');
  expect(finding.find(havingWords('lens'), ASKING).corrected).toBeNull();
});

test('suggestions say where words stand and on how many events, and follow every change', async () => {
  const engine = await opened(SEED);
  const said = (typed: string) =>
    engine.finding
      .suggest(typed, TODAY)
      .map(({ field, entries }) => [
        field,
        ...entries.map((one) => (one.field === 'dates' ? 'days' : `${one.text} ${one.count}`)),
      ]);
  expect(said('lens')).toEqual([
    ['title', 'Lens order 2', 'Lens check 1', 'Lens day 1', 'Lens watch 1'],
    ['calendar', 'Lens clients 0'],
    ['category', 'Lenses 1'],
    ['notes', 'About the lens 1'],
  ]);
  expect(said('last week')).toEqual([['dates', 'days']]);
  await done(engine, { kind: 'removeEvents', ids: ['old', 'weekly', 'ended', 'yearly'] });
  expect(said('lens')[0]).toEqual(['title', 'Lens order 1']);
  await engine.commands.step('undo');
  expect(said('lens')[0]).toHaveLength(5);
});

test('everything that a question means can be had by ids: events whole, or dates of days', async () => {
  const { finding } = await opened(SEED);
  const window = { fromDay: 20_780, toDay: 20_787, zone: LONDON };
  expect(finding.matching(havingWords('lens'), window, LONDON)).toEqual([
    'weekly@2026-11-26T09:00:00',
    'next',
  ]);
  expect(finding.matching(havingWords('watch'), null, LONDON)).toEqual(['ended']);
});

test('a question is kept, and one kept is removed', async () => {
  const engine = await opened(SEED);
  const question = { id: 'q', name: 'Lenses', order: 0, filter: { ...EMPTY_FILTER, text: 'lens' } };
  expect(await done(engine, { kind: 'keepQuestion', before: null, question })).toBe(
    'Kept the question Lenses',
  );
  expect(engine.queries.questions()).toEqual([question]);
  await done(engine, { kind: 'removeQuestion', id: 'q' });
  expect(engine.queries.questions()).toEqual([]);
});
