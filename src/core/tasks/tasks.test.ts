import type { EventTime } from '../model/common';
import type { Task } from '../model/task';
import { newTask } from '../model/task';
import { DAY, HOUR, parseDate } from '../time/civil';
import { dueBy, isOverdue } from './due';
import type { TimeLeft } from './effort';
import { effort } from './effort';
import type { GroupContext, TaskGrouping } from './groups';
import { groupTasks, inTaskOrder } from './groups';
import { movedToDay } from './shift';
import { ticked, unticked } from './tick';

const LONDON = 'Europe/London';
const NOW = Date.parse('2026-11-24T10:25:00Z');
const TODAY = parseDate('2026-11-24');
const date = (text: string): EventTime => ({ kind: 'date', date: text });
const zoned = (local: string, zone = LONDON): EventTime => ({ kind: 'zoned', local, zone });
const task = (title: string, fields: Partial<Task> = {}) =>
  newTask({ id: title, title, ...fields }, 1);

describe('due', () => {
  test('a date lasts to its end, a time is that instant', () => {
    expect(dueBy({ due: date('2026-11-24') }, LONDON)).toBe(Date.parse('2026-11-25T00:00:00Z'));
    expect(dueBy({ due: date('2026-11-24') }, 'America/Halifax')).toBe(
      Date.parse('2026-11-25T04:00:00Z'),
    );
    const at = zoned('2026-11-24T12:00:00', 'Asia/Tokyo');
    expect(dueBy({ due: at }, LONDON)).toBe(Date.parse('2026-11-24T03:00:00Z'));
    expect(dueBy({ due: null }, LONDON)).toBeNull();
  });

  test('what is done is never overdue', () => {
    const due = date('2026-11-23');
    expect(isOverdue(task('a', { due }), NOW, LONDON)).toBe(true);
    expect(isOverdue(task('a', { due, status: 'done' }), NOW, LONDON)).toBe(false);
    expect(isOverdue(task('a', { due: date('2026-11-24') }), NOW, LONDON)).toBe(false);
  });
});

describe('ticking', () => {
  const manner = { now: NOW, clock: LONDON, id: 'done' };

  test('a single task is done at that moment, and can be undone', () => {
    const [only, ...others] = ticked(task('Order', { due: date('2026-11-27') }), manner);
    expect(others).toEqual([]);
    expect(only!.after).toMatchObject({ status: 'done', percent: 100, doneAt: NOW, revision: 1 });
    expect(unticked(only!.after, NOW).after).toMatchObject({
      status: 'open',
      percent: 0,
      doneAt: null,
    });
  });

  test('one that repeats goes on, with its start as long before, and leaves what was done', () => {
    const weekly = task('Order', {
      start: date('2026-11-25'),
      due: zoned('2026-11-27T17:00:00'),
      rule: 'FREQ=WEEKLY',
      percent: 50,
    });
    const [goesOn, done] = ticked(weekly, manner);
    expect(goesOn!.after).toMatchObject({
      id: 'Order',
      start: date('2026-12-02'),
      due: zoned('2026-12-04T17:00:00'),
      rule: 'FREQ=WEEKLY',
      status: 'open',
      percent: 0,
    });
    expect(done).toMatchObject({
      before: null,
      after: { id: 'done', due: weekly.due, status: 'done', doneAt: NOW },
    });
    expect(done!.after.rule).toBeUndefined();
  });

  test('dates that are over are not made again, and COUNT knows of them', () => {
    const daily = task('Log', { due: date('2026-11-20'), rule: 'FREQ=DAILY;COUNT=10' });
    const [goesOn] = ticked(daily, manner);
    expect(goesOn!.after).toMatchObject({ due: date('2026-11-24'), rule: 'FREQ=DAILY;COUNT=6' });
  });

  test('the last date of a rule is done for good', () => {
    const last = task('Log', { due: date('2026-11-24'), rule: 'FREQ=DAILY;COUNT=1' });
    expect(ticked(last, manner)).toHaveLength(1);
    const until = task('Log', { due: date('2026-11-24'), rule: 'FREQ=DAILY;UNTIL=20261124' });
    expect(ticked(until, manner)[0]!.after.status).toBe('done');
  });

  test('the clock keeps its hour over a clock change', () => {
    const weekly = task('Log', { due: zoned('2027-03-26T09:00:00'), rule: 'FREQ=WEEKLY' });
    expect(ticked(weekly, manner)[0]!.after.due).toEqual(zoned('2027-04-02T09:00:00'));
  });
});

test('a task is moved to a day with its hour, and one without a day is due then', () => {
  const day = parseDate('2026-12-01');
  const both = { start: date('2026-11-25'), due: zoned('2026-11-27T17:00:00') };
  expect(movedToDay(both, day, LONDON)).toEqual({
    start: date('2026-11-29'),
    due: zoned('2026-12-01T17:00:00'),
  });
  expect(movedToDay({ start: null, due: null }, day, LONDON)).toEqual({
    start: null,
    due: date('2026-12-01'),
  });
  // On the clock that looks at it, it is the 28th already.
  const night = { start: null, due: zoned('2026-11-27T20:00:00', 'America/Halifax') };
  expect(movedToDay(night, day, LONDON).due).toEqual(
    zoned('2026-11-30T20:00:00', 'America/Halifax'),
  );
});

describe('groups', () => {
  const context: GroupContext = {
    now: NOW,
    today: TODAY,
    clock: LONDON,
    firstWeekday: 0,
    calendarName: (id) => ({ work: 'Workshop', clients: 'Clients' })[id ?? ''] ?? 'No calendar',
    categoryName: (id) => id.toUpperCase(),
    eventTitle: () => 'Harbour board visit',
  };
  const all = [
    task('next', { due: date('2026-12-02'), calendarId: 'work' }),
    task('late', { due: zoned('2026-11-24T09:00:00'), calendarId: 'clients', importance: 1 }),
    task('none', { categoryIds: ['x', 'y'] }),
    task('now', { due: date('2026-11-24'), estimate: 90, eventId: 'visit' }),
    task('soon', { due: date('2026-11-25'), estimate: 30, importance: 9 }),
    task('week', { due: date('2026-11-29'), start: date('2026-11-24'), categoryIds: ['x'] }),
    task('far', { due: date('2027-11-29') }),
  ];
  const said = (grouping: TaskGrouping) =>
    groupTasks(all, grouping, 'due', context).map(
      ({ name, tasks }) => `${name}: ${tasks.map(({ title }) => title).join(' ')}`,
    );

  test('by when they are due', () => {
    expect(said('due')).toEqual([
      'Overdue: late',
      'Today: now',
      'Tomorrow: soon',
      'Later this week: week',
      'Next week: next',
      'After that: far',
      'Without a day: none',
    ]);
  });

  test.each<[TaskGrouping, string[]]>([
    ['start', ['Today: week', 'Without a start: late now soon next far none']],
    ['calendar', ['Clients: late', 'No calendar: now soon week far none', 'Workshop: next']],
    ['category', ['X: week none', 'Y: none', 'Without a category: late now soon next far']],
    ['event', ['Harbour board visit: now', 'Of no event: late soon week next far none']],
    [
      'importance',
      ['High importance: late', 'Usual importance: now week next far none', 'Low importance: soon'],
    ],
  ])('by %s', (grouping, groups) => expect(said(grouping)).toEqual(groups));

  test.each([
    ['importance', 'late now week next far none soon'],
    ['estimate', 'soon now late week next far none'],
    ['title', 'far late next none now soon week'],
    ['start', 'week late now soon next far none'],
  ] as const)('within by %s', (order, titles) => {
    expect(
      inTaskOrder(all, order, LONDON)
        .map(({ title }) => title)
        .join(' '),
    ).toBe(titles);
  });
});

describe('effort', () => {
  /** Each day is clear from 10 to 12. */
  const left: TimeLeft = {
    clock: LONDON,
    clearOn: (day) => [{ start: day * DAY + 10 * HOUR, end: day * DAY + 12 * HOUR }],
    blocked: (id) => (id === 'b' ? 30 : 0),
  };
  const of = (...tasks: Task[]) => effort(tasks, TODAY, TODAY + 14, left);

  test('the day that leaves least room is told, with all that is due until then', () => {
    const a = task('a', { due: date('2026-11-24'), estimate: 60 });
    const b = task('b', { due: date('2026-11-25'), estimate: 330 });
    const c = task('c', { due: date('2026-11-30'), estimate: 60 });
    expect(of(a, b, c)).toEqual({ day: parseDate('2026-11-25'), needed: 360, clear: 240 });
  });

  test('what was begun needs less, what is overdue is due today, what is done nothing', () => {
    const begun = task('a', { due: date('2026-11-20'), estimate: 100, percent: 40 });
    const done = task('c', { due: date('2026-11-24'), estimate: 500, status: 'done' });
    expect(of(begun, done)).toEqual({ day: TODAY, needed: 60, clear: 120 });
    expect(of(task('d', { due: date('2026-11-24') }), task('e', { estimate: 60 }))).toBeNull();
  });
});
