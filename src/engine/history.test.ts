import type { CalendarEvent } from '@/core/model/event';
import { newEvent } from '@/core/model/event';
import { newTask } from '@/core/model/task';
import { EVERYTHING } from '@/core/query/eventQuery';
import type { Edit } from './change';
import type { Engine } from './engine';
import { MemoryStore } from './testing/memoryStore';
import { calendar, done, opened } from './testing/opened';

/** What Undo says of itself, what goes along with calendars, and what is set aside. */

const open = (store?: MemoryStore, name?: string) =>
  opened([calendar('workshop'), calendar('clients', { order: 1 })], { store, name });

const call = (more: Partial<CalendarEvent> = {}): CalendarEvent =>
  newEvent(
    {
      id: 'call',
      calendarId: 'workshop',
      title: 'Call',
      start: { kind: 'zoned', local: '2026-11-24T09:00:00', zone: 'Europe/London' },
      end: { kind: 'zoned', local: '2026-11-24T10:00:00', zone: 'Europe/London' },
      ...more,
    },
    1,
  );
const task = newTask(
  { id: 'shellac', uid: 'shellac@quay.example', title: 'Order shellac', calendarId: 'workshop' },
  1,
);
const add = (after: CalendarEvent): Edit => ({ type: 'event', before: null, after });
const commit = (engine: Engine, label: string, ...edits: Edit[]) =>
  engine.commands.keep({ label, at: 5, edits });
const tasks = async (engine: Engine, calendarId: string) => {
  const { text } = await engine.files.exportCalendars({
    query: { ...EVERYTHING, calendars: [calendarId] },
  });
  return [...text.matchAll(/BEGIN:VTODO\r\nUID:(.*)/g)].map(([, uid]) => uid);
};

test('changes are told with when and where they were made', async () => {
  const store = new MemoryStore();
  const one = await open(store, 'one');
  await commit(one, 'Added Call', add(call()));
  const two = await open(store, 'two');
  expect(two.commands.changes()).toEqual({
    done: [{ id: 1, label: 'Added Call', at: 5, isHere: false }],
    undone: [],
  });
  await two.commands.step('undo');
  expect(two.commands.changes().undone.map(({ label }) => label)).toEqual(['Added Call']);
});

test('an undo that can’t read its steps says so, changes nothing, and does not stand before others', async () => {
  const store = new MemoryStore();
  const engine = await open(store);
  const kept = call({ id: 'kept', title: 'Kept' });
  await commit(engine, 'Added Kept', add(kept));
  await commit(engine, 'Added Call', add(call()));
  await store.setMany(new Map([['change/2', '{ torn']]));
  await expect(engine.commands.step('undo')).rejects.toThrow('“Added Call” changed can’t be read');
  expect(engine.queries.event('call')).not.toBeNull();
  expect(engine.commands.changes().done.map(({ label }) => label)).toEqual(['Added Kept']);
  // Its text is put by as it was, after a reload too.
  const again = await open(store);
  expect(again.queries.setAside()).toMatchObject([{ key: 'change/2', raw: '{ torn' }]);
  expect(await again.commands.step('undo')).toBe('Added Kept');
  expect(again.queries.event('kept')).toBeNull();
});

test('changes whose text is gone leave the list when the store is opened, and are named', async () => {
  const store = new MemoryStore();
  const engine = await open(store);
  await commit(engine, 'Added Call', add(call()));
  await commit(engine, 'Added Kept', add(call({ id: 'kept' })));
  await store.setMany(
    new Map([
      ['change/1', null],
      ['change/77', '{}'],
    ]),
  );
  const again = await open(store);
  expect(again.commands.changes().done.map(({ label }) => label)).toEqual(['Added Kept']);
  expect(again.status().notes).toEqual([
    '“Added Call” can’t be undone any more: what it changed is not here.',
  ]);
  // A text that no list names is swept.
  expect(store.texts.has('change/77')).toBe(false);
});

test('undo does not claim to bring back what was cleared for good', async () => {
  const engine = await open();
  const kept = call({ id: 'kept', title: 'Kept' });
  await commit(engine, 'Added two', add(call()), add(kept));
  const gone: Edit = { type: 'event', before: call(), after: { ...call(), removedAt: 7 } };
  await commit(engine, 'Removed Call', gone);
  await engine.commands.clearRemoved(9);
  await expect(engine.commands.step('undo')).rejects.toThrow('“Removed Call” can’t be taken back');
  expect(engine.queries.event('call')).toBeNull();
  // What came before it can still be undone.
  expect(await engine.commands.step('undo')).toBe('Added two');
  expect(engine.queries.event('kept')).toBeNull();
});

test('tasks go with their calendar: removed, brought back, duplicated and merged', async () => {
  const engine = await open();
  await commit(engine, 'Added', { type: 'task', before: null, after: task });
  expect(await done(engine, { kind: 'removeCalendar', id: 'workshop' }, 9)).toBe(
    'Removed workshop with 0 events and 1 task',
  );
  await done(engine, { kind: 'bringBackCalendar', id: 'workshop' }, 10);
  expect(await tasks(engine, 'workshop')).toEqual(['shellac@quay.example']);

  await done(engine, { kind: 'duplicateCalendar', id: 'workshop' }, 11);
  const copy = engine.queries.calendars().find(({ name }) => name === 'workshop copy')!;
  const [uid] = await tasks(engine, copy.id);
  expect(uid).toMatch(/@orderly-week$/);

  const choice = { join: false, keepInk: false };
  await done(
    engine,
    { kind: 'mergeCalendars', from: 'workshop', into: 'clients', choice } as never,
    12,
  );
  expect(await tasks(engine, 'clients')).toEqual(['shellac@quay.example']);
  await engine.commands.step('undo');
  expect(await tasks(engine, 'workshop')).toEqual(['shellac@quay.example']);
});

test('a record that was set aside is so no longer once it is sound again', async () => {
  const store = new MemoryStore();
  await open(store);
  await store.setMany(new Map([['event/call', '{ torn']]));
  const engine = await open(store);
  expect(engine.queries.setAside().map(({ key }) => key)).toEqual(['event/call']);
  await store.setMany(new Map([['event/call', JSON.stringify({ version: 1, data: call() })]]));
  await engine.hear(['event/call']);
  expect(engine.queries.setAside()).toEqual([]);
  expect(engine.queries.event('call')?.title).toBe('Call');
});
