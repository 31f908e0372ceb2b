import { INKS } from '@/core/model/inks';
import type { TypedRecord } from '@/core/model/records';
import { DEFAULT_VIEW } from '@/core/model/view';
import { calendar, event, opened } from './testing/opened';

const lens = (id: string, order: number): TypedRecord => ({
  type: 'lens',
  record: { id, name: id, icon: 'tools', order, view: DEFAULT_VIEW, day: null },
});
const category = (id: string, order: number): TypedRecord => ({
  type: 'category',
  record: { id, name: id, ink: INKS.Ochre, order },
});

test('what has a place in a list stands there, and of two at one place the earlier name first', async () => {
  const engine = await opened([
    calendar('quay', { order: 1 }),
    calendar('work', { order: 0 }),
    calendar('bench', { order: 1 }),
    lens('week', 2),
    lens('month', 1),
    lens('autumn', 2),
    category('lamps', 3),
    category('freight', 0),
    category('bells', 3),
  ]);
  const ids = (list: { id: string }[]) => list.map(({ id }) => id);
  expect(ids(engine.queries.calendars())).toEqual(['work', 'bench', 'quay']);
  expect(ids(engine.queries.lenses())).toEqual(['month', 'autumn', 'week']);
  expect(ids(engine.queries.categories())).toEqual(['freight', 'bells', 'lamps']);
});

test('series of the person’s own calendars are listed by title, without removed ones and single events', async () => {
  const rule = 'FREQ=WEEKLY';
  const engine = await opened([
    calendar('work'),
    calendar('quay', {
      kind: 'followed',
      feed: { address: 'https://quay.example/a.ics', everyMinutes: 60 },
    }),
    event('round', { rule }),
    event('call', { rule }),
    event('gone', { rule, removedAt: 7 }),
    event('once'),
    event('theirs', { rule, calendarId: 'quay' }),
  ]);
  expect(engine.queries.series().map(({ id }) => id)).toEqual(['call', 'round']);
});
