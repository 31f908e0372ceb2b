import type { CalendarEvent } from '@/core/model/event';
import type { TypedRecord } from '@/core/model/records';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { BulkRequest, BulkTargets } from './commands/bulk';
import type { Engine } from './engine';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const LONDON = 'Europe/London';
const MANNER = {
  now: NOW,
  wording: { locale: 'en-GB', hourCycle: '24' as const },
  clock: LONDON,
  home: LONDON,
};

const on = (day: string, from = '09:00', to = '10:00') => ({
  start: zoned(`2026-11-${day}T${from}:00`),
  end: zoned(`2026-11-${day}T${to}:00`),
});

const SEED: TypedRecord[] = [
  calendar('work', { name: 'Workshop' }),
  calendar('clients', { name: 'Clients' }),
  calendar('quay', { name: 'Quay', kind: 'followed', isClosures: true }),
  event('call', { title: 'Call', ...on('25', '09:30', '10:30') }),
  event('lens', { title: 'Lens', ...on('26') }),
  event('round', { title: 'Round', rule: 'FREQ=DAILY;COUNT=5', ...on('25') }),
  event('closed', {
    title: 'Quay closed',
    calendarId: 'quay',
    start: { kind: 'date', date: '2026-12-02' },
    end: { kind: 'date', date: '2026-12-03' },
  }),
];

const targets = (ids: string[], more: Partial<BulkTargets> = {}): BulkTargets => ({
  ids,
  scope: 'this',
  scopes: {},
  fate: 'keep',
  leftOut: [],
  zone: LONDON,
  ...more,
});
const CALENDAR: BulkRequest['steps'] = [{ kind: 'calendar', calendarId: 'clients' }];

const all = (engine: Engine) => {
  const events = ['call', 'lens', 'round', 'closed'].map((id) => engine.queries.event(id));
  return events as CalendarEvent[];
};
const weekOf = (engine: Engine) =>
  engine.queries
    .occurrences({ fromDay: 20_780, toDay: 20_810, zone: LONDON })
    .occurrences.map(
      ({ title, start, calendarId }) =>
        `${title} ${new Date(start).toISOString().slice(5, 16)} ${calendarId}`,
    );

test('what is selected is added up, without what is gone', async () => {
  const engine = await opened(SEED);
  expect(
    engine.bulk.summary(['call', 'round', 'round@2026-11-26T09:00:00', 'gone', 'closed']),
  ).toEqual({
    ids: ['call', 'round', 'round@2026-11-26T09:00:00', 'closed'],
    singles: 2,
    dates: 1,
    series: 1,
    minutes: 180,
    calendarIds: ['work', 'quay'],
    hasFiles: false,
  });
});

test('a change of many is one change, taken back and done again by one step', async () => {
  const engine = await opened(SEED);
  const before = [all(engine), weekOf(engine)];
  const request = {
    ...targets(['call', 'lens', 'round@2026-11-26T09:00:00', 'closed']),
    steps: [...CALENDAR, { kind: 'shiftDays' as const, days: 7 }],
  };
  expect(await done(engine, { kind: 'changeMany', request })).toBe(
    'Changed 3 events: calendar and 7 days on',
  );
  const after = weekOf(engine);
  expect(after).toEqual([
    'Round 11-25T09:00 work',
    'Round 11-27T09:00 work',
    'Round 11-28T09:00 work',
    'Round 11-29T09:00 work',
    'Quay closed 12-02T00:00 quay',
    'Call 12-02T09:30 clients',
    'Lens 12-03T09:00 clients',
    'Round 12-03T09:00 clients',
  ]);
  await engine.commands.step('undo');
  expect([all(engine), weekOf(engine)]).toEqual(before);
  await engine.commands.step('redo');
  expect(weekOf(engine)).toEqual(after);
});

test('a preview names the clashes that a change makes, with what each event would meet', async () => {
  const engine = await opened(SEED);
  const request = {
    ...targets(['call']),
    steps: [{ kind: 'shiftDays' as const, days: 1 }],
  };
  const { lines, consequences } = engine.bulk.preview(request, MANNER);
  expect(consequences).toMatchObject({ clashesMade: 2, otherClashes: [] });
  expect(lines.map(({ clashes }) => clashes)).toEqual([
    ['“Lens”, Thu 26 Nov, 09:00 – 10:00', '“Round”, Thu 26 Nov, 09:00 – 10:00'],
  ]);
});

test('of two dates of a series each line names the clashes of its own date alone', async () => {
  const engine = await opened([
    ...SEED.slice(0, 3),
    event('gate', { title: 'Gate', ...on('26', '11:00', '12:00') }),
    event('rounds', { title: 'Rounds', rule: 'FREQ=DAILY;COUNT=3', ...on('25', '13:00', '14:00') }),
  ]);
  const ids = ['rounds@2026-11-25T13:00:00', 'rounds@2026-11-26T13:00:00'];
  const steps = [{ kind: 'setStart' as const, minute: 11 * 60 }];
  const preview = (more: Partial<BulkTargets>) =>
    engine.bulk
      .preview({ ...targets(ids, more), steps }, MANNER)
      .lines.map(({ clashes }) => clashes);
  const gate = '“Gate”, Thu 26 Nov, 11:00 – 12:00';
  expect(preview({})).toEqual([[], [gate]]);
});

test('a preview says what differs, what can’t be done, and what it does to clashes and closures', async () => {
  const engine = await opened(SEED);
  const request = {
    ...targets(['call', 'round@2026-11-26T09:00:00', 'closed'], {
      leftOut: ['round@2026-11-26T09:00:00'],
    }),
    steps: [{ kind: 'shiftDays' as const, days: 7 }],
  };
  const preview = engine.bulk.preview(request, MANNER);
  expect(preview).toMatchObject({
    total: 3,
    changed: 1,
    refused: [{ reason: 'Quay is followed: it can be looked at, not changed.', count: 1 }],
    // The call got in the way of a round, and goes to where the quay is closed.
    consequences: { clashesMade: 0, clashesSolved: 1, closuresMade: 1, closuresSolved: 0 },
  });
  expect(
    preview.lines.map(({ title, isChanged, differences }) => [title, isChanged, differences]),
  ).toEqual([
    [
      'Call',
      true,
      [
        {
          name: 'When',
          before: 'Wed 25 Nov, 09:30 – 10:30',
          after: 'Wed 2 Dec, 09:30 – 10:30',
        },
      ],
    ],
    ['Round', false, []],
    ['Quay closed', false, []],
  ]);
  expect(
    preview.series.map(({ title, choices }) => [
      title,
      choices.map(({ scope, dates }) => `${scope} ${dates.count}`),
    ]),
  ).toEqual([['Round', ['this 1', 'later 4', 'every 5']]]);
  expect(() =>
    engine.bulk.preview(
      {
        ...request,
        steps: [{ kind: 'replace', fields: ['title'], find: '(', with: '', matching: 'pattern' }],
      },
      MANNER,
    ),
  ).toThrow('can’t be read');
});

test('a scope can be said of one series by itself, and a series that is whole is changed whole', async () => {
  const engine = await opened(SEED);
  const ids = ['round@2026-11-27T09:00:00', 'round@2026-11-28T09:00:00'];
  const request = { ...targets(ids, { scopes: { round: 'every' as const } }), steps: CALENDAR };
  await done(engine, { kind: 'changeMany', request });
  expect(engine.queries.event('round')).toMatchObject({ calendarId: 'clients', skippedDates: [] });
  const whole = {
    ...targets(['round', ids[0]!]),
    steps: [{ kind: 'prefix' as const, text: 'New ' }],
  };
  await done(engine, { kind: 'changeMany', request: whole });
  expect(engine.queries.event('round')).toMatchObject({ title: 'New Round', changedDates: {} });
});

test('where the first goes to a day, the others keep their distance', async () => {
  const engine = await opened(SEED);
  const request = {
    ...targets(['lens', 'call']),
    steps: [{ kind: 'toDay' as const, day: '2026-12-07' }],
  };
  await done(engine, { kind: 'changeMany', request });
  expect(engine.queries.event('call')?.start).toEqual(zoned('2026-12-07T09:30:00'));
  expect(engine.queries.event('lens')?.start).toEqual(zoned('2026-12-08T09:00:00'));
});

test('what is left out has no say in where the others go, nor in how they are numbered', async () => {
  const engine = await opened(SEED);
  const request = {
    ...targets(['lens', 'call']),
    leftOut: ['call'],
    steps: [
      { kind: 'toDay' as const, day: '2026-12-07' },
      { kind: 'number' as const, from: 1 },
    ],
  };
  await done(engine, { kind: 'changeMany', request });
  expect(engine.queries.event('lens')).toMatchObject({
    start: zoned('2026-12-07T09:00:00'),
    title: expect.stringMatching(/ 1$/),
  });
});

test('nothing to change is no change', async () => {
  const engine = await opened(SEED);
  const request = {
    ...targets(['call']),
    steps: [{ kind: 'calendar' as const, calendarId: 'work' }],
  };
  expect(await done(engine, { kind: 'changeMany', request })).toBeNull();
  expect(engine.commands.changes().done).toEqual([]);
});

describe('what is done to many as wholes', () => {
  const did = async (deed: Parameters<Engine['bulk']['deedPreview']>[0]['deed'], ids: string[]) => {
    const engine = await opened(SEED);
    const before = all(engine);
    const request = { ...targets(ids), deed };
    const lines = engine.bulk.deedPreview(request, MANNER).lines;
    const label = await done(engine, { kind: 'doToMany', request });
    const week = weekOf(engine);
    await engine.commands.step('undo');
    expect(all(engine)).toEqual(before);
    return { label, week, said: lines.map(({ title, outcome }) => `${title} ${outcome}`) };
  };

  test('removed, dates are skipped', async () => {
    const { label, week, said } = await did({ kind: 'remove' }, [
      'call',
      'round@2026-11-26T09:00:00',
      'closed',
    ]);
    expect(label).toBe('Removed 2 events');
    expect(said).toEqual([
      'Call is removed',
      'Round is skipped',
      'Quay closed is on a followed calendar',
    ]);
    expect(week.filter((line) => line.startsWith('Round'))).toHaveLength(4);
  });

  test('skipped are dates of series, each by itself; what is single stays', async () => {
    const dates = ['round@2026-11-25T09:00:00', 'round@2026-11-26T09:00:00', 'call'];
    const engine = await opened(SEED);
    const scope = { ...targets(dates), scope: 'every' as const };
    const request = { ...scope, deed: { kind: 'skip' as const } };
    const preview = engine.bulk.deedPreview(request, MANNER);
    expect(preview.lines.map(({ title, outcome }) => `${title} ${outcome}`)).toEqual([
      'Round is skipped',
      'Call is single: dates are skipped',
      'Round is skipped',
    ]);
    expect(preview.series).toEqual([]);
    const before = weekOf(engine).filter((line) => line.startsWith('Round'));
    expect(await done(engine, { kind: 'doToMany', request })).toBe('Skipped 2 dates');
    const after = weekOf(engine).filter((line) => line.startsWith('Round'));
    expect(before.filter((line) => !after.includes(line))).toEqual([
      'Round 11-25T09:00 work',
      'Round 11-26T09:00 work',
    ]);
    expect(after).toHaveLength(before.length - 2);
  });

  test('copied, also from a followed calendar to one’s own', async () => {
    const { week } = await did({ kind: 'copy', days: 1, calendarId: 'clients' }, [
      'call',
      'closed',
    ]);
    expect(week).toContain('Call 11-26T09:30 clients');
    expect(week).toContain('Quay closed 12-03T00:00 clients');
  });

  test('joined into one, and what became it is out of the way', async () => {
    const { label, week } = await did({ kind: 'join' }, ['call', 'lens']);
    expect(label).toBe('Joined 2 events into one');
    expect(week.filter((line) => line.startsWith('Call') || line.startsWith('Lens'))).toEqual([
      'Call 11-25T09:30 work',
    ]);
  });

  test('before events are joined it is said what becomes of all of their fields', async () => {
    const more = {
      visibility: 'private' as const,
      importance: 1,
      place: 'Gate',
      notes: 'Bring it',
    };
    const engine = await opened([
      ...SEED.slice(0, 3),
      event('one', { title: 'Tea', ...on('25') }),
      event('two', { title: 'Cake', ...on('25', '10:00', '11:00'), ...more }),
    ]);
    const request = { ...targets(['one', 'two']), deed: { kind: 'join' as const } };
    const { lines } = engine.bulk.deedPreview(request, MANNER);
    expect(lines[0]!.differences.map(({ name, after }) => `${name}: ${after}`)).toEqual(
      expect.arrayContaining([
        'When: Wed 25 Nov, 09:00 – 11:00',
        'Place: Gate',
        'Seen by others: private',
        'Importance: high',
      ]),
    );
    expect(lines[0]!.differences.find(({ name }) => name === 'Notes')?.after).toContain('Cake');
    expect(lines[1]!.differences).toEqual([]);
  });

  test('a series becomes single events, and single events a series', async () => {
    const singles = await did({ kind: 'makeSingles' }, ['round', 'call']);
    expect(singles.said).toEqual(['Round becomes 5 single events', 'Call is single already']);
    expect(singles.week.filter((line) => line.startsWith('Round'))).toHaveLength(5);
    const engine = await opened([
      ...SEED.slice(0, 3),
      event('one', { title: 'Tea', ...on('25') }),
      event('two', { title: 'Tea', ...on('26') }),
    ]);
    const request = { ...targets(['one', 'two']), deed: { kind: 'makeSeries' as const } };
    await done(engine, { kind: 'doToMany', request });
    expect(weekOf(engine)).toEqual(['Tea 11-25T09:00 work', 'Tea 11-26T09:00 work']);
    expect(engine.finding.matching(EVERYTHING, null, LONDON)).toHaveLength(1);
  });

  test('what can’t be joined says why', async () => {
    const engine = await opened(SEED);
    const ask = (ids: string[]) => () =>
      engine.bulk.deedPreview({ ...targets(ids), deed: { kind: 'join' } }, MANNER);
    expect(ask(['call'])).toThrow('two events or more');
    expect(ask(['call', 'round'])).toThrow('Series can’t be joined');
  });
});

test('a change that new events get too is one step of undo', async () => {
  const engine = await opened(SEED);
  const before = all(engine);
  const steps = [{ kind: 'prefix' as const, text: 'Old ' }];
  const rule = { words: '"Call"', steps };
  const command = { kind: 'changeMany' as const, request: { ...targets(['call']), steps }, rule };
  expect(await done(engine, command)).toMatch(/and made a rule for "Call"$/);
  expect(engine.queries.rules()).toMatchObject([{ ...rule, isOn: true }]);
  await engine.commands.step('undo');
  expect(engine.queries.rules()).toEqual([]);
  expect(all(engine)).toEqual(before);
});
