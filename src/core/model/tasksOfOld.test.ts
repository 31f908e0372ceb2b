import { readStored } from './records';
import { task } from './task';

const old = (fields: object) =>
  JSON.stringify({
    version: 2,
    data: { id: 't', uid: 't@quay.example', title: 'Order', done: false, notes: '', ...fields },
  });

const lifted = (fields: object) => readStored('task', 't', old(fields));

test('a task that the app made keeps its day', () => {
  expect(lifted({ due: '2026-11-30', calendarId: 'work', done: true })).toMatchObject({
    due: { kind: 'date', date: '2026-11-30' },
    status: 'done',
    percent: 100,
    calendarId: 'work',
  });
  expect(task.safeParse(lifted({})).success).toBe(true);
});

test('of one that came from a file the time, how it stands and all else is kept', () => {
  const component = [
    'vtodo',
    [
      ['uid', {}, 'text', 't@quay.example'],
      ['due', { tzid: 'Europe/Lisbon' }, 'date-time', '2026-11-30T17:00:00'],
      ['status', {}, 'text', 'IN-PROCESS'],
      ['percent-complete', {}, 'integer', 40],
      ['priority', {}, 'integer', 2],
      ['url', {}, 'uri', 'https://quay.example/'],
      ['x-lamp', {}, 'unknown', 'port'],
    ],
    [['valarm', [], []]],
  ];
  expect(lifted({ due: '2026-11-30', component })).toMatchObject({
    due: { kind: 'zoned', local: '2026-11-30T17:00:00', zone: 'Europe/Lisbon' },
    status: 'started',
    percent: 40,
    importance: 2,
    link: 'https://quay.example/',
    passthrough: {
      properties: [['x-lamp', {}, 'unknown', 'port']],
      components: [['valarm', [], []]],
    },
  });
  const due = (...property: unknown[]) =>
    lifted({ due: '2026-11-30', component: ['vtodo', [property], []] });
  expect(due('due', {}, 'date-time', '2026-11-30T17:00:00Z')).toMatchObject({
    due: { zone: 'UTC' },
  });
  expect(due('due', { tzid: 'Quay/3' }, 'date-time', '2026-11-30T17:00:00')).toMatchObject({
    due: { kind: 'floating', local: '2026-11-30T17:00:00' },
  });
  expect(due('due', {}, 'date-time', '2026-11-30Tnoon')).toMatchObject({
    due: { kind: 'date', date: '2026-11-30' },
  });
});
