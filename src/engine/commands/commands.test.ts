import { newEvent } from '@/core/model/event';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { newTask } from '@/core/model/task';
import { parseDate } from '@/core/time/civil';
import { lensOf } from '@/core/view/lenses';
import { DEFAULT_VIEW } from '@/core/model/view';
import type { Engine } from '../engine';
import { MemoryStore } from '../testing/memoryStore';
import { calendar, done, event, NOW, opened, zoned } from '../testing/opened';
import type { Command } from './command';

const SAYING = { wording: { locale: 'en-GB', hourCycle: '24' }, clock: 'Europe/London' } as const;
const MANNER = { now: NOW, saying: SAYING };
const POINT = { id: 'glass', text: 'Glass', minutes: 5, done: false };
const ROUND = {
  rule: 'FREQ=DAILY;COUNT=5',
  changedDates: { '2026-11-26T09:00:00': { agenda: [POINT] } },
};
const TASK = { id: 'order', title: 'Order', due: { kind: 'date', date: '2026-11-27' } } as const;
const SEED = [
  calendar('work'),
  calendar('clients', { order: 1 }),
  event('call'),
  event('round', ROUND),
  event('gone', { removedAt: 5 }),
  { type: 'task' as const, record: newTask(TASK, 1) },
  { type: 'task' as const, record: newTask({ id: 'old', title: 'Old', removedAt: 5 }, 1) },
  {
    type: 'category' as const,
    record: { id: 'lamps', name: 'Lamps', ink: '#2f6f5e' as const, order: 0 },
  },
  {
    type: 'lens' as const,
    record: lensOf({ id: 'desk', name: 'Desk', icon: '', order: 0 }, DEFAULT_VIEW, null),
  },
];

/** Everything that is stored, but for the history. */
const recordsOf = (store: MemoryStore) =>
  Object.fromEntries([...store.texts].filter(([key]) => !/^(meta|change)\//.test(key)));

const at = { start: Date.UTC(2026, 10, 26, 14), end: Date.UTC(2026, 10, 26, 15) };
const added = (engine: Engine) => ({
  ...engine.queries.event('call')!,
  id: 'new',
  uid: 'new@test',
  title: 'New',
});

/** One of each kind, with what it is called. */
const commands = (engine: Engine): [string, Command][] => {
  const call = engine.queries.event('call')!;
  const round = engine.queries.event('round')!;
  const work = engine.queries.calendars()[0]!;
  const [lens] = engine.queries.lenses();
  const edit = { before: round, after: { ...round, title: 'Loop' } };
  return [
    ['Added “New” to work: Wed 25 Nov, 09:00', { kind: 'addEvent', event: added(engine) }],
    [
      'Added the task “Glue”, due Fri 27 Nov',
      {
        kind: 'keepTask',
        before: null,
        task: newTask({ ...TASK, id: 'glue', title: 'Glue' }, NOW),
      },
    ],
    ['Did “Order”', { kind: 'tickTasks', ids: ['order'], isDone: true, clock: SAYING.clock }],
    [
      'Moved “Order” to Tue 1 Dec',
      { kind: 'moveTasks', ids: ['order'], day: parseDate('2026-12-01'), clock: SAYING.clock },
    ],
    ['Removed “Order”', { kind: 'removeTasks', ids: ['order'] }],
    ['Brought back “Old”', { kind: 'bringBackTasks', ids: ['old'] }],
    ['“Order” stands at 50 %', { kind: 'sayTaskStands', id: 'order', percent: 50 }],
    [
      'Wrote notes of “call”',
      {
        kind: 'writePage',
        id: 'call',
        dateKey: null,
        fields: { notes: '- Two lamps' },
        says: 'Wrote notes of',
      },
    ],
    [
      'Carried on 1 point of “round”',
      {
        kind: 'carryPoints',
        id: 'round',
        fromKey: '2026-11-26T09:00:00',
        toKey: '2026-11-27T09:00:00',
      },
    ],
    [
      'Changed 1 task',
      {
        kind: 'changeTasks',
        ids: ['order'],
        steps: [{ kind: 'importance', importance: 'high' }],
        clock: SAYING.clock,
      },
    ],
    [
      'Gave time to “Order”: Thu 26 Nov, 14:00',
      {
        kind: 'placeBlocks',
        blocks: [{ taskId: 'order', ...at }],
        calendarId: 'work',
        clock: SAYING.clock,
      },
    ],
    [
      'Changed “Ring”, now on clients',
      { kind: 'editEvent', before: call, after: { ...call, title: 'Ring', calendarId: 'clients' } },
    ],
    [
      'Moved “call”: Wed 25 Nov, 09:00 → Thu 26 Nov, 14:00',
      { kind: 'moveEvent', id: 'call', span: at, edge: null, zone: 'Europe/London' },
    ],
    [
      'Stretched “call”: ends Wed 25 Nov, 10:00 → Thu 26 Nov, 15:00',
      { kind: 'moveEvent', id: 'call', span: at, edge: 'end', zone: 'Europe/London' },
    ],
    ['Gave an icon to “call”', { kind: 'setField', id: 'call', field: 'icon', value: 'phone' }],
    [
      'Took the own ink from “call”',
      { kind: 'setField', id: 'call', field: 'inkOverride', value: undefined },
    ],
    [
      'Copied “call” to 2 days',
      {
        kind: 'copyEvent',
        occurrence: { eventId: 'call', dateKey: null, start: Date.UTC(2026, 10, 25, 9) },
        scope: 'this',
        days: [20800, 20790],
        calendarId: 'clients',
        zone: 'Europe/London',
      },
    ],
    ['Removed 2 events', { kind: 'removeEvents', ids: ['call', 'round'] }],
    ['Brought back “gone”', { kind: 'bringBackEvents', ids: ['gone'] }],
    [
      'Attached 1 file to “call”',
      {
        kind: 'attachFiles',
        id: 'call',
        files: [{ id: 'f', name: 'list.txt', mediaType: 'text/plain', bytes: 4 }],
      },
    ],
    [
      'Changed every date of “round”',
      {
        kind: 'editSeriesDates',
        id: 'round',
        key: '2026-11-26T09:00:00',
        edit,
        reach: { scope: 'every', fate: 'keep' },
        verb: 'Changed',
      },
    ],
    [
      'Skipped one date of “round”',
      { kind: 'removeSeriesDates', id: 'round', key: '2026-11-26T09:00:00', scope: 'this' },
    ],
    [
      'Made the calendar new',
      { kind: 'addCalendar', calendar: { ...work, id: 'new', name: 'new' } },
    ],
    ['Hid work', { kind: 'editCalendar', before: work, fields: { shown: false } }],
    ['Moved clients in the list', { kind: 'moveCalendar', id: 'clients', toId: 'work' }],
    ['Showed only clients', { kind: 'showOnlyCalendar', id: 'clients' }],
    ['Removed work with 2 events', { kind: 'removeCalendar', id: 'work' }],
    ['Duplicated work with 2 events', { kind: 'duplicateCalendar', id: 'work' }],
    ['Removed the category Lamps from 0 events', { kind: 'removeCategory', id: 'lamps' }],
    [
      'Updated the lens Desk',
      { kind: 'keepLens', before: lens!, lens: { ...lens!, order: 3 }, isView: true },
    ],
    ['Removed the lens Desk', { kind: 'removeLens', id: 'desk' }],
    [
      'Made it airy',
      {
        kind: 'setSettings',
        before: DEFAULT_SETTINGS,
        fields: { density: 'airy' },
        label: 'Made it airy',
      },
    ],
  ];
};

test('each command says what it does, does what its preview told, and is undone to nothing', async () => {
  const store = new MemoryStore();
  const engine = await opened(SEED, { store });
  // Settings are a record from their first change on.
  await done(engine, {
    kind: 'setSettings',
    before: DEFAULT_SETTINGS,
    fields: { density: 'close' },
    label: 'Made it close',
  });
  const before = recordsOf(store);
  for (const [label, command] of commands(engine)) {
    const preview = engine.commands.preview(command, MANNER)!;
    expect(recordsOf(store)).toEqual(before);
    expect([preview.label, await done(engine, command)]).toEqual([label, label]);
    const after = recordsOf(store);
    const touched = Object.keys({ ...before, ...after }).filter(
      (key) => before[key] !== after[key],
    );
    expect(touched).toHaveLength(preview.edits.length);
    expect(await engine.commands.step('undo')).toBe(label);
    expect(recordsOf(store)).toEqual(before);
  }
});

test('what is about something that is gone is refused in words, and nothing else suffers', async () => {
  const engine = await opened(SEED);
  const move: Command = { kind: 'moveEvent', id: 'nobody', span: at, edge: null, zone: 'UTC' };
  await expect(done(engine, move)).rejects.toThrow('This event is not here any more.');
  expect(await done(engine, { kind: 'removeLens', id: 'nobody' })).toBeNull();
  expect(await done(engine, { kind: 'moveLens', id: 'desk', by: 1 })).toBeNull();
  expect(engine.commands.changes().done).toEqual([]);
  expect(await done(engine, { kind: 'removeLens', id: 'desk' })).toBe('Removed the lens Desk');
});

test('parts of a setting that are set from the same view of it both hold', async () => {
  const engine = await opened(SEED);
  const before = DEFAULT_SETTINGS;
  const setting = (fields: Partial<typeof before.reminding>): Command => ({
    kind: 'setSettings',
    before,
    fields: { reminding: { ...before.reminding, ...fields } },
    label: 'Set how reminders come',
  });
  await done(engine, setting({ mail: 'office@quay.example' }));
  await done(engine, setting({ phone: '+44 1632 960018' }));
  expect(engine.queries.settings()).toEqual({
    ...before,
    reminding: { ...before.reminding, mail: 'office@quay.example', phone: '+44 1632 960018' },
  });
});

test('commands given at once are done one after the other, and a step back means the last', async () => {
  const engine = await opened(SEED);
  const file = (id: string) => ({ id, name: id, mediaType: '', bytes: 1 });
  const attach = (id: string) =>
    done(engine, { kind: 'attachFiles', id: 'call', files: [file(id)] });
  const [, , undone] = await Promise.all([
    attach('one'),
    attach('two'),
    engine.commands.step('undo'),
  ]);
  expect(undone).toBe('Attached 1 file to “call”');
  expect(engine.queries.event('call')!.attachments).toEqual([file('one')]);
});

test('what a command is about is told: the date, the event that it makes, or the only one edited', async () => {
  const engine = await opened(SEED);
  const about = async (command: Command) => (await engine.commands.do(command, MANNER))?.about;
  const [first] = commands(engine);
  expect(await about(first![1])).toBe('new');
  const title = { ...engine.queries.event('round')!, title: 'Loop' };
  const edit = { before: engine.queries.event('round')!, after: title };
  const key = '2026-11-26T09:00:00';
  const reach = { scope: 'this', fate: 'keep' } as const;
  const one: Command = { kind: 'editSeriesDates', id: 'round', key, edit, reach, verb: 'Changed' };
  expect(await about(one)).toBe(`round@${key}`);
  expect(await about({ kind: 'setField', id: 'call', field: 'icon', value: 'phone' })).toBe('call');
  expect(await about({ kind: 'removeEvents', ids: ['call'] })).toBeUndefined();
});

describe('a long change', () => {
  const MANY = 3000;
  const many = Array.from({ length: MANY }, (_, i) => {
    const times = { start: zoned('2026-11-25T09:00:00'), end: zoned('2026-11-25T10:00:00') };
    const record = newEvent({ id: `e${i}`, calendarId: 'work', title: `${i}`, ...times }, 1);
    return { type: 'event' as const, record };
  });

  test('tells how far it is, and is done as a whole', async () => {
    const engine = await opened([calendar('work'), ...many]);
    const told: number[] = [];
    const did = await engine.commands.do({ kind: 'removeCalendar', id: 'work' }, MANNER, (p) =>
      told.push(p.done / p.total),
    );
    expect(did!.label).toBe('Removed work with 3,000 events');
    expect(told.length).toBeGreaterThan(1);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.every((part) => part > 0 && part < 1)).toBe(true);
  });

  test('stopped on the way changes nothing, and the next one is done', async () => {
    const store = new MemoryStore();
    const engine = await opened([calendar('work'), ...many], { store });
    const before = recordsOf(store);
    const removal = { kind: 'removeCalendar', id: 'work' } as const;
    const stopped = engine.commands.do(removal, MANNER, () => engine.commands.stop());
    await expect(stopped).rejects.toThrow('It was stopped. Nothing was changed.');
    expect(recordsOf(store)).toEqual(before);
    expect(engine.queries.calendars()).toHaveLength(1);
    expect(await done(engine, removal)).toBe('Removed work with 3,000 events');
  });
});
