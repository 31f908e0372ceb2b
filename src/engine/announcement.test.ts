import type { Announcement } from './announcement';
import { calendar, event, NOW, opened } from './testing/opened';
import { parseDate } from '@/core/time/civil';

/** An engine that has loaded, and all that it announces from then on. */
async function listening() {
  const said: Announcement[] = [];
  const engine = await opened([calendar('work'), event('call'), event('other')], {
    heard: (changed) => said.push(changed),
  });
  said.length = 0;
  return { engine, said };
}

const on = (date: string) => ({ from: parseDate(date) - 1, to: parseDate(date) + 2 });

test('a change names its event and its days, and undoing it names them again', async () => {
  const { engine, said } = await listening();
  const before = engine.queries.event('call')!;
  const after = {
    ...before,
    start: { ...before.start, local: '2026-12-09T09:00:00' },
    end: { ...before.end, local: '2026-12-09T10:00:00' },
  } as typeof before;
  await engine.commands.keep({
    label: 'Moved',
    at: NOW,
    edits: [{ type: 'event', before, after }],
  });
  await engine.commands.step('undo');
  expect(said.map(({ kinds, eventIds }) => [kinds, eventIds])).toEqual([
    [['event'], ['call']],
    [['event'], ['call']],
  ]);
  for (const { extents } of said) {
    for (const { from, to } of [on('2026-11-25'), on('2026-12-09')])
      expect(extents.some((extent) => extent.from <= from + 1 && extent.to >= to - 1)).toBe(true);
    expect(extents.some(({ from, to }) => from <= parseDate('2026-12-02') && to > from + 5)).toBe(
      false,
    );
  }
});

test('very many events are told as all of them', async () => {
  const { engine, said } = await listening();
  const made = Array.from({ length: 300 }, (_, i) => event(`e${i}`));
  await engine.commands.keep({
    label: 'Many',
    at: NOW,
    edits: made.map(({ record }) => ({ type: 'event', before: null, after: record })),
  });
  expect(said).toEqual([
    { kinds: ['event'], eventIds: null, extents: [{ from: -Infinity, to: Infinity }] },
  ]);
});

test('a calendar is told by its kind', async () => {
  const { engine, said } = await listening();
  const [before] = engine.queries.calendars();
  const after = { ...before!, shown: false };
  await engine.commands.keep({
    label: 'Hid',
    at: NOW,
    edits: [{ type: 'calendar', before: before!, after }],
  });
  expect(said).toEqual([{ kinds: ['calendar'], eventIds: [], extents: [] }]);
});

test('clearing for good is told, so that the list of what is removed is asked for again', async () => {
  const { engine, said } = await listening();
  const before = engine.queries.event('call')!;
  const edits = [{ type: 'event' as const, before, after: { ...before, removedAt: NOW } }];
  await engine.commands.keep({ label: 'Removed', at: NOW, edits });
  await engine.commands.clearRemoved(NOW);
  expect(said.map(({ kinds, eventIds }) => [kinds, eventIds])).toEqual([
    [['event'], ['call']],
    [['event'], ['call']],
  ]);
});
