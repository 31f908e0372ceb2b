import { PLAIN } from '../testing/occurrences';
import { newTask } from '../model/task';
import type { Task } from '../model/task';
import { DAY, HOUR, MINUTE, parseDate } from '../time/civil';
import { taskAsOccurrence } from './asOccurrence';
import { groupTasks } from './groups';
import { lineAsOccurrence, tasksByDay } from './onSheet';
import { placeTasks } from './placing';
import { sayNearDay, formatTask } from './formatTask';

const LONDON = 'Europe/London';
/** Tuesday 24 November 2026 */
const TODAY = parseDate('2026-11-24');
const wording = { locale: 'en-GB', hourCycle: '24', clock: LONDON, today: TODAY } as const;
const date = (text: string) => ({ kind: 'date', date: text }) as const;
const zoned = (local: string, zone = LONDON) => ({ kind: 'zoned', local, zone }) as const;
const task = (id: string, fields: Partial<Task> = {}) => newTask({ id, title: id, ...fields }, 1);

test.each([
  [{ due: date('2026-11-24') }, 'due today'],
  [{ due: date('2026-11-25') }, 'due tomorrow'],
  [{ due: date('2026-11-23') }, 'due yesterday'],
  [{ due: date('2026-11-22') }, 'due Sun 22 Nov'],
  [{ due: date('2027-05-22') }, 'due Sat 22 May'],
  [{ due: date('2027-05-23') }, 'due Sun, 23 May 2027'],
  [{ due: zoned('2026-11-24T17:05:00') }, 'due today, 17:05'],
  // By the person's clock: nine at night in Osaka is noon here.
  [{ due: zoned('2026-11-25T21:00:00', 'Asia/Tokyo') }, 'due tomorrow, 12:00'],
  [
    { due: date('2026-11-27'), start: date('2026-11-25'), estimate: 90 },
    'due Fri 27 Nov · from tomorrow · 1 h 30 min',
  ],
  [{ due: date('2026-11-27'), rule: 'FREQ=WEEKLY;BYDAY=FR' }, 'due Fri 27 Nov · every Friday'],
  [
    { start: date('2026-11-30'), rule: 'FREQ=MONTHLY;BYMONTHDAY=-1;UNTIL=20270131' },
    'from Mon 30 Nov · on the last day of each month until 31 January 2027',
  ],
  [{ estimate: 30, status: 'started', percent: 40 }, '30 min · 40 % done'],
  [{ status: 'started', percent: 0 }, ''],
  [{ status: 'open', percent: 40 }, ''],
  [{ status: 'dropped' }, 'dropped'],
] as [Partial<Task>, string][])('%j is said as “%s”', (fields, said) => {
  expect(formatTask(task('t', fields), wording)).toBe(said);
});

test('days far off are said with their year, on both sides', () => {
  const said = (by: number) => sayNearDay(TODAY + by, wording);
  expect([said(179), said(180)].map((text) => /2027/.test(text))).toEqual([false, true]);
  expect([said(-179), said(-180)].map((text) => /2026/.test(text))).toEqual([false, true]);
});

test('a task lies at its due as what takes no time: of a date the whole day, of a time no length', () => {
  const plain = {
    ...PLAIN,
    ...{ id: 't', eventId: 't', calendarId: '', dateKey: null, changed: false, title: 't' },
    ...{ place: '', availability: 'free', visibility: 'public', categoryIds: ['lamps'] },
    ...{ importance: 1, reminders: [], isQuiet: false },
  };
  const fields = { categoryIds: ['lamps'], importance: 1, reminders: [] };
  const start = TODAY * DAY;
  expect(taskAsOccurrence(task('t', { ...fields, due: date('2026-11-24') }), LONDON)).toEqual({
    ...plain,
    ...{ wholeDay: true, zone: null, startMs: start, endMs: start + DAY },
    ...{ start, end: start + DAY },
  });
  const at = start + 9 * HOUR;
  const timed = task('t', { ...fields, due: zoned('2026-11-24T18:00:00', 'Asia/Tokyo') });
  expect(taskAsOccurrence(timed, LONDON)).toEqual({
    ...plain,
    ...{ wholeDay: false, zone: 'Asia/Tokyo', startMs: at, endMs: at, start: at, end: at },
  });
  expect(taskAsOccurrence(task('none'), LONDON)).toBeNull();
});

test('tasks stand together by their days, and by their calendars where a sheet parts these', () => {
  const [a, b, c, none] = [
    task('a', { due: date('2026-11-24'), calendarId: 'work' }),
    task('b', { due: zoned('2026-11-24T20:00:00'), calendarId: 'clients' }),
    task('c', { due: date('2026-11-25') }),
    task('none'),
  ];
  expect(tasksByDay([a, b, c, none], LONDON, false)).toEqual([
    { day: TODAY, calendarId: null, tasks: [a, b] },
    { day: TODAY + 1, calendarId: null, tasks: [c] },
  ]);
  expect(tasksByDay([a, b, c], LONDON, true)).toEqual([
    { day: TODAY, calendarId: 'work', tasks: [a] },
    { day: TODAY, calendarId: 'clients', tasks: [b] },
    { day: TODAY + 1, calendarId: null, tasks: [c] },
  ]);
  const start = TODAY * DAY;
  expect(lineAsOccurrence({ day: TODAY, calendarId: null, tasks: [a] }, LONDON, 'any')).toEqual({
    ...PLAIN,
    ...{ id: `tasks:${TODAY}:`, eventId: '', calendarId: 'any', dateKey: null, changed: false },
    ...{ title: '\uffff', place: '', wholeDay: true, availability: 'free', visibility: 'public' },
    ...{ reminders: [], categoryIds: [], zone: null, tasks: [a], isQuiet: false },
    ...{ startMs: start, endMs: start + DAY, start, end: start + DAY },
  });
});

const GROUPED = {
  now: Date.parse('2026-11-24T10:00:00Z'),
  today: TODAY,
  clock: LONDON,
  firstWeekday: 0 as const,
  calendarName: () => '',
  categoryName: () => '',
  eventTitle: () => '',
};

test('groups by day are those that lie between today, this week and the next', () => {
  const days = ['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-29'].concat([
    '2026-11-30',
    '2026-12-06',
    '2026-12-07',
  ]);
  const groups = groupTasks(
    days.map((day) => task(day.slice(5), { start: date(day) })).concat(task('none')),
    'start',
    'start',
    GROUPED,
  );
  expect(groups.map(({ name, tasks }) => [name, tasks.map(({ title }) => title)])).toEqual([
    ['Before today', ['11-23']],
    ['Today', ['11-24']],
    ['Tomorrow', ['11-25']],
    ['Later this week', ['11-26', '11-29']],
    ['Next week', ['11-30', '12-06']],
    ['After that', ['12-07']],
    ['Without a start', ['none']],
  ]);
});

describe('time for tasks', () => {
  const wall = (hour: number, day = TODAY) => day * DAY + hour * HOUR;
  const place = (tasks: Task[], minutes: number, more = {}) =>
    placeTasks(
      tasks.map((one) => ({ task: one, minutes })),
      {
        ...{ fromDay: TODAY, toDay: TODAY + 1, slot: 30, mostADay: 600, clock: LONDON },
        clearOn: (day) => [{ start: wall(9, day), end: wall(11, day) }],
        ...more,
      },
    );
  const lines = ({ blocks }: ReturnType<typeof place>) =>
    blocks.map(({ taskId, start, end, isLate }) => [
      taskId,
      (start - TODAY * DAY) / HOUR,
      (end - start) / MINUTE,
      isLate,
    ]);

  test('comes before the hour at which it is due, and says where it is too late', () => {
    const due = task('due', { due: zoned('2026-11-24T10:00:00') });
    expect(lines(place([due], 60))).toEqual([['due', 9, 60, false]]);
    expect(lines(place([due], 90))).toEqual([
      ['due', 9, 60, false],
      ['due', 10, 30, true],
    ]);
  });

  test('is given first to what is due first, then to what matters more, then to what takes longer', () => {
    const day = date('2026-11-25');
    const tasks = [
      task('low', { due: day, importance: 9 }),
      task('none'),
      task('high', { due: day, importance: 1 }),
      task('first', { due: date('2026-11-24') }),
    ];
    expect(lines(place(tasks, 60)).map(([id]) => id)).toEqual(['first', 'high', 'low', 'none']);
  });

  test('what finds no room is told, and a day is given no more than it may be', () => {
    const { blocks, unplaced } = place([task('long')], 200, { mostADay: 90 });
    expect(blocks.map(({ start, end }) => [(start - TODAY * DAY) / HOUR, end - start])).toEqual([
      [9, 90 * MINUTE],
      [33, 90 * MINUTE],
    ]);
    expect(unplaced).toEqual([{ taskId: 'long', minutes: 20 }]);
  });
});

test('groups stand in the order of their days, whatever the order of their tasks', () => {
  const groups = groupTasks(
    [task('b', { due: date('2026-11-26') }), task('a', { due: date('2026-12-01') })],
    'due',
    'title',
    GROUPED,
  );
  expect(groups.map(({ name }) => name)).toEqual(['Later this week', 'Next week']);
});
