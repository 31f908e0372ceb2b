import { calendar, done, event, NOW, opened, zoned } from './testing/opened';

const on = (day: string) => ({ start: zoned(`${day}T09:00:00`), end: zoned(`${day}T10:00:00`) });
const file = (name: string, bytes: number) => ({ id: name, name, mediaType: 'text/plain', bytes });

test('what can be freed: what is removed with its files, what is over, and the files of what stays', async () => {
  const engine = await opened([
    calendar('work'),
    event('kept', { attachments: [file('plan.txt', 700)], ...on('2026-11-26') }),
    event('old', { attachments: [file('survey.txt', 9000)], ...on('2024-11-26') }),
    event('gone', { attachments: [file('sketch.txt', 400_000)], ...on('2026-11-27') }),
  ]);
  const before = engine.queries.freeable(['old']);
  expect(before).toMatchObject({
    removed: { count: 0, bytes: 0 },
    over: { count: 1 },
    files: { count: 3, bytes: 409_700, largest: 'sketch.txt' },
  });
  // Its own text, and the file that is on it.
  expect(before.over.bytes).toBeGreaterThan(9000);
  expect(before.over.bytes).toBeLessThan(10_500);

  await done(engine, { kind: 'removeEvents', ids: ['gone'] });
  const removed = engine.queries.freeable(['old']);
  expect(removed.removed.count).toBe(1);
  expect(removed.removed.bytes).toBeGreaterThan(400_000);
  expect(removed.files).toEqual({ count: 2, bytes: 9700, largest: 'survey.txt' });

  await engine.commands.clearRemoved(NOW);
  expect(engine.queries.freeable([])).toMatchObject({
    removed: { count: 0, bytes: 0 },
    over: { count: 0, bytes: 0 },
  });
});
