import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { parseDate } from '@/core/time/civil';
import { ALL_SHOWN } from '@/core/query/eventQuery';
import type { Announcement } from '@/engine/announcement';
import { askAgain } from './dependences';

const NOTHING: Announcement = { kinds: [], eventIds: [], extents: [] };
const WEEK = parseDate('2026-11-23');

/** A page that shows a week, the one after it, the ruler, an open event and what stands beside. */
const SHOWN: readonly (readonly unknown[])[] = [
  ['occurrences', WEEK, WEEK + 7, 'UTC', ALL_SHOWN],
  ['occurrences', WEEK + 7, WEEK + 14, 'UTC', ALL_SHOWN],
  ['dayLoads', WEEK - 300, WEEK, 'UTC', ALL_SHOWN],
  ['load', WEEK + 7, 10, 'UTC', ALL_SHOWN],
  ['event', 'e1'],
  ['event', 'e2'],
  ['event', null],
  ['whereabouts', null, 0, 0, ALL_SHOWN, 'UTC'],
  ['whereabouts', 'e1@2026-11-25T09:00:00', WEEK, WEEK + 7, ALL_SHOWN, 'UTC'],
  ['calendars'],
  ['categories'],
  ['settings'],
  ['zones'],
  ['changes'],
];

/** What a page asks for again after a change: the beginning of each query's key. */
async function askedAfter(changed: Partial<Announcement>): Promise<string[]> {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  const asked: string[] = [];
  const leave = SHOWN.map((queryKey) =>
    new QueryObserver(client, {
      queryKey,
      queryFn: () => {
        asked.push(queryKey.slice(0, 2).join(' '));
        return 1;
      },
    }).subscribe(() => undefined),
  );
  await client.refetchQueries();
  asked.length = 0;
  await askAgain(client, { ...NOTHING, ...changed });
  leave.forEach((stop) => stop());
  client.clear();
  return asked;
}

test('pages being printed follow what is changed', async () => {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  let times = 0;
  const leave = new QueryObserver(client, {
    queryKey: ['printPages', { clock: 'UTC' }],
    queryFn: () => ++times,
  }).subscribe(() => undefined);
  await client.refetchQueries();
  const before = times;
  await askAgain(client, { ...NOTHING, kinds: ['event'] });
  expect(times).toBe(before + 1);
  await askAgain(client, { ...NOTHING, kinds: ['question'] });
  expect(times).toBe(before + 1);
  leave();
  client.clear();
});

test('a change in one event asks only what shows it', async () => {
  const changed = { kinds: ['event'], eventIds: ['e1'], extents: [{ from: WEEK, to: WEEK + 2 }] };
  expect(await askedAfter(changed as Partial<Announcement>)).toEqual([
    `occurrences ${WEEK}`,
    'event e1',
    'whereabouts e1@2026-11-25T09:00:00',
    'changes',
  ]);
});

test('an event that is moved is asked for where it was and where it is', async () => {
  const extents = [
    { from: WEEK - 20, to: WEEK - 18 },
    { from: WEEK + 12, to: WEEK + 13 },
  ];
  expect(await askedAfter({ kinds: ['event'], eventIds: ['e3'], extents })).toEqual([
    `occurrences ${WEEK + 7}`,
    `dayLoads ${WEEK - 300}`,
    `load ${WEEK + 7}`,
    'changes',
  ]);
});

test('settings leave the sheet alone, and a calendar does not', async () => {
  expect(await askedAfter({ kinds: ['settings'] })).toEqual(['settings', 'changes']);
  expect(await askedAfter({ kinds: ['calendar'] })).toEqual([
    `occurrences ${WEEK}`,
    `occurrences ${WEEK + 7}`,
    `dayLoads ${WEEK - 300}`,
    `load ${WEEK + 7}`,
    'whereabouts e1@2026-11-25T09:00:00',
    'calendars',
    'changes',
  ]);
});

test('more events than are named may be any event', async () => {
  const all = { kinds: ['event'], eventIds: null, extents: [{ from: -Infinity, to: Infinity }] };
  expect(await askedAfter(all as Partial<Announcement>)).toEqual(
    SHOWN.filter(
      ([name, id]) =>
        id !== null && !['calendars', 'categories', 'settings', 'zones'].includes(name as string),
    ).map((key) => key.slice(0, 2).join(' ')),
  );
});
