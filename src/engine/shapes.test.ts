import { readStored, splitKey } from '@/core/model/records';
import type { MemoryStore } from './testing/memoryStore';
import { NOW, fileOf } from './testing/opened';
import { openedOn, recordsIn, SHAPES } from './testing/shapes';

/** The records of a store as this version reads them, whichever wrote them. */
const readIn = (store: MemoryStore) =>
  Object.fromEntries(
    Object.keys(recordsIn(store)).map((key) => {
      const { type, id } = splitKey(key)!;
      return [key, readStored(type, id, store.texts.get(key)!)];
    }),
  );

/** What every version of the app has stored is still opened, undone and restored. */
describe.each(SHAPES)('as stored on $name', ({ store: texts, backup }) => {
  test('everything is opened, and the changes are undone and done again', async () => {
    const { engine, store } = await openedOn(texts);
    expect(engine.queries.setAside()).toEqual([]);
    expect(engine.status().notes).toEqual([]);
    const title = () => engine.queries.event('series-0')?.title;
    expect(title()).toBe('Renamed once');
    const last = engine.commands.changes().undone.at(-1)!.label;
    expect(await engine.commands.step('redo')).toBe(last);
    const whole = readIn(store);
    const labels: string[] = [];
    for (
      let label = await engine.commands.step('undo');
      label;
      label = await engine.commands.step('undo')
    )
      labels.unshift(label);
    expect(labels.slice(0, 3)).toEqual([
      'Renamed the first',
      'Renamed the second',
      'Hid a calendar',
    ]);
    expect(title()).not.toBe('Renamed once');
    for (const label of labels) expect(await engine.commands.step('redo')).toBe(label);
    expect(readIn(store)).toEqual(whole);
  });

  test('its backup is restored whole', async () => {
    if (backup === null) return; // That version made none yet.
    const before = await openedOn(texts);
    const { engine, store } = await openedOn({});
    const preview = await engine.files.previewRestore(fileOf(backup, 'backup.json'));
    expect(preview.bad).toEqual([]);
    await engine.files.restore(NOW);
    // Read and written by this version, so that fields with defaults stand in both.
    const records = (of: typeof engine, keys: readonly string[]) =>
      keys.filter((key) => key.startsWith('event/')).map((key) => of.queries.event(key.slice(6)));
    const keys = Object.keys(recordsIn(before.store));
    expect(Object.keys(recordsIn(store)).sort()).toEqual(keys.sort());
    expect(records(engine, keys)).toEqual(records(before.engine, keys));
    expect(engine.queries.calendars()).toEqual(before.engine.queries.calendars());
    expect(engine.queries.lenses()).toEqual(before.engine.queries.lenses());
    expect(engine.queries.settings()).toEqual(before.engine.queries.settings());
  });
});
