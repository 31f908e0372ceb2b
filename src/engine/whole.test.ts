import { EventIndex } from '@/core/agenda/eventIndex';
import type { CalendarEvent } from '@/core/model/event';
import { DEFAULT_SETTINGS } from '@/core/model/others';
import { SCHEMA_VERSION } from '@/core/model/versions';
import { EVERYTHING } from '@/core/query/eventQuery';
import { CHANGES_KEPT, pushChange, EMPTY_HISTORY, TEXT_KEPT } from './change';
import type { Engine } from './engine';
import { MemoryStore } from './testing/memoryStore';
import { calendar, event, NOW, opened } from './testing/opened';

/** What the store holds stays whole: what can't be read, what has no calendar, what is newer. */

const open = (store: MemoryStore, wasUsed?: boolean) =>
  opened([calendar('work')], { store, wasUsed });

const textOf = (id: string, fields: Partial<CalendarEvent> = {}) =>
  JSON.stringify({ version: 1, data: event(id, fields).record });
const put = (store: MemoryStore, texts: Record<string, string>) =>
  store.setMany(new Map(Object.entries(texts)));
const add = (engine: Engine, id: string) =>
  engine.commands.keep({
    label: `Added ${id}`,
    at: NOW,
    edits: [{ type: 'event', before: null, after: event(id).record as CalendarEvent }],
  });
const aside = (engine: Engine) => engine.queries.setAside().map(({ key, raw }) => `${key}: ${raw}`);

test('a store that was used and is empty is told of as a loss, and once', async () => {
  const store = new MemoryStore();
  expect((await open(store)).status().notes).toEqual([]);
  expect((await open(store, true)).status().notes).toEqual([]);
  await store.clear();
  const [note, ...others] = (await open(store, true)).status().notes;
  expect(note).toContain('has lost what was kept here');
  expect(others).toEqual([]);
  expect((await open(store, true)).status().notes).toEqual([]);
});

test('what is written over a record that can’t be read puts its text out of the way', async () => {
  const store = new MemoryStore();
  await open(store);
  await put(store, { 'settings/mine': '{ torn', 'event/visit': '{ torn too' });
  const engine = await open(store);
  await engine.commands.keep({
    label: 'Changed the zoom',
    at: NOW,
    edits: [
      {
        type: 'settings',
        before: DEFAULT_SETTINGS,
        after: { ...DEFAULT_SETTINGS, hasKeys: false },
      },
    ],
  });
  await add(engine, 'visit');
  const kept = ['event/visit: { torn too', 'settings/mine: { torn'];
  expect(aside(engine).sort()).toEqual(kept);
  const again = await open(store);
  expect(again.queries.settings().hasKeys).toBe(false);
  expect(again.queries.event('visit')?.title).toBe('visit');
  expect(aside(again).sort()).toEqual(kept);

  // Taking back and clearing leave the texts alone, and a backup carries them.
  await again.commands.step('undo');
  await again.commands.step('undo');
  await again.commands.clearRemoved(NOW);
  expect(aside(await open(store)).sort()).toEqual(kept);
  const { file } = await again.files.backup(NOW);
  const fresh = await open(new MemoryStore());
  await fresh.files.previewRestore(file);
  await fresh.files.restore(NOW);
  expect(aside(fresh).sort()).toEqual(kept);
});

test('a record that can’t be read is not taken away by an undo that reaches it', async () => {
  const store = new MemoryStore();
  const engine = await open(store);
  await add(engine, 'visit');
  await put(store, { 'event/visit': '{ torn' });
  await engine.commands.step('undo').catch(() => undefined);
  expect(aside(await open(store))).toEqual(['event/visit: { torn']);
});

test('names of the language and keys that differ from the id are told, not trusted', async () => {
  const store = new MemoryStore();
  await open(store);
  await put(store, {
    'constructor/a': textOf('a'),
    '__proto__/b': textOf('b'),
    'event/c': textOf('d'),
  });
  const engine = await open(store);
  expect(engine.queries.setAside().map(({ key, reason }) => `${key}: ${reason}`)).toEqual([
    'event/c: it calls itself “d”, and not as its place is named',
  ]);
  expect(engine.queries.findEvents(EVERYTHING, 9)).toEqual([]);
});

test('an event whose dates can’t be worked out keeps nobody else out', async () => {
  const store = new MemoryStore();
  await open(store);
  await put(store, { 'event/bad': textOf('bad'), 'event/visit': textOf('visit') });
  const { put: index } = EventIndex.prototype;
  const failing = jest.spyOn(EventIndex.prototype, 'put').mockImplementation(function (
    this: EventIndex,
    one,
  ) {
    if (one.id === 'bad' || one.title === 'bad') throw new RangeError('too far');
    return index.call(this, one);
  });
  const engine = await open(store);
  expect(engine.queries.findEvents(EVERYTHING, 9).map(({ id }) => id)).toEqual(['visit']);
  expect(engine.queries.setAside()).toMatchObject([
    { key: 'event/bad', reason: 'its dates can’t be worked out: too far' },
  ]);
  // One that would become so is not kept, and is as it was.
  const visit = engine.queries.event('visit')!;
  const edits = [{ type: 'event' as const, before: visit, after: { ...visit, title: 'bad' } }];
  await expect(engine.commands.keep({ label: 'Renamed', at: NOW, edits })).rejects.toThrow(
    'worked out',
  );
  expect(engine.queries.event('visit')).toEqual(visit);
  expect(engine.status()).toMatchObject({ undo: null, unsaved: null });
  failing.mockRestore();
  expect((await open(store)).queries.event('visit')).toEqual(visit);
});

test('events whose calendar is missing get one that is shown, named and exported', async () => {
  const store = new MemoryStore();
  await open(store);
  await put(store, {
    'event/a': textOf('a', { calendarId: 'lost' }),
    'event/b': textOf('b', { calendarId: 'lost' }),
    'calendar/lost': '{ torn',
  });
  const engine = await open(store);
  expect(engine.queries.calendars().map(({ id, name, shown }) => [id, name, shown])).toEqual([
    ['work', 'work', true],
    ['lost', 'Events without a calendar', true],
  ]);
  expect(engine.status().notes).toEqual([
    'The calendar of 2 events is missing. They are in “Events without a calendar” now.',
  ]);
  expect(engine.queries.eventCounts()).toEqual({ lost: 2 });
  expect(aside(engine)).toEqual(['calendar/lost: { torn']);
  expect((await open(store)).status().notes).toEqual([]);
});

test('where a newer version has written, this one reads and does not write', async () => {
  const store = new MemoryStore();
  const engine = await open(store);
  await add(engine, 'visit');
  await put(store, { 'meta/schema': String(SCHEMA_VERSION + 1) });
  const before = new Map(store.texts);
  await expect(add(engine, 'late')).rejects.toThrow('A newer version of Orderly Week');
  await expect(engine.commands.step('undo')).rejects.toThrow('A newer version');
  await expect(engine.commands.clearRemoved(NOW)).rejects.toThrow('A newer version');
  expect(engine.status().readOnly).toMatchObject({ kind: 'newer' });
  const again = await open(store);
  expect(again.queries.event('visit')?.title).toBe('visit');
  await expect(add(again, 'late')).rejects.toThrow('A newer version');
  expect(store.texts).toEqual(before);
});

test('a store that the browser cleared while it was open is written again from what is here', async () => {
  const store = new MemoryStore();
  const engine = await open(store);
  await add(engine, 'visit');
  await store.clear();
  await engine.storeEmptied();
  expect(engine.status().notes[0]).toMatch(/^The browser cleared this page’s storage/);
  const again = await open(store);
  expect(again.queries.findEvents(EVERYTHING, 9)).toEqual(engine.queries.findEvents(EVERYTHING, 9));
  expect(again.queries.calendars()).toEqual(engine.queries.calendars());
  expect(again.status().undo).toBeNull();
});

test('what was undone before it was ever kept can be done again', async () => {
  const store = new MemoryStore();
  const engine = await open(store);
  store.failWriting = new DOMException('No room.', 'QuotaExceededError');
  expect(await add(engine, 'visit')).toBe(false);
  expect(engine.commands.changes().done.map(({ label }) => label)).toEqual(['Added visit']);
  expect(await engine.commands.step('undo')).toBe('Added visit');
  expect(engine.queries.event('visit')).toBeNull();
  expect(engine.status()).toMatchObject({ undo: null, redo: 'Added visit' });
  store.failWriting = null;
  expect(await engine.commands.step('redo')).toBe('Added visit');
  expect(engine.status()).toMatchObject({ undo: 'Added visit', redo: null, unsaved: null });
  expect((await open(store)).queries.event('visit')?.title).toBe('visit');
});

describe('how much of what was done is kept', () => {
  const push = (sizes: readonly number[]) => {
    let history = EMPTY_HISTORY;
    const forgotten: number[] = [];
    for (const size of sizes) {
      const pushed = pushChange(history, { label: `${size}`, at: NOW, by: 'here', size });
      history = pushed.history;
      forgotten.push(...pushed.forgotten);
    }
    return { kept: history.done.map(({ id }) => id), forgotten };
  };

  test('the last hundred, while their texts are short', () => {
    const { kept, forgotten } = push(Array<number>(CHANGES_KEPT + 2).fill(1));
    expect([kept.length, kept[0], forgotten]).toEqual([CHANGES_KEPT, 3, [1, 2]]);
  });

  test('fewer where they are long, the last in any case', () => {
    const half = TEXT_KEPT / 2;
    expect(push([half, half, half])).toEqual({ kept: [2, 3], forgotten: [1] });
    expect(push([1, TEXT_KEPT + 1])).toEqual({ kept: [2], forgotten: [1] });
  });
});
