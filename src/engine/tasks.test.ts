import { EMPTY_FILTER } from '@/core/model/filter';
import type { TypedRecord } from '@/core/model/records';
import type { Task } from '@/core/model/task';
import { newTask } from '@/core/model/task';
import { EVERYTHING } from '@/core/query/eventQuery';
import { parseDate, parseLocal as wall } from '@/core/time/civil';
import type { Engine } from './engine';
import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const LONDON = 'Europe/London';
const LOOKING = { now: NOW, clock: LONDON };
const TODAY = parseDate('2026-11-24');
const date = (text: string) => ({ kind: 'date', date: text }) as const;

const task = (id: string, fields: Partial<Task> = {}): TypedRecord => ({
  type: 'task',
  record: newTask({ id, title: id, calendarId: 'work', ...fields }, 1),
});

const SEED: TypedRecord[] = [
  calendar('work'),
  calendar('clients', { order: 1 }),
  // Clear on Tuesday: from 10:30 to 12:00, and from 13:00 on.
  event('noon', { start: zoned('2026-11-24T12:00:00'), end: zoned('2026-11-24T13:00:00') }),
  event('visit', { calendarId: 'clients' }),
  task('order', { due: date('2026-11-24'), estimate: 60, notes: 'Two tins of shellac' }),
  task('quotes', { due: date('2026-11-27'), estimate: 120, calendarId: 'clients', importance: 1 }),
  task('late', { due: date('2026-11-20'), rule: 'FREQ=WEEKLY' }),
  task('loose', { eventId: 'visit' }),
  task('gone', { removedAt: 5 }),
];

const list = (engine: Engine, filter = EMPTY_FILTER) =>
  engine.tasks
    .list({ ...EVERYTHING, filter, now: NOW }, LOOKING)
    .map(({ task: { title } }) => title)
    .sort();

test('tasks are asked for like events: by words, calendars, days, and what is turned round', async () => {
  const engine = await opened(SEED);
  expect(list(engine)).toEqual(['late', 'loose', 'order', 'quotes']);
  expect(list(engine, { ...EMPTY_FILTER, text: 'shellac' })).toEqual(['order']);
  expect(list(engine, { ...EMPTY_FILTER, calendarIds: ['clients'] })).toEqual(['quotes']);
  expect(list(engine, { ...EMPTY_FILTER, importance: ['high'], not: ['importance'] })).toEqual([
    'late',
    'loose',
    'order',
  ]);
  const days = { from: '2026-11-24', to: '2026-11-26' };
  expect(list(engine, { ...EMPTY_FILTER, dates: days })).toEqual(['order']);
  expect(list(engine, { ...EMPTY_FILTER, dates: days, not: ['dates'] })).toEqual([
    'late',
    'loose',
    'quotes',
  ]);
  const onWeek = engine.tasks.due(EVERYTHING, TODAY, TODAY + 7, LONDON);
  expect(onWeek.map(({ id }) => id).sort()).toEqual(['order', 'quotes']);
});

test('a task knows the event that it belongs to, until that is removed', async () => {
  const engine = await opened(SEED);
  const title = () => engine.tasks.row('loose', LOOKING)?.eventTitle;
  expect(title()).toBe('visit');
  await done(engine, { kind: 'removeEvents', ids: ['visit'] });
  expect(title()).toBeNull();
  expect(engine.tasks.row('gone', LOOKING)).toBeNull();
});

test('ticked ones are done or go on, as one change that is taken back', async () => {
  const engine = await opened(SEED);
  const before = engine.tasks.list(EVERYTHING, LOOKING);
  const command = {
    kind: 'tickTasks',
    ids: ['order', 'late'],
    isDone: true,
    clock: LONDON,
  } as const;
  expect(await done(engine, command)).toBe('Did 2 tasks');
  expect(list(engine)).toEqual(['late', 'late', 'loose', 'order', 'quotes']);
  const late = engine.tasks.row('late', LOOKING)!.task;
  expect(late).toMatchObject({ status: 'open', due: date('2026-11-27') });
  await engine.commands.step('undo');
  expect(engine.tasks.list(EVERYTHING, LOOKING)).toEqual(before);
});

test('many are changed and moved at once; what they have no field for is left', async () => {
  const engine = await opened(SEED);
  const ids = ['order', 'quotes'];
  const steps = [
    { kind: 'shiftDays' as const, days: 3 },
    { kind: 'calendar' as const, calendarId: 'clients' },
    { kind: 'prefix' as const, text: 'New ' },
    { kind: 'availability' as const, availability: 'free' as const },
  ];
  expect(await done(engine, { kind: 'changeTasks', ids, steps, clock: LONDON })).toBe(
    'Changed 2 tasks',
  );
  expect(engine.tasks.row('order', LOOKING)!.task).toMatchObject({
    title: 'New order',
    due: date('2026-11-27'),
    calendarId: 'clients',
  });
  await done(engine, { kind: 'moveTasks', ids: ['late', 'loose'], day: TODAY, clock: LONDON });
  const dueOf = (id: string) => engine.tasks.row(id, LOOKING)!.task.due;
  expect([dueOf('late'), dueOf('loose')]).toEqual([date('2026-11-24'), date('2026-11-24')]);
});

test('time is found before they are due, and once it is given no more is needed', async () => {
  const engine = await opened(SEED);
  expect(engine.tasks.effort(EVERYTHING, LOOKING)).toMatchObject({ needed: 60 });
  const request = {
    taskIds: ['order', 'quotes'],
    toDay: TODAY + 6,
    usual: 30,
    mostADay: 90,
    workplaces: [],
  };
  const { blocks, unplaced } = engine.tasks.place(request, LOOKING);
  expect(unplaced).toEqual([]);
  const said = blocks.map(({ taskId, start, isLate }) => [
    taskId,
    new Date(start).toISOString().slice(5, 16),
    isLate,
  ]);
  expect(said).toEqual([
    ['order', '11-24T10:30', false],
    ['quotes', '11-24T11:30', false],
    ['quotes', '11-25T10:00', false],
  ]);
  const wanted = blocks.map(({ taskId, start, end }) => ({ taskId, start, end }));
  const command = {
    kind: 'placeBlocks',
    blocks: wanted,
    calendarId: 'work',
    clock: LONDON,
  } as const;
  expect(await done(engine, command)).toBe('Gave time to tasks: 3 blocks');
  expect(engine.tasks.row('quotes', LOOKING)).toMatchObject({ blockedAhead: 120 });
  expect(engine.tasks.effort(EVERYTHING, LOOKING)).toBeNull();
  expect(engine.tasks.place(request, LOOKING).blocks).toEqual([]);
});

test('time given after a task is due says so, and leaves as much to be done by then', async () => {
  const engine = await opened(SEED);
  const needed = engine.tasks.effort(EVERYTHING, LOOKING);
  const block = {
    taskId: 'order',
    start: wall('2026-11-25T09:00:00'),
    end: wall('2026-11-25T10:00:00'),
  };
  const command = {
    kind: 'placeBlocks',
    blocks: [block],
    calendarId: 'work',
    clock: LONDON,
  } as const;
  expect(await done(engine, command)).toBe(
    'Gave time to “order”: Wed 25 Nov, 09:00, after it is due',
  );
  expect(engine.tasks.effort(EVERYTHING, LOOKING)).toEqual(needed);
  expect(engine.tasks.row('order', LOOKING)?.task.due).toEqual(date('2026-11-24'));
});

test('no time is found on days that are not worked at the wanted place', async () => {
  const engine = await opened(SEED);
  const request = { taskIds: ['order'], toDay: TODAY + 6, usual: 30, mostADay: 240 };
  const placed = engine.tasks.place({ ...request, workplaces: ['moon'] }, LOOKING);
  expect(placed).toEqual({ blocks: [], unplaced: [{ taskId: 'order', minutes: 60 }] });
});

const block = (id: string, from: string, to: string) =>
  event(id, {
    taskId: 'order',
    start: zoned(`2026-11-24T${from}`),
    end: zoned(`2026-11-24T${to}`),
  });

test('once time for a task is over it is asked how it stands, until that is said', async () => {
  const engine = await opened([...SEED, block('over', '09:00:00', '10:00:00')]);
  const asked = (now = NOW) =>
    engine.tasks.asking({ now, clock: LONDON }).map(({ task: { id } }) => id);
  expect(asked(Date.parse('2026-11-24T09:59:00Z'))).toEqual([]);
  expect(asked()).toEqual(['order']);
  expect(await done(engine, { kind: 'sayTaskStands', id: 'order', percent: 50 })).toBe(
    '“order” stands at 50 %',
  );
  expect(asked()).toEqual([]);
  const { percent, status } = engine.tasks.row('order', LOOKING)!.task;
  expect([percent, status]).toEqual([50, 'started']);
  await engine.commands.step('undo');
  expect(asked()).toEqual(['order']);
  await done(engine, { kind: 'tickTasks', ids: ['order'], isDone: true, clock: LONDON });
  expect(asked()).toEqual([]);
});

test('while more time for it runs, or after a week, nothing is asked', async () => {
  const engine = await opened([
    ...SEED,
    block('over', '09:00:00', '10:00:00'),
    block('running', '10:15:00', '11:00:00'),
  ]);
  const asked = (now: string) =>
    engine.tasks.asking({ now: Date.parse(now), clock: LONDON }).length;
  expect(asked('2026-11-24T10:25:00Z')).toBe(0);
  expect(asked('2026-11-24T11:00:00Z')).toBe(1);
  expect(asked('2026-12-02T11:00:00Z')).toBe(0);
});

test('removed tasks wait, are brought back, and are cleared with the rest', async () => {
  const engine = await opened(SEED);
  const removed = () => engine.tasks.removed().map(({ id }) => id);
  await done(engine, { kind: 'removeTasks', ids: ['order'] });
  expect(removed()).toEqual(['order', 'gone']);
  expect(await done(engine, { kind: 'bringBackTasks', ids: ['gone', 'order'] })).toBe(
    'Brought back 2 tasks',
  );
  expect(removed()).toEqual([]);
  expect(list(engine)).toContain('gone');
  await done(engine, { kind: 'removeTasks', ids: ['order'] });
  await engine.commands.clearRemoved(NOW);
  expect(removed()).toEqual([]);
  expect(engine.tasks.row('order', LOOKING)).toBeNull();
});

test('before many are changed it is said what becomes of each', async () => {
  const engine = await opened(SEED);
  const wording = { locale: 'en-GB', hourCycle: '24' } as const;
  const request = {
    ids: ['order', 'quotes'],
    steps: [{ kind: 'importance', importance: 'high' }] as const,
    clock: LONDON,
  };
  const manner = { now: NOW, wording, clock: LONDON, home: LONDON };
  const { lines, changed, total } = engine.tasks.preview(request, manner);
  expect([changed, total]).toEqual([1, 2]);
  expect(lines.map(({ title, differences }) => [title, differences])).toEqual([
    ['order', [{ name: 'Importance', before: 'usual', after: 'high' }]],
    ['quotes', []],
  ]);
  const on = { ...request, steps: [{ kind: 'shiftDays', days: 3 }] as const };
  const [first] = engine.tasks.preview(on, manner).lines;
  expect(first?.differences).toMatchObject([{ name: 'Due', before: 'today', after: 'Fri 27 Nov' }]);
  await done(engine, { kind: 'changeTasks', ...on });
  expect(engine.tasks.row('order', LOOKING)?.task.due).toEqual(date('2026-11-27'));
});
