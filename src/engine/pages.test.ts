import type { AgendaPoint } from '@/core/model/eventFields';
import { newTask } from '@/core/model/task';
import { calendar, done, event, NOW, opened } from './testing/opened';

const LOOKING = { now: NOW, clock: 'Europe/London' };
const POINTS: AgendaPoint[] = [
  { id: 'a', text: 'Glass', minutes: 20, done: true },
  { id: 'b', text: 'Stand', minutes: 15, done: false },
];
const KEY = (day: number) => `2026-11-${day}T09:00:00`;
const SEED = [
  calendar('work'),
  event('visit', { agenda: POINTS, notes: '# As agreed' }),
  event('round', { rule: 'FREQ=DAILY;COUNT=4', changedDates: { [KEY(26)]: { agenda: POINTS } } }),
  {
    type: 'task' as const,
    record: newTask({ id: 'order', title: 'Order', eventId: 'round', eventDate: KEY(26) }, 1),
  },
];

test('a page has what belongs to its time, and the times beside it', async () => {
  const engine = await opened(SEED);
  const page = engine.pages.page(`round@${KEY(26)}`, LOOKING)!;
  expect(page.date.agenda).toEqual(POINTS);
  expect(page.followUps.map(({ task }) => task.title)).toEqual(['Order']);
  expect(page.last?.occurrence.dateKey).toBe(KEY(25));
  expect(page.last?.date.agenda).toEqual([]);
  expect(page.next?.occurrence.dateKey).toBe(KEY(27));
  // What was written down for a date makes no other date of it.
  expect(page.occurrence.changed).toBe(false);
  expect(engine.pages.page(`round@${KEY(25)}`, LOOKING)?.last).toBeNull();
  expect(engine.pages.page(`round@${KEY(28)}`, LOOKING)?.next).toBeNull();
  const single = engine.pages.page('visit', LOOKING)!;
  expect([single.last, single.next]).toEqual([null, null]);
  expect(engine.pages.page('nothing', LOOKING)).toBeNull();
});

test('what is written on the page of a date is that date’s alone, and is taken back', async () => {
  const engine = await opened(SEED);
  const before = engine.queries.event('round');
  const id = `round@${KEY(25)}`;
  const label = await done(engine, {
    kind: 'writePage',
    id: 'round',
    dateKey: KEY(25),
    fields: { notes: '- Two lamps', agenda: POINTS },
    says: 'Wrote notes of',
  });
  expect(label).toBe('Wrote notes of “round”');
  const page = engine.pages.page(id, LOOKING)!;
  expect([page.date.notes, page.date.agenda]).toEqual(['- Two lamps', POINTS]);
  expect(engine.pages.page(`round@${KEY(26)}`, LOOKING)?.date.notes).toBe('');
  expect(engine.queries.event('round')?.notes).toBe('');
  await engine.commands.step('undo');
  expect(engine.queries.event('round')).toEqual(before);
});

test('open points go on to another date once', async () => {
  const engine = await opened(SEED);
  const carry = {
    kind: 'carryPoints',
    id: 'round',
    fromKey: KEY(26),
    toKey: KEY(27),
  } as const;
  expect(await done(engine, carry)).toBe('Carried on 1 point of “round”');
  const { agenda } = engine.pages.page(`round@${KEY(27)}`, LOOKING)!.date;
  expect(agenda.map(({ text, minutes, done: isDone }) => [text, minutes, isDone])).toEqual([
    ['Stand', 15, false],
  ]);
  expect(await done(engine, carry)).toBeNull();
});

test('a series that moves takes its pages along', async () => {
  const engine = await opened(SEED);
  const round = engine.queries.event('round')!;
  const after = {
    ...round,
    start: { ...round.start, local: '2026-11-25T11:00:00' },
    end: { ...round.end, local: '2026-11-25T12:00:00' },
  } as typeof round;
  const { rule: _rule, ...single } = round;
  await done(engine, {
    kind: 'editSeriesDates',
    id: 'round',
    key: KEY(25),
    edit: { before: single as typeof round, after },
    reach: { scope: 'every', fate: 'keep' },
    verb: 'Moved',
  });
  const moved = engine.pages.page('round@2026-11-26T11:00:00', LOOKING);
  expect(moved?.date.agenda).toEqual(POINTS);
});
