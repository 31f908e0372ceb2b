import { NOW, fileOf } from './testing/opened';
import { openedOn, recordsIn, SHAPES } from './testing/shapes';

/** What every version of the app has stored is still opened, undone and restored. */
describe.each(SHAPES)('as stored on $name', ({ store: texts, backup }) => {
  test('everything is opened, and the changes are undone and done again', async () => {
    const { engine, store } = await openedOn(texts);
    expect(engine.setAside()).toEqual([]);
    expect(engine.status().notes).toEqual([]);
    const title = () => engine.event('series-0')?.title;
    expect(title()).toBe('Renamed once');
    const last = engine.changes().undone.at(-1)!.label;
    expect(await engine.step('redo')).toBe(last);
    const whole = recordsIn(store);
    const labels: string[] = [];
    for (let label = await engine.step('undo'); label; label = await engine.step('undo'))
      labels.unshift(label);
    expect(labels.slice(0, 3)).toEqual([
      'Renamed the first',
      'Renamed the second',
      'Hid a calendar',
    ]);
    expect(title()).not.toBe('Renamed once');
    for (const label of labels) expect(await engine.step('redo')).toBe(label);
    expect(recordsIn(store)).toEqual(whole);
  });

  test('its backup is restored whole', async () => {
    if (backup === null) return; // That version made none yet.
    const before = await openedOn(texts);
    const { engine, store } = await openedOn({});
    const preview = await engine.previewRestore(fileOf(backup, 'backup.json'));
    expect(preview.bad).toEqual([]);
    await engine.restore(NOW);
    // Read and written by this version, so that fields with defaults stand in both.
    const records = (of: typeof engine, keys: readonly string[]) =>
      keys.filter((key) => key.startsWith('event/')).map((key) => of.event(key.slice(6)));
    const keys = Object.keys(recordsIn(before.store));
    expect(Object.keys(recordsIn(store)).sort()).toEqual(keys.sort());
    expect(records(engine, keys)).toEqual(records(before.engine, keys));
    expect(engine.calendars()).toEqual(before.engine.calendars());
    expect(engine.lenses()).toEqual(before.engine.lenses());
    expect(engine.settings()).toEqual(before.engine.settings());
  });
});
