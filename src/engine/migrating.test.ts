import type { Data } from '@/core/model/versions';
import { SCHEMA_VERSION } from '@/core/model/versions';
import { fileOf, NOW } from './testing/opened';
import { openedOn, recordsIn, SHAPES } from './testing/shapes';

/**
 * A next version, in which events' `heading` became `title` and lenses got a new filter: what the
 * version before has stored must come through, wherever it stands.
 */
jest.mock('@/core/model/versions', () => {
  const { SCHEMA_VERSION: present } = jest.requireActual<{ SCHEMA_VERSION: number }>(
    '@/core/model/versions',
  );
  return {
    SCHEMA_VERSION: present + 1,
    MIGRATIONS: {
      [present]: (kind: string, { heading, ...data }: Record<string, unknown>) =>
        kind === 'event' || kind === 'task' ? { ...data, title: heading } : data,
    },
  };
});

const NEXT = SCHEMA_VERSION;

const LATEST = SHAPES.at(-1)!;

const inOldWords = (text: string) => text.replaceAll('"title":', '"heading":');

/** Today's store and backup as the version before would have written them. */
const OLD = Object.fromEntries(
  Object.entries(LATEST.store).map(([key, text]) => [key, inOldWords(text)]),
);
const OLD_BACKUP = inOldWords(LATEST.backup!);

/** The same as this version writes it. */
const asNow = (key: string, text: string) =>
  /^(meta)\//.test(key) ? text : text.replace(`"version":${NEXT - 1}`, `"version":${NEXT}`);
const NOW_TEXTS = Object.fromEntries(
  Object.entries(LATEST.store).map(([key, text]) => [key, asNow(key, text)]),
);

const eventsOf = async (texts: Record<string, string>) => {
  const { engine } = await openedOn(texts);
  return Object.keys(texts)
    .filter((key) => key.startsWith('event/'))
    .map((key) => engine.queries.event(key.slice('event/'.length)));
};

test('records, and changes that are undone, are taken to the next version', async () => {
  expect(await eventsOf(OLD)).toEqual(await eventsOf(NOW_TEXTS));
  const { engine, store } = await openedOn(OLD);
  expect(engine.queries.setAside()).toEqual([]);
  while (await engine.commands.step('undo'));
  expect(engine.queries.event('series-0')).toMatchObject({ title: 'Bench round' });
  expect(engine.queries.event('series-0')).not.toHaveProperty('heading');
  while (await engine.commands.step('redo'));
  expect(engine.queries.event('series-0')).toMatchObject({ title: 'Renamed once' });
  expect(engine.queries.event('series-0')).not.toHaveProperty('heading');
  const written = JSON.parse(store.texts.get('event/series-0')!) as { version: number; data: Data };
  expect(written.version).toBe(NEXT);
  expect(store.texts.get('meta/schema')).toBe(`${NEXT}`);
});

test('a backup of the version before is restored', async () => {
  const { engine, store } = await openedOn({});
  expect((await engine.files.previewRestore(fileOf(OLD_BACKUP, 'backup.json'))).bad).toEqual([]);
  await engine.files.restore(NOW);
  const other = await openedOn(OLD);
  expect(engine.queries.event('series-1')).toEqual(other.engine.queries.event('series-1'));
  expect(Object.keys(recordsIn(store)).sort()).toEqual(Object.keys(recordsIn(other.store)).sort());
});

test('what a version after it wrote is told, set aside and left as it is', async () => {
  const key = 'event/series-0';
  const newer = JSON.stringify({ version: NEXT + 1, data: { id: 'series-0', shape: 'unknown' } });
  const changes = { ...NOW_TEXTS, [key]: newer };
  const { engine, store } = await openedOn(changes);
  expect(engine.queries.setAside()).toEqual([
    { key, raw: newer, reason: 'it was written by a newer version of the app' },
  ]);
  expect(store.texts.get(key)).toBe(newer);
});

test('a change that a version after it wrote is not undone, and says so', async () => {
  const last = NOW_TEXTS['change/3']!;
  const { engine, store } = await openedOn({
    ...NOW_TEXTS,
    'change/3': last
      .replace(`"version":${NEXT}`, `"version":${NEXT + 1}`)
      .replace(/^\{(?!"version")/, `{"version":${NEXT + 1},`),
  });
  await expect(engine.commands.step('undo')).rejects.toThrow();
  expect(recordsIn(store)['event/series-1']).toMatchObject({ title: 'Renamed twice' });
});
