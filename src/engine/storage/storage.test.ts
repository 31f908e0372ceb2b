import 'fake-indexeddb/auto';
import { forceCloseDatabase } from 'fake-indexeddb';
import { deleteDB, openDB } from 'idb';
import { openFileStore } from './fileStore';
import { openRecordStore } from './recordStore';

/** Every handle that was opened, as the browser could reach it. */
const handles: IDBDatabase[] = [];
const open = indexedDB.open.bind(indexedDB);
indexedDB.open = (...asked) => {
  const request = open(...asked);
  request.addEventListener('success', () => handles.push(request.result));
  return request;
};
const closeAll = () => handles.splice(0).forEach((handle) => handle.close());

let nth = 0;
const newName = () => `store-${nth++}`;
const entries = (texts: Record<string, string | null>) => new Map(Object.entries(texts));
afterEach(() => {
  closeAll();
  jest.restoreAllMocks();
});

test('a store gives back what was written, all of it or nothing', async () => {
  const store = openRecordStore(newName());
  await store.setMany(entries({ a: '1', b: '2', c: '3' }), 'strict');
  await store.setMany(entries({ a: null, b: 'two' }), 'strict');
  expect(await store.keys()).toEqual(['b', 'c']);
  expect(await store.getMany(['a', 'b', 'c'])).toEqual(entries({ b: 'two', c: '3' }));
  const bad = new Map<string, string | null>([
    ['b', 'three'],
    ['c', (() => undefined) as never],
  ]);
  await expect(store.setMany(bad, 'strict')).rejects.toThrow();
  expect(await store.getMany(['b'])).toEqual(entries({ b: 'two' }));
  await store.clear();
  expect(await store.keys()).toEqual([]);
});

const writes = (calls: Parameters<IDBDatabase['transaction']>[]) =>
  calls.flatMap(([, mode, options]) => (mode === 'readwrite' ? [options?.durability] : []));

test('what is asked to be durable is on the disk before it is answered', async () => {
  const transaction = jest.spyOn(IDBDatabase.prototype, 'transaction');
  const store = openRecordStore(newName());
  await store.setMany(entries({ a: '1' }), 'strict');
  await store.setMany(entries({ a: '2' }), 'relaxed');
  await openFileStore(newName()).put({ f: 'AAEC' });
  expect(writes(transaction.mock.calls)).toEqual(['strict', 'relaxed', 'strict']);
});

test('what version 1 kept stays, but for what it had begun to take away', async () => {
  const name = newName();
  const before = await openDB(name, 1, { upgrade: (db) => void db.createObjectStore('entries') });
  await before.put('entries', '{"version":1}', 'event/a');
  await before.put('entries', 'null', 'event/gone');
  await before.put('entries', '{}', 'meta/history');
  closeAll();
  const store = openRecordStore(name);
  expect(await store.getMany(await store.keys())).toEqual(
    entries({ 'event/a': '{"version":1}', 'meta/history': '{}' }),
  );
  expect(await store.keys()).toHaveLength(2);
});

test('a window of an older version that holds the store is told of, and waited for', async () => {
  const name = newName();
  const older = await openDB(name, 1, { upgrade: (db) => void db.createObjectStore('entries') });
  await older.put('entries', '1', 'a');
  const freed = jest.fn();
  const store = openRecordStore(name, { onFreed: freed });
  for (let i = 0; i < 3; i++)
    await expect(store.keys()).rejects.toThrow('Another window still runs an older version');
  expect(freed).not.toHaveBeenCalled();
  const told = new Promise<void>((resolve) => freed.mockImplementation(resolve));
  older.close();
  await told;
  expect(await store.keys()).toEqual(['a']);
  expect(freed).toHaveBeenCalledTimes(1);
});

test('a newer version gets the store at once, and this one does not write any more', async () => {
  const name = newName();
  const store = openRecordStore(name);
  await store.setMany(entries({ a: '1' }), 'strict');
  const newer = await openDB(name, 99);
  await expect(store.setMany(entries({ a: '2' }), 'strict')).rejects.toMatchObject({
    name: 'StorageError',
    isNewer: true,
  });
  expect(await newer.get('entries', 'a')).toBe('1');
});

test('a handle that the browser closed is opened again by the next that needs it', async () => {
  const store = openRecordStore(newName());
  await store.setMany(entries({ a: '1' }), 'strict');
  forceCloseDatabase(handles.at(-1) as never);
  await store.setMany(entries({ b: '2' }), 'strict');
  expect(await store.keys()).toEqual(['a', 'b']);
  // Without the browser's word for it, too.
  handles.at(-1)!.close();
  expect(await store.getMany(['a'])).toEqual(entries({ a: '1' }));
});

test('a store that was taken away while it was open is told of, once', async () => {
  const name = newName();
  const onEmptied = jest.fn();
  const store = openRecordStore(name, { onEmptied });
  await store.setMany(entries({ a: '1' }), 'strict');
  expect(onEmptied).not.toHaveBeenCalled();
  await deleteDB(name);
  await store.setMany(entries({ b: '2' }), 'strict');
  await store.keys();
  expect(onEmptied).toHaveBeenCalledTimes(1);
  expect(await store.keys()).toEqual(['b']);
});

test('an operation that fails does not spoil those that follow', async () => {
  const store = openFileStore(newName());
  await expect(store.put({ f: (() => undefined) as never })).rejects.toThrow();
  await store.put({ f: 'AAEC' });
  expect(await store.get('f')).toBe('AAEC');
  await store.remove(['f']);
  expect(await store.get('f')).toBeNull();
});
