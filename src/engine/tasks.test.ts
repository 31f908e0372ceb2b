import { EMPTY_FILTER } from '@/core/model/filter';
import type { TypedRecord } from '@/core/model/records';
import type { Task } from '@/core/model/task';
import { newTask } from '@/core/model/task';
import { EVERYTHING } from '@/core/query/eventQuery';
import { parseDate } from '@/core/time/civil';
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

test('no time is found on days that are not worked at the wanted place', async () => {
  const engine = await opened(SEED);
  const request = { taskIds: ['order'], toDay: TODAY + 6, usual: 30, mostADay: 240 };
  const placed = engine.tasks.place({ ...request, workplaces: ['moon'] }, LOOKING);
  expect(placed).toEqual({ blocks: [], unplaced: [{ taskId: 'order', minutes: 60 }] });
});
